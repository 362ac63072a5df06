package parable.desk;

/** What the desk does with the next thing that is typed or chosen. */
public enum DeskStroke {
    /** The words are a rung in the place of the selected one. */
    RUNG("Change this rung"),
    /** The words are a rung below the selected one. */
    NEW_RUNG("New rung below"),
    /** The word is a device, put in series on the line side. */
    BEFORE("In series before"),
    /** The word is a device, put in series on the return side. */
    AFTER("In series after"),
    /** The word is a device, put in parallel. */
    AROUND("In parallel"),
    /** The word is a device, from behind the selected one to the return rail. */
    BRANCH("Branch to the return"),
    /** The word is a device in the place of the selected one. */
    EXCHANGE("Exchange");

    private final String words;

    DeskStroke(String words) {
        this.words = words;
    }

    /** What is on its button. */
    public String words() {
        return words;
    }

    /** Whether it takes a whole rung rather than one device. */
    public boolean takesRung() {
        return this == RUNG || this == NEW_RUNG;
    }
}
