package parable.sizing;

/** Something that sizing cannot rest on: it says what was found, and what is expected or which range there is. */
public final class SizingException extends Exception {

    private static final long serialVersionUID = 1L;

    /**
     * Says what is wrong.
     *
     * @param place what it is about, such as {@code M1, length}
     * @param found what is there
     * @param expected what makes sense
     */
    public SizingException(String place, String found, String expected) {
        super(place + ": found " + (found.isEmpty() ? "nothing" : found) + ", expected " + expected);
    }
}
