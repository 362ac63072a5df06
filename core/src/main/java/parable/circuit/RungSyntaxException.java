package parable.circuit;

import parable.program.Excerpt;

/** A line of the compact notation that says no rung. It carries where, what was found and what was expected. */
public final class RungSyntaxException extends Exception {

    private static final long serialVersionUID = 1L;

    private final int column;
    private final String found;
    private final String expected;

    /**
     * A failure at a place in the line.
     *
     * @param column 1 for the first character
     * @param why empty if found and expected say it all
     */
    public RungSyntaxException(int column, String found, String expected, String why) {
        super("column " + column + ": found '" + Excerpt.of(found) + "', expected " + Excerpt.expected(expected)
                + (why.isEmpty() ? "" : " (" + why + ")"));
        this.column = column;
        this.found = Excerpt.of(found);
        this.expected = expected;
    }

    /** The column in the line, 1 for the first character. */
    public int column() {
        return column;
    }

    /** The text found there. */
    public String found() {
        return found;
    }

    /** What would have been right there. */
    public String expected() {
        return expected;
    }
}
