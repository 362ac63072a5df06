package parable.wiring;

/**
 * The room that a device takes in its place, seen from the front.
 *
 * @param place where it is mounted
 * @param x its left edge, in mm from the left edge of the place
 * @param y its upper edge, in mm from the upper edge of the place
 * @param width in mm
 * @param height in mm
 */
public record Footprint(String place, double x, double y, double width, double height) {

    /** The right edge, in mm from the left edge of the place. */
    public double right() {
        return x + width;
    }

    /** The lower edge, in mm from the upper edge of the place. */
    public double bottom() {
        return y + height;
    }
}
