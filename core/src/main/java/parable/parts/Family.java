package parable.parts;

/** What an electrician takes a device for at a glance; it decides the symbol and where the device can be operated. */
public enum Family {
    SUPPLY("supply"),
    BREAKER("circuit breaker"),
    ISOLATOR("isolator"),
    FUSE("fuse"),
    CONTACTOR("contactor"),
    CONTROL_RELAY("control relay"),
    TIMER("timer"),
    OVERLOAD_RELAY("overload relay"),
    INTERLOCK("mechanical interlock"),
    PUSH_BUTTON("push button"),
    SELECTOR("selector switch"),
    DRUM_SWITCH("drum switch"),
    EMERGENCY_STOP("E-stop"),
    MACHINE_SWITCH("machine switch"),
    PILOT_LAMP("pilot lamp"),
    HORN("horn"),
    SOLENOID("solenoid"),
    RESISTOR("resistor"),
    CONVERTER("converter"),
    CONTROLLER("controller"),
    METALWORK("metal part"),
    MOTOR("motor");

    private final String words;

    Family(String words) {
        this.words = words;
    }

    /** The word in a sentence: {@code contactor}. */
    public String words() {
        return words;
    }
}
