package parable.testsheet;

/** In what condition the panel is tested, in the order in which it is done. */
public enum Phase {
    /** Every supply off and locked: ohms only. */
    DEAD("Dead", "Every supply off, locked and proved dead."),
    /** The control circuit alone; the motors' leads are off their terminals. */
    CONTROL("Control only", "Motor leads off their terminals and insulated; then the supply on."),
    /** All of it. */
    MOTOR("With motor", "Motor connected, machine clear of people, everything covered.");

    private final String words;
    private final String condition;

    Phase(String words, String condition) {
        this.words = words;
        this.condition = condition;
    }

    /** Its heading. */
    public String words() {
        return words;
    }

    /** How the panel must be before its first step. */
    public String condition() {
        return condition;
    }
}
