package parable.files;

import parable.program.Excerpt;

/** An XML text that is not a program of the subset that is read. */
public final class PlcOpenException extends Exception {

    private static final long serialVersionUID = 1;

    private final int line;

    /**
     * What was found in a line.
     *
     * @param line 1 for the first
     */
    PlcOpenException(int line, String found, String expected) {
        super("line " + line + ": found " + Excerpt.of(found) + ", expected " + Excerpt.expected(expected));
        this.line = line;
    }

    /** The line, 1 for the first. */
    public int line() {
        return line;
    }
}
