package parable.files;

import parable.program.Excerpt;

/** A file that is not a job. It carries the line, the field, what was found and what was expected. */
public final class JobFormatException extends Exception {

    private static final long serialVersionUID = 1L;

    private final int line;
    private final String field;
    private final String found;
    private final String expected;

    /**
     * A failure at one place of a file.
     *
     * @param line 1 for the first line
     * @param field the path to the field, for example {@code sheets[0].devices[3].kind}; empty for the file as a whole
     */
    JobFormatException(int line, String field, String found, String expected) {
        super("line " + line + (field.isEmpty() ? "" : ", " + Excerpt.of(field)) + ": found " + Excerpt.of(found)
                + ", expected " + Excerpt.expected(expected));
        this.line = line;
        this.field = field;
        this.found = Excerpt.of(found);
        this.expected = expected;
    }

    /** The line, 1 for the first. */
    public int line() {
        return line;
    }

    /** The path to the field, empty for the file as a whole. */
    public String field() {
        return field;
    }

    /** What is there. */
    public String found() {
        return found;
    }

    /** What would be right there. */
    public String expected() {
        return expected;
    }
}
