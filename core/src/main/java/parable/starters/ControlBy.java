package parable.starters;

/** What decides when the contactors pull in. */
public enum ControlBy implements Choice {
    RELAYS("Relays", "The ladder itself is the logic: every wire can be seen and measured."),
    CONTROLLER(
            "A controller (PLC)",
            "Buttons go to inputs, a program decides, outputs switch the coils; what guards stays in copper.");

    private final String words;
    private final String why;

    ControlBy(String words, String why) {
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
