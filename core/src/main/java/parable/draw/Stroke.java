package parable.draw;

import java.util.List;

/** One stroke of a symbol. */
public sealed interface Stroke {

    /**
     * Straight lines from point to point.
     *
     * @param dashed true for a mechanical link
     */
    record Lines(List<Point> points, boolean dashed) implements Stroke {
        public Lines {
            points = List.copyOf(points);
        }
    }

    /** A circle. */
    record Circle(Point centre, double radius, boolean filled) implements Stroke {}

    /** A filled area. */
    record Area(List<Point> corners) implements Stroke {
        public Area {
            corners = List.copyOf(corners);
        }
    }
}
