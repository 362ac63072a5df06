package parable.draw;

import java.util.Arrays;
import java.util.List;

/** Which way the lanes of a diagram run. Symbols and lanes are described along and across the lane. */
enum Axis {
    /** Lanes run from left to right, as in a ladder. */
    RIGHT,
    /** Lanes run from top to bottom, as in a power diagram. */
    DOWN;

    /** The point so far along the lane and so far across it; what is above a row is left of a column. */
    Point point(double along, double across) {
        return this == RIGHT ? new Point(along, across) : new Point(across, along);
    }

    /** A box of this extent around a point. */
    Box box(Point centre, double along, double across) {
        return this == RIGHT ? Box.around(centre, along, across) : Box.around(centre, across, along);
    }

    /** Lines through points given as pairs of along and across, against a centre. */
    Stroke lines(Point centre, double... alongAndAcross) {
        return new Stroke.Lines(points(centre, alongAndAcross), false);
    }

    /** Like {@link #lines}, dashed. */
    Stroke dashes(Point centre, double... alongAndAcross) {
        return new Stroke.Lines(points(centre, alongAndAcross), true);
    }

    /** An area with corners given as pairs of along and across, against a centre. */
    Stroke area(Point centre, double... alongAndAcross) {
        return new Stroke.Area(points(centre, alongAndAcross));
    }

    private List<Point> points(Point centre, double... alongAndAcross) {
        Point[] points = new Point[alongAndAcross.length / 2];
        for (int i = 0; i < points.length; i++) {
            Point offset = point(alongAndAcross[2 * i], alongAndAcross[2 * i + 1]);
            points[i] = centre.plus(offset.x(), offset.y());
        }
        return Arrays.asList(points);
    }
}
