package parable.desk;

/** What is done with what is typed for a program. */
public enum ProgramStroke {
    /** The line is a statement in the place of the selected network. */
    CHANGE("Change", "the selected network, as a statement"),
    /** The line is a statement below the selected network. */
    NEW("New network", "below the selected one"),
    /** The line is a contact on the left of the selected one. */
    BEFORE("Before", "in series before the selected contact"),
    /** The line is a contact on the right of the selected one. */
    AFTER("After", "in series after the selected contact"),
    /** The line is a contact beside the selected one. */
    AROUND("Around", "in parallel with the selected contact");

    private final String words;
    private final String help;

    ProgramStroke(String words, String help) {
        this.words = words;
        this.help = help;
    }

    /** Its name. */
    public String words() {
        return words;
    }

    /** Where what is typed goes. */
    public String help() {
        return help;
    }
}
