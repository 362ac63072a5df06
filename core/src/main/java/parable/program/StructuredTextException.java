package parable.program;

/** A text that is not Structured Text of the subset that is read. */
public final class StructuredTextException extends Exception {

    private static final long serialVersionUID = 1;

    private final int line;
    private final int column;
    private final String found;
    private final String expected;

    /**
     * What was found at a place.
     *
     * @param line 1 for the first
     * @param column 1 for the first
     */
    StructuredTextException(int line, int column, String found, String expected) {
        super("line " + line + ", column " + column + ": found " + Excerpt.of(found) + ", expected "
                + Excerpt.expected(expected));
        this.line = line;
        this.column = column;
        this.found = Excerpt.of(found);
        this.expected = expected;
    }

    /** The line, 1 for the first. */
    public int line() {
        return line;
    }

    /** What is there, cut short if it is long. */
    public String found() {
        return found;
    }

    /** What would be right there. */
    public String expected() {
        return expected;
    }

    /** The column, 1 for the first. */
    public int column() {
        return column;
    }
}
