package parable.starters;

/** Where the control voltage comes from. */
public enum ControlSupply implements Choice {
    LINE_TO_NEUTRAL(
            "Line to neutral",
            "One phase and the neutral feed the coils, without a transformer. IEC 60204-1, 9.1.1, leaves that to machines with one motor starter"
                    + " and two control devices at most; it needs a neutral."),
    TRANSFORMER(
            "From a transformer",
            "A transformer on two phases with one side grounded; the coils have their own voltage and their own fuse."),
    DC_24("24 V DC", "A DC supply feeds coils and lamps with 24 V, which is safe to touch on a door."),
    DC_24_WITH_RELAY(
            "24 V DC with a relay",
            "The buttons switch 24 V DC to a relay, whose other contact feeds the contactor from the line; the two supplies never meet.");

    private final String words;
    private final String why;

    ControlSupply(String words, String why) {
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
