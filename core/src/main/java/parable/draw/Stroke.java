package parable.draw;

import java.util.List;

/** One stroke of a symbol. */
public sealed interface Stroke {

    /** This stroke moved by so much. */
    Stroke moved(double dx, double dy);

    /**
     * Straight lines from point to point.
     *
     * @param dashed true for a mechanical link
     */
    record Lines(List<Point> points, boolean dashed) implements Stroke {
        public Lines {
            points = List.copyOf(points);
        }

        @Override
        public Stroke moved(double dx, double dy) {
            return new Lines(points.stream().map(point -> point.plus(dx, dy)).toList(), dashed);
        }
    }

    /** A circle. */
    record Circle(Point centre, double radius, boolean filled) implements Stroke {
        @Override
        public Stroke moved(double dx, double dy) {
            return new Circle(centre.plus(dx, dy), radius, filled);
        }
    }

    /** A filled area. */
    record Area(List<Point> corners) implements Stroke {
        public Area {
            corners = List.copyOf(corners);
        }

        @Override
        public Stroke moved(double dx, double dy) {
            return new Area(corners.stream().map(corner -> corner.plus(dx, dy)).toList());
        }
    }
}
