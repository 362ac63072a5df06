package parable.starters;

/** How it is told to start and to stop. */
public enum Starting implements Choice {
    START_STOP(
            "Start and stop buttons",
            "Three-wire: the contactor holds itself in, and drops out for good when the voltage fails."),
    TWO_WIRE(
            "A maintained switch",
            "Two-wire: it runs while the switch is on, and starts again by itself when power returns; only where that harms nobody."),
    HAND_OFF_AUTO(
            "Hand, off, automatic",
            "In hand it runs, in automatic a switch of the process decides; it starts again by itself when power returns.");

    private final String words;
    private final String why;

    Starting(String words, String why) {
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
