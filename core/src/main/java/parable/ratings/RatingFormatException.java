package parable.ratings;

/** A table that makes no sense as it is written. */
public final class RatingFormatException extends Exception {

    private static final long serialVersionUID = 1L;

    /**
     * Says what is wrong.
     *
     * @param place the table and its row
     * @param found what is there
     * @param expected what should be
     */
    public RatingFormatException(String place, String found, String expected) {
        super(place + ": found " + found + ", expected " + expected);
    }
}
