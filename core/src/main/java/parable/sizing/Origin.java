package parable.sizing;

/** Where something that sizing rests on is from. */
public enum Origin {
    /** Somebody states it. */
    GIVEN("given"),
    /** The drawing tells it. */
    DRAWN("from the drawing"),
    /** Nobody says it; it is what is usual. */
    ASSUMED("assumed");

    private final String words;

    Origin(String words) {
        this.words = words;
    }

    /** As it is written on the page. */
    public String words() {
        return words;
    }
}
