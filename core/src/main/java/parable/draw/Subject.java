package parable.draw;

/** What a symbol stands for; its state decides how the symbol is drawn. */
public sealed interface Subject {

    /** The device's tag. */
    String tag();

    /** A contact, by its position among the device's contacts: on while it is closed. */
    record OfContact(String tag, int contact) implements Subject {}

    /** A coil, lamp or winding, by its position among the device's loads: on while it has the voltage it needs. */
    record OfLoad(String tag, int load) implements Subject {}

    /** A motor: on while it is driven. */
    record OfMotor(String tag) implements Subject {}

    /** A supply: on while it gives voltage. */
    record OfSupply(String tag) implements Subject {}
}
