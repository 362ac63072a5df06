package parable.program;

/**
 * A word, number, sign or comment of a text.
 *
 * @param line where it begins, 1 for the first
 * @param column where it begins, 1 for the first
 */
record Token(Kind kind, String text, int line, int column) {

    /** What it is. */
    enum Kind {
        WORD,
        NUMBER,
        TIME,
        ADDRESS,
        SIGN,
        COMMENT,
        END
    }

    boolean is(String word) {
        return (kind == Kind.WORD || kind == Kind.SIGN) && text.equalsIgnoreCase(word);
    }

    StructuredTextException expected(String expected) {
        return new StructuredTextException(line, column, kind == Kind.END ? "the end of the text" : text, expected);
    }
}
