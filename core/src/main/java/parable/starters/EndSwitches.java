package parable.starters;

/** What the ends of a travel do. */
public enum EndSwitches implements Choice {
    NONE("No end switches", "The travel has no ends."),
    STOP("They stop it", "Each end switch opens the coil that drives towards it."),
    TURN_ROUND(
            "They turn it round",
            "Each end switch opens the coil that drives towards it and starts the other direction, as long as a run relay is in: a stop or a loss of power"
                    + " lets that go, so that nothing starts by itself. Beyond each end a further switch stops everything.");

    private final String words;
    private final String why;

    EndSwitches(String words, String why) {
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
