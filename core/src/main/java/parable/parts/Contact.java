package parable.parts;

/**
 * A contact of a device: two terminals that are joined in some of the device's positions.
 *
 * @param from the marking of one side
 * @param to the marking of the other side
 * @param closedIn bit n is set if it is closed in position n; position 0 is not actuated, as drawn
 *     For an output of a controller it is the number of the bit of the position that closes it.
 * @param pole true for a main pole, false for an auxiliary contact
 * @param output true for an output of a controller
 */
public record Contact(String from, String to, int closedIn, boolean pole, boolean output) {

    private static final int REST = 1;
    private static final int MOVED = 2;
    private static final int ANY = -1;

    /** Open at rest. */
    static Contact normallyOpen(String from, String to) {
        return new Contact(from, to, MOVED, false, false);
    }

    /** Closed at rest. */
    static Contact normallyClosed(String from, String to) {
        return new Contact(from, to, REST, false, false);
    }

    /** Closed in the positions whose bits are set. */
    static Contact closedInPositions(String from, String to, int positions) {
        return new Contact(from, to, positions, false, false);
    }

    /** This contact as a main pole. */
    Contact asPole() {
        return new Contact(from, to, closedIn, true, false);
    }

    /** A main pole, open at rest. */
    static Contact mainPole(String from, String to) {
        return new Contact(from, to, MOVED, true, false);
    }

    /** A main path that is always closed, such as the heater of an overload relay. */
    static Contact throughPath(String from, String to) {
        return new Contact(from, to, ANY, true, false);
    }

    /** An output of a controller, closed while a bit of its position is set; the output of number 0 has bit 1. */
    static Contact output(String from, String to, int number) {
        return new Contact(from, to, number + 1, false, true);
    }

    /** Whether the contact is closed once the device has arrived in this position, 0 to 31, or a controller its outputs. */
    public boolean closedAt(int position) {
        return output ? (position >> closedIn & 1) == 1 : (closedIn >> position & 1) == 1;
    }

    /** Whether it is closed at rest and opens in some other position. */
    public boolean isNormallyClosed() {
        return closedAt(0) && !isThroughPath();
    }

    /** Whether it stays closed in every position. */
    public boolean isThroughPath() {
        return closedIn == ANY;
    }

    /** The marking as it is said: {@code 13-14}. */
    public String marking() {
        return from + "-" + to;
    }
}
