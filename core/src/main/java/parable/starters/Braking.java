package parable.starters;

/** How it comes to rest. */
public enum Braking implements Choice {
    NONE("It coasts", "Nothing brakes it."),
    UNTIL_STANDSTILL(
            "DC until standstill",
            "After stop a rectifier feeds direct current into the motor until a zero-speed switch opens."),
    TIMED(
            "DC for a set time",
            "After stop a rectifier feeds direct current into the motor for a set time; needs no switch on the machine, but brakes as long when it is not needed.");

    private final String words;
    private final String why;

    Braking(String words, String why) {
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
