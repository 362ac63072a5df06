package parable.draw;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.draw.Mark.Anchor;
import parable.draw.Mark.TextRole;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Part;

/**
 * The mechanical interlocks between the poles of two contactors: a dashed line from the one to the other with a triangle on it (IEC 60617,
 * 02-12-11).
 */
final class PoleBars {

    private static final double HALF_TRIANGLE = 6;
    private static final double LETTER = 9;
    private static final double BESIDE = 16;
    private static final double BEYOND_NEXT_LANE = 71;

    /** The first and the last pole of a device in one line. */
    private record Row(Point first, Point last) {}

    private final Map<String, Row> rows = new HashMap<>();

    /** Takes note of a pole, from left to right; of those in several lines the first line counts. */
    void note(String tag, Point pole) {
        Row before = rows.get(tag);
        if (before == null) {
            rows.put(tag, new Row(pole, pole));
        } else if (before.first.y() == pole.y()) {
            rows.put(tag, new Row(before.first, pole));
        }
    }

    /** Draws all interlocks of a sheet whose contactors both have poles here. */
    void draw(Assembly assembly, List<Mark> marks) {
        for (Part part : assembly.parts()) {
            if (part.drive() instanceof Drive.Interlocking between
                    && rows.containsKey(between.one())
                    && rows.containsKey(between.other())) {
                boolean inOrder = rows.get(between.one()).last.x()
                        <= rows.get(between.other()).last.x();
                draw(
                        part.tag(),
                        inOrder ? between.one() : between.other(),
                        inOrder ? between.other() : between.one(),
                        marks);
            }
        }
    }

    private void draw(String interlock, String left, String right, List<Mark> marks) {
        Point from = rows.get(left).last.plus(-5, 0);
        Row other = rows.get(right);
        double tag = other.first.x() - Symbols.HALF - 9 - LETTER * right.length() - 3;
        boolean apart = tag > from.x() + 4 * HALF_TRIANGLE;
        Point to = apart ? new Point(tag, other.first.y()) : other.last.plus(-5, 0);
        double turn =
                apart ? Math.min(tag - BESIDE, from.x() + BEYOND_NEXT_LANE) : Math.max(from.x(), to.x()) + 5 + BESIDE;
        List<Point> corners = new ArrayList<>(List.of(from));
        if (from.y() != to.y()) {
            corners.add(new Point(turn, from.y()));
            corners.add(new Point(turn, to.y()));
        }
        corners.add(to);
        for (int i = 1; i < corners.size(); i++) {
            marks.add(new Mark.Link(interlock, corners.get(i - 1), corners.get(i)));
        }
        Point middle = corners.size() == 2
                ? new Point((from.x() + 5 + to.x()) / 2, from.y())
                : new Point((turn + to.x()) / 2, to.y());
        marks.add(triangle(middle));
        marks.add(new Mark.Text(middle.plus(0, HALF_TRIANGLE + 11), interlock, TextRole.NOTE, Anchor.MIDDLE));
    }

    /** The triangle that says that one of the two bars the other. */
    static Mark.Figure triangle(Point at) {
        double half = HALF_TRIANGLE;
        return new Mark.Figure(
                Box.around(at, 2 * half, 2 * half),
                List.of(new Stroke.Area(List.of(at.plus(-half, -half), at.plus(half, -half), at.plus(0, half)))));
    }
}
