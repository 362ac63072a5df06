package parable.app.sheet;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import parable.app.look.Ink;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;

/** Paints the wire that is being made: heavier than any other, with its ends ringed. */
public final class WireMark {

    private static final double HEAVY = 5;
    private static final double CORE = 1.6;
    private static final double RING = 8;

    private WireMark() {}

    /** Paints the wires and joints of a drawing of one place. */
    public static void paint(GraphicsContext graphics, Drawing drawing, Ink ink) {
        for (Mark mark : drawing.marks()) {
            if (mark instanceof Mark.WireLine wire) {
                line(graphics, wire.points(), ink);
            } else if (mark instanceof Mark.Junction end) {
                ring(graphics, end.at(), ink);
            }
        }
    }

    /**
     * Paints what is pointed out on the drawing of a sheet: wires heavy, terminals ringed.
     *
     * @param marks what of the drawing is in view
     * @param ends where the terminals that are pointed out are
     */
    public static void paint(GraphicsContext graphics, List<Mark> marks, Marked marked, List<Point> ends, Ink ink) {
        for (Mark mark : marks) {
            if (mark instanceof Mark.WireLine line && marked.wires().contains(line.number())) {
                line(graphics, line.points(), ink);
            }
        }
        ends.forEach(end -> ring(graphics, end, ink));
    }

    /** A heavy line with a light core, told from live wires by that. */
    private static void line(GraphicsContext graphics, List<Point> points, Ink ink) {
        for (double width : new double[] {HEAVY, CORE}) {
            graphics.setStroke(width == HEAVY ? ink.back() : ink.paper());
            graphics.setLineWidth(width);
            graphics.setLineDashes();
            graphics.beginPath();
            graphics.moveTo(points.get(0).x(), points.get(0).y());
            points.subList(1, points.size()).forEach(point -> graphics.lineTo(point.x(), point.y()));
            graphics.stroke();
        }
    }

    private static void ring(GraphicsContext graphics, Point at, Ink ink) {
        graphics.setStroke(ink.back());
        graphics.setLineWidth(3);
        graphics.setLineDashes();
        graphics.strokeOval(at.x() - RING, at.y() - RING, 2 * RING, 2 * RING);
    }
}
