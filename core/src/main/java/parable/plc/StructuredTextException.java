package parable.plc;

/** A text that is not Structured Text of the subset that is read. */
public final class StructuredTextException extends Exception {

    private static final long serialVersionUID = 1;
    private static final int MOST_SHOWN = 40;

    private final int line;
    private final int column;

    /**
     * What was found at a place.
     *
     * @param line 1 for the first
     * @param column 1 for the first
     */
    StructuredTextException(int line, int column, String found, String expected) {
        super("line " + line + ", column " + column + ": found " + shown(found) + ", expected " + expected);
        this.line = line;
        this.column = column;
    }

    private static String shown(String found) {
        return found.length() <= MOST_SHOWN ? found : found.substring(0, MOST_SHOWN) + "\u2026";
    }

    /** The line, 1 for the first. */
    public int line() {
        return line;
    }

    /** The column, 1 for the first. */
    public int column() {
        return column;
    }
}
