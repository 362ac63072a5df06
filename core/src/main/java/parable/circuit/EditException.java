package parable.circuit;

import parable.program.Excerpt;

/** An edit that does not fit the sheet it was asked of. It carries where, what was found and what was expected. */
public final class EditException extends Exception {

    private static final long serialVersionUID = 1L;

    private final String found;

    /** A failure at a place in the sheet. */
    public EditException(String where, String found, String expected) {
        super(Excerpt.of(where) + ": found " + Excerpt.of(found) + ", expected " + Excerpt.expected(expected));
        this.found = found;
    }

    /** What was found, without where and what was expected: the reason in a few words. */
    public String found() {
        return found;
    }
}
