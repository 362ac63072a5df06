package parable.starters;

/** How it is jogged. */
public enum Jogging implements Choice {
    NONE("Not at all", "It starts and stops."),
    SELECTOR("By a selector", "In jog the selector opens the seal-in: cheap and unambiguous."),
    RELAY(
            "By a control relay",
            "The start button pulls in a relay that holds the contactor; the jog button does not, so there is no mode to forget."),
    TWO_BLOCK_BUTTON(
            "By a button with two blocks",
            "Do not build this: let go fast, and the block is back before the seal-in has opened; the motor keeps running.");

    private final String words;
    private final String why;

    Jogging(String words, String why) {
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
