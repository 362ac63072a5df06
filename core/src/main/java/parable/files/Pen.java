package parable.files;

import java.util.List;
import parable.draw.Mark;
import parable.draw.Point;

/** Draws in black on white, in drawing units: x to the right, y downwards. */
interface Pen {

    /**
     * Straight lines from point to point.
     *
     * @param dashes lengths drawn and left out in turn; none for an unbroken line
     */
    void lines(List<Point> points, double width, double... dashes);

    /** A circle. */
    void circle(Point centre, double radius, double width, boolean filled);

    /** A filled area. */
    void area(List<Point> corners);

    /** A text. */
    void text(Mark.Text label);
}
