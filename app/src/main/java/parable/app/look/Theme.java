package parable.app.look;

/** The colours of the window. */
public enum Theme {
    /** For a bright workshop. */
    DAY(Ink.DAYLIGHT),
    /** For a dim room. */
    NIGHT(Ink.NIGHT),
    /** For eyes that need the strongest contrast: black on white, thick where it is live. */
    CONTRAST(Ink.CONTRAST);

    private final Ink ink;

    Theme(Ink ink) {
        this.ink = ink;
    }

    /** The colours of drawings. */
    public Ink ink() {
        return ink;
    }
}
