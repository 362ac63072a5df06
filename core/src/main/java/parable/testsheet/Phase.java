package parable.testsheet;

/** In what condition the panel is tested, in the order in which it is done. */
public enum Phase {
    /** Every supply off and locked: ohms only. */
    DEAD("Dead", "supply off", "Every supply off, locked and proved dead."),
    /** The control circuit alone; the motors' leads are off their terminals. */
    CONTROL("Control only", "motor leads OFF", "Motor leads off their terminals and insulated; then the supply on."),
    /** All of it. */
    MOTOR(
            "With motor",
            "motor connected",
            "Motor leads back on their terminals and checked, machine clear of people, everything covered.");

    private final String words;
    private final String reminder;
    private final String condition;

    Phase(String words, String reminder, String condition) {
        this.words = words;
        this.reminder = reminder;
        this.condition = condition;
    }

    /** Its heading. */
    public String words() {
        return words;
    }

    /** What must be so at each of its steps, in two or three words: what is read on paper may be read alone. */
    public String reminder() {
        return reminder;
    }

    /** How the panel must be before its first step. */
    public String condition() {
        return condition;
    }
}
