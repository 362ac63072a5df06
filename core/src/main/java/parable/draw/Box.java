package parable.draw;

import java.util.List;

/**
 * An upright rectangle of a drawing.
 *
 * @param x left edge
 * @param y top edge
 * @param width not negative
 * @param height not negative
 */
public record Box(double x, double y, double width, double height) {

    /** A box around a centre. */
    static Box around(Point centre, double width, double height) {
        return new Box(centre.x() - width / 2, centre.y() - height / 2, width, height);
    }

    /**
     * The smallest box around others.
     *
     * @throws java.util.NoSuchElementException if there are none
     */
    public static Box around(List<Box> boxes) {
        double left = boxes.stream().mapToDouble(Box::x).min().orElseThrow();
        double top = boxes.stream().mapToDouble(Box::y).min().orElseThrow();
        double right =
                boxes.stream().mapToDouble(box -> box.x + box.width).max().orElseThrow();
        double bottom =
                boxes.stream().mapToDouble(box -> box.y + box.height).max().orElseThrow();
        return new Box(left, top, right - left, bottom - top);
    }

    /**
     * The smallest box over points.
     *
     * @throws java.util.NoSuchElementException if there are none
     */
    public static Box over(List<Point> points) {
        Point first = points.iterator().next();
        double left = first.x();
        double right = first.x();
        double top = first.y();
        double bottom = first.y();
        for (Point point : points) {
            left = Math.min(left, point.x());
            right = Math.max(right, point.x());
            top = Math.min(top, point.y());
            bottom = Math.max(bottom, point.y());
        }
        return new Box(left, top, right - left, bottom - top);
    }

    /** Whether a point is inside or on the edge. */
    public boolean contains(double px, double py) {
        return px >= x && px <= x + width && py >= y && py <= y + height;
    }

    /** This box with so much room around it. */
    public Box widened(double room) {
        return new Box(x - room, y - room, width + 2 * room, height + 2 * room);
    }

    /** Whether two boxes share more than an edge. */
    public boolean overlaps(Box other) {
        return x < other.x + other.width && other.x < x + width && y < other.y + other.height && other.y < y + height;
    }
}
