package parable.circuit;

/**
 * Where a device stands in its place: its left upper corner, seen from the front.
 *
 * @param x from the left edge of the place, in mm, not negative
 * @param y from its upper edge, in mm, not negative
 */
public record Position(int x, int y) {

    /** As it is written in a job file: {@code 120,40}. */
    @Override
    public String toString() {
        return x + "," + y;
    }
}
