package parable.app.job;

/** What one does with a sheet, in the order one does it. */
public enum JobStep {
    DRAW("Draw Ctrl+D"),
    TRY("Try"),
    CHECK("Check Ctrl+K"),
    PROGRAM("PLC Ctrl+G"),
    WIRE("Wire Ctrl+L"),
    TEST("Test Ctrl+B"),
    LOG("Record Ctrl+R");

    private final String words;

    JobStep(String words) {
        this.words = words;
    }

    /** Whether it belongs to the work at the panel, after the drawing. */
    public boolean isAtThePanel() {
        return compareTo(PROGRAM) > 0;
    }

    /** What is on its button. */
    public String words() {
        return words;
    }
}
