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
            if (seen instanceof Seen.OnWire on) {
                if (on.mark() instanceof Mark.Wire wire) {
                    paintWire(wire, on.state());
                } else if (on.mark() instanceof Mark.Junction junction) {
                    paintJunction(junction, on.state());
                }
            }
        }
        for (Seen seen : marks) {
            if (seen instanceof Seen.OfSymbol symbol) {
                paintSymbol(symbol);
            } else if (seen instanceof Seen.OfLabel label) {
                paintLabel(label.mark());
                paintNumbers(label);
            } else if (seen instanceof Seen.OfCondition condition) {
                paintCondition(condition.mark(), condition.condition());
            } else if (seen.mark() instanceof Mark.Link link) {
                paintLines(List.of(link.from(), link.to()), THIN, ink.symbol(), 4, 3);
            } else if (seen.mark() instanceof Mark.Figure figure) {
                figure.strokes().forEach(stroke -> paintStroke(stroke, THIN, ink.symbol()));
            }
        }
    }

    private void paintWire(Mark.Wire wire, NodeState state) {
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
        lettering.write("!", x, y + 12, Mark.TextRole.NOTE.size(), true, TextAlignment.CENTER, ink.paper());
    }

    /** The numbers of what is said of a device, each on a disc beside its tag. */
    private void paintNumbers(Seen.OfLabel seen) {
        Mark.Label label = seen.mark();
        double length = LETTER * label.text().length() + DISC;
        double x = label.at().x()
                + switch (label.anchor()) {
                    case START -> length;
                    case MIDDLE -> length - LETTER * label.text().length() / 2;
                    case END -> -length;
                };
        for (int number : seen.numbers()) {
            canvas.setFill(ink.shorted());
            canvas.fillOval(x - DISC, label.at().y() - 4 - DISC, 2 * DISC, 2 * DISC);
            lettering.write(
                    Integer.toString(number),
                    x,
                    label.at().y(),
                    Mark.TextRole.NOTE.size(),
                    true,
                    TextAlignment.CENTER,
                    ink.paper());
            x += 2 * DISC + 1;
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

    private void paintLines(List<Point> points, double width, Color colour, double... dashes) {
        canvas.setStroke(colour);
        canvas.setLineWidth(width);
        canvas.setLineDashes(dashes);
        canvas.beginPath();
        canvas.moveTo(points.get(0).x(), points.get(0).y());
        points.subList(1, points.size()).forEach(point -> canvas.lineTo(point.x(), point.y()));
        canvas.stroke();
    }

    /** A device at work or in trouble is told in bold. */
    private void paintCondition(Mark.Condition mark, Condition condition) {
        lettering.write(
                condition.word(),
                mark.at().x(),
                mark.at().y(),
                Mark.TextRole.NOTE.size(),
                condition.isActive(),
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

    private void paintLabel(Mark.Label label) {
        Mark.TextRole role = label.role();
        boolean quiet = role == Mark.TextRole.NOTE || role == Mark.TextRole.MARKING;
        lettering.write(
                label.text(),
                label.at().x(),
                label.at().y(),
                role.size(),
                role.bold(),
                sideOf(label.anchor()),
                quiet ? ink.quiet() : ink.symbol());
    }
}
