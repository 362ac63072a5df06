package parable.circuit;

/** The two circuits of a sheet. */
public enum Circuit {
    POWER("power circuit"),
    CONTROL("ladder");

    private final String words;

    Circuit(String words) {
        this.words = words;
    }

    /** The circuit in a sentence: {@code power circuit}. */
    public String words() {
        return words;
    }
}
