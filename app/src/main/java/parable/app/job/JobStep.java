package parable.app.job;

/** What one does with a sheet, in the order one does it. */
public enum JobStep {
    DRAW("Draw", "Ctrl+D", "The circuit, rung by rung"),
    TRY("Try", "Ctrl+U", "Operate the starter, measure, put faults in"),
    CHECK("Check", "Ctrl+K", "What the rules find, and what is proved"),
    SIZE("Size", "Ctrl+H", "From the nameplate to every rating, and into the drawing"),
    PROGRAM("PLC", "Ctrl+G", "The program, or the translation into one"),
    WIRE("Wire", "Ctrl+L", "Wire by wire, ticked off as it is made"),
    TEST("Test", "Ctrl+B", "The test sheet, step by step with the meter"),
    FIND("Find", "Ctrl+W", "What is wrong with the machine, look by look"),
    LOG("Record", "Ctrl+R", "What was found, done and signed");

    private final String words;
    private final String key;
    private final String purpose;

    JobStep(String words, String key, String purpose) {
        this.words = words;
        this.key = key;
        this.purpose = purpose;
    }

    /** What is on its button. */
    public String words() {
        return words;
    }

    /** The key that leads to it. */
    public String key() {
        return key;
    }

    /** What it is for, in a few words. */
    public String purpose() {
        return purpose;
    }
}
