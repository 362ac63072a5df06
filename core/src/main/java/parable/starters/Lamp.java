package parable.starters;

/** A lamp on the door. */
public enum Lamp implements Choice {
    RUNNING("Running", "In parallel with the coil; for two directions one each, behind a contact of its contactor."),
    STOPPED("Stopped", "Through a normally closed contact of each contactor that feeds the motor."),
    TRIPPED("Tripped", "Through the normally open contact of the overload."),
    EMERGENCY_STOP("E-stop", "Through a normally open block of the E-stop."),
    CONTROL_ON("Control on", "Straight from the control fuse.");

    private final String words;
    private final String why;

    Lamp(String words, String why) {
        this.words = words;
        this.why = why;
    }

    @Override
    public String words() {
        return words;
    }

    @Override
    public String why() {
        return why;
    }
}
