package parable.draw;

/** From where one looks at a place. */
public enum PanelSide {
    /** As the operator sees it. */
    FRONT("from the front"),
    /** As the one who wires it sees it, with the door open or the lid turned over: the mirror image of the front. */
    BACK("from behind, mirrored");

    private final String words;

    PanelSide(String words) {
        this.words = words;
    }

    /** Whether left and right have changed sides. */
    public boolean isMirrored() {
        return this == BACK;
    }

    /** As it is written over a view. */
    public String words() {
        return words;
    }
}
