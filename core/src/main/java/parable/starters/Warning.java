package parable.starters;

/** Whether a horn sounds before it starts. */
public enum Warning implements Choice {
    NONE("No warning", "It starts at once."),
    FROM_START(
            "Timed from the start command",
            "Start sounds the horn; the motor follows after the set time unless stop is pressed."),
    FROM_POWER_UP(
            "Timed from power-up",
            "The horn sounds when the control voltage comes on; start is refused until it stops. A start an hour later is not warned of.");

    private final String words;
    private final String why;

    Warning(String words, String why) {
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
