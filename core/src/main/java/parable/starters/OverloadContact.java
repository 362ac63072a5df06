package parable.starters;

/** Where the contact of the overload is in the ladder. */
public enum OverloadContact implements Choice {
    FIRST(
            "First in the line",
            "All contacts are on the switched side of the coil, so that an earth fault blows the fuse and bridges none of them."),
    LAST(
            "Between coil and return",
            "Long-standing practice with a grounded 120 V side; an earth fault between coil and contact bridges it.");

    private final String words;
    private final String why;

    OverloadContact(String words, String why) {
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
