package parable.app;

/** What one does with a sheet, in the order one does it. */
enum Step {
    DRAW("Draw Ctrl+D"),
    TRY("Try"),
    CHECK("Check Ctrl+K"),
    PROGRAM("PLC Ctrl+G");

    private final String words;

    Step(String words) {
        this.words = words;
    }

    /** What stands on its button. */
    String words() {
        return words;
    }
}
