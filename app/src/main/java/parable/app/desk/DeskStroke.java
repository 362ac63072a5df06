package parable.app.desk;

/** What the desk does with the next thing that is typed or chosen. */
public enum DeskStroke {
    /** The words are a rung in the place of the selected one. */
    RUNG("Change this rung", "Enter"),
    /** The words are a rung below the selected one. */
    NEW_RUNG("New rung below", "Insert"),
    /** The word is a device, put in series on the line side. */
    BEFORE("In series before", "Ctrl+1"),
    /** The word is a device, put in series on the return side. */
    AFTER("In series after", "Ctrl+2"),
    /** The word is a device, put in parallel. */
    AROUND("In parallel", "Ctrl+3"),
    /** The word is a device, from behind the selected one to the return rail. */
    BRANCH("Branch to the return", "Ctrl+4"),
    /** The word is a device in the place of the selected one. */
    EXCHANGE("Exchange", "Ctrl+5");

    private final String words;
    private final String key;

    DeskStroke(String words, String key) {
        this.words = words;
        this.key = key;
    }

    /** What stands on its button. */
    public String words() {
        return words;
    }

    /** The key that chooses it. */
    public String key() {
        return key;
    }

    /** Whether it takes a whole rung rather than one device. */
    public boolean takesRung() {
        return this == RUNG || this == NEW_RUNG;
    }
}
