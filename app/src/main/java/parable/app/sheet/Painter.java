package parable.app.sheet;

import java.util.List;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.TextAlignment;
import parable.app.look.Ink;
import parable.app.look.Lettering;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;
import parable.draw.Stroke;
import parable.draw.Subject;
import parable.network.NodeState;

/** Paints a drawing as it is at one instant. */
public final class Painter {

    private static final double DASH = 4;
    private static final double GAP = 3;
    private static final double THIN = 1.5;
    private static final double HEAVY = 3.2;
    private static final double DISC = 8;

    /** About the width of a letter of a tag. */
    private static final double LETTER = 9;

    private final GraphicsContext canvas;
    private final Ink ink;
    private final Lettering lettering;

    /** A painter in these colours. */
    public Painter(GraphicsContext canvas, Ink ink) {
        this.canvas = canvas;
        this.ink = ink;
        this.lettering = new Lettering(canvas);
    }

    /** Paints all of a drawing at an instant, with no fault flagged; the canvas must be scaled and moved already. */
    public void paint(Drawing drawing, Moment moment) {
        paint(new Sight(moment, (fault, subject) -> false, Map.of()).of(drawing.marks()));
    }

    /** Paints marks, wires below all else; the canvas must be scaled and moved already. */
    void paint(List<Seen> marks) {
        canvas.setLineCap(StrokeLineCap.ROUND);
        canvas.setLineJoin(StrokeLineJoin.ROUND);
        canvas.setTextBaseline(VPos.BASELINE);
        for (Seen seen : marks) {
            if (seen instanceof Seen.OnWire wire) {
                paintWire(wire.mark(), wire.state());
            } else if (seen instanceof Seen.OnJunction junction) {
                paintJunction(junction.mark(), junction.state());
            }
        }
        for (Seen seen : marks) {
            if (seen instanceof Seen.OfSymbol symbol) {
                paintSymbol(symbol);
            } else if (seen instanceof Seen.OfLabel label) {
                paintLabel(label.mark());
                paintDiscs(label);
            } else if (seen instanceof Seen.OfCondition condition) {
                paintCondition(condition.mark(), condition.condition());
            } else if (seen instanceof Seen.OfLink link) {
                paintDashed(link.mark().from(), link.mark().to(), ink.symbol());
            } else if (seen instanceof Seen.OfFigure figure) {
                figure.mark().strokes().forEach(stroke -> paintStroke(stroke, THIN, ink.symbol()));
            }
        }
    }

    private void paintWire(Mark.WireLine wire, NodeState state) {
        paintLines(wire.points(), Ink.widthOf(state), ink.of(state), Ink.dashesOf(state));
    }

    private void paintJunction(Mark.Junction junction, NodeState state) {
        double radius = 2.6 + Ink.widthOf(state) / 2;
        canvas.setFill(ink.of(state));
        canvas.fillOval(junction.at().x() - radius, junction.at().y() - radius, 2 * radius, 2 * radius);
    }

    private void paintSymbol(Seen.OfSymbol seen) {
        Mark.Symbol symbol = seen.mark();
        boolean on = seen.on();
        boolean load = !(symbol.subject() instanceof Subject.OfContact);
        symbol.always().forEach(stroke -> paintStroke(stroke, on && load ? HEAVY : THIN + 0.4, ink.symbol()));
        Color colour = on && !load ? ink.of(seen.state()) : ink.symbol();
        if (seen.faulty()) {
            paintWarning(symbol.box());
        }
        (on ? symbol.on() : symbol.off()).forEach(stroke -> paintStroke(stroke, on ? HEAVY : 2.2, colour));
    }

    /** A flag with an exclamation mark at the corner of a symbol that has a fault. */
    private void paintWarning(Box box) {
        double x = box.x() + box.width() + 1;
        double y = box.y() - 2;
        canvas.setFill(ink.shorted());
        canvas.fillPolygon(new double[] {x - 9, x + 9, x}, new double[] {y + 14, y + 14, y - 3}, 3);
        lettering.write(
                "!", x, y + 12, Lettering.Face.bold(Mark.TextRole.NOTE.size()), TextAlignment.CENTER, ink.paper());
    }

    /** The numbers of what is said of a device, each on a disc beside its tag. */
    private void paintDiscs(Seen.OfLabel seen) {
        Mark.Text label = seen.mark();
        double length = LETTER * label.text().length() + DISC;
        double x = label.at().x()
                + switch (label.anchor()) {
                    case START -> length;
                    case MIDDLE -> length - LETTER * label.text().length() / 2;
                    case END -> -length;
                };
        for (String number : seen.discs()) {
            double width = 2 * DISC + Math.max(0, number.length() - 2) * LETTER;
            canvas.setFill(ink.shorted());
            canvas.fillRoundRect(x - DISC, label.at().y() - 4 - DISC, width, 2 * DISC, 2 * DISC, 2 * DISC);
            lettering.write(
                    number,
                    x - DISC + width / 2,
                    label.at().y(),
                    Lettering.Face.bold(Mark.TextRole.NOTE.size()),
                    TextAlignment.CENTER,
                    ink.paper());
            x += width + 1;
        }
    }

    private void paintStroke(Stroke stroke, double width, Color colour) {
        if (stroke instanceof Stroke.Lines lines) {
            if (lines.dashed()) {
                paintLines(lines.points(), THIN, ink.symbol(), 3, 3);
            } else {
                paintLines(lines.points(), width, colour);
            }
        } else if (stroke instanceof Stroke.Circle circle) {
            double radius = circle.radius();
            canvas.setStroke(colour);
            canvas.setLineWidth(width);
            canvas.setLineDashes();
            canvas.strokeOval(circle.centre().x() - radius, circle.centre().y() - radius, 2 * radius, 2 * radius);
        } else if (stroke instanceof Stroke.Area area) {
            canvas.setFill(colour);
            canvas.fillPolygon(
                    area.corners().stream().mapToDouble(Point::x).toArray(),
                    area.corners().stream().mapToDouble(Point::y).toArray(),
                    area.corners().size());
        }
    }

    /** Upright and level lines are filled as bars, which takes far less time than stroking them. */
    private void paintLines(List<Point> points, double width, Color colour, double... dashes) {
        if (dashes.length == 0 && isSquare(points)) {
            paintBars(points, width, colour);
            return;
        }
        canvas.setStroke(colour);
        canvas.setLineWidth(width);
        canvas.setLineDashes(dashes);
        canvas.beginPath();
        canvas.moveTo(points.get(0).x(), points.get(0).y());
        points.subList(1, points.size()).forEach(point -> canvas.lineTo(point.x(), point.y()));
        canvas.stroke();
    }

    /** Dash by dash, so that each is where it belongs also on a patch that the line only passes; a stroke would begin anew at the patch's edge. */
    private void paintDashed(Point from, Point to, Color colour) {
        double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
        for (double at = 0; at < length; at += DASH + GAP) {
            double end = Math.min(length, at + DASH);
            paintBars(List.of(between(from, to, at / length), between(from, to, end / length)), THIN, colour);
        }
    }

    private static Point between(Point from, Point to, double share) {
        return new Point(from.x() + share * (to.x() - from.x()), from.y() + share * (to.y() - from.y()));
    }

    private static boolean isSquare(List<Point> points) {
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).x() != points.get(i - 1).x()
                    && points.get(i).y() != points.get(i - 1).y()) {
                return false;
            }
        }
        return true;
    }

    private void paintBars(List<Point> corners, double width, Color colour) {
        canvas.setFill(colour);
        for (int i = 1; i < corners.size(); i++) {
            Point from = corners.get(i - 1);
            Point to = corners.get(i);
            canvas.fillRect(
                    Math.min(from.x(), to.x()) - width / 2,
                    Math.min(from.y(), to.y()) - width / 2,
                    Math.abs(from.x() - to.x()) + width,
                    Math.abs(from.y() - to.y()) + width);
        }
    }

    /** A device at work or in trouble is told in bold. */
    private void paintCondition(Mark.ConditionSpot mark, Condition condition) {
        lettering.write(
                condition.word(),
                mark.at().x(),
                mark.at().y(),
                new Lettering.Face(condition.isActive(), Mark.TextRole.NOTE.size()),
                sideOf(mark.anchor()),
                condition.isActive() ? ink.symbol() : ink.quiet());
    }

    private static TextAlignment sideOf(Mark.Anchor anchor) {
        return switch (anchor) {
            case START -> TextAlignment.LEFT;
            case MIDDLE -> TextAlignment.CENTER;
            case END -> TextAlignment.RIGHT;
        };
    }

    private void paintLabel(Mark.Text label) {
        Mark.TextRole role = label.role();
        boolean quiet = role == Mark.TextRole.NOTE || role == Mark.TextRole.MARKING;
        lettering.write(
                label.text(),
                label.at().x(),
                label.at().y(),
                new Lettering.Face(role.bold(), role.size()),
                sideOf(label.anchor()),
                quiet ? ink.quiet() : ink.symbol());
    }
}
