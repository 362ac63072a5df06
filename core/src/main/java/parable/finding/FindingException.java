package parable.finding;

/** Something that was told of a fault makes no sense; the message names the place, what was found there and what was expected. */
public final class FindingException extends Exception {

    private static final long serialVersionUID = 1;

    /**
     * What makes no sense.
     *
     * @param found what was said, empty for nothing
     * @param expected what would make sense
     */
    public FindingException(String place, String found, String expected) {
        super(place + ": found " + (found.isEmpty() ? "nothing" : found) + ", expected " + expected);
    }
}
