package parable.draw;

/**
 * A point of a drawing. One unit is one pixel at full size; x grows to the right, y downwards.
 *
 * @param x distance from the left edge
 * @param y distance from the top edge
 */
public record Point(double x, double y) {

    /** This point moved by so much. */
    Point plus(double dx, double dy) {
        return new Point(x + dx, y + dy);
    }
}
