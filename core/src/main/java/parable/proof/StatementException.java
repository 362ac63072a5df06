package parable.proof;

/** A sentence that cannot be read as a claim. */
public final class StatementException extends Exception {

    private static final long serialVersionUID = 1;

    private final int at;

    /**
     * A sentence that cannot be read.
     *
     * @param at where the trouble begins, as a position in the sentence, 0 for its first letter
     * @param message what was found there and what was expected
     */
    StatementException(int at, String message) {
        super(message);
        this.at = at;
    }

    /** Where the trouble begins, as a position in the sentence, 0 for its first letter. */
    public int at() {
        return at;
    }
}
