package parable.parts;

/** What a load does with its voltage. */
public enum LoadRole {
    COIL,
    LAMP,
    HORN,
    SOLENOID,
    WINDING,
    /** The input of a transformer, DC supply or rectifier. */
    INPUT,
    RESISTOR,
    /** An input of a controller: it reads 1 from a share of its rated voltage on. */
    READING,
    /** Opens its breaker when it gets voltage. */
    SHUNT_RELEASE,
    /** Opens its breaker when it loses voltage. */
    UNDERVOLTAGE_RELEASE
}
