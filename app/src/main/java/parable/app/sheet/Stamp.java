package parable.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import parable.app.look.Ink;
import parable.app.look.Look;
import parable.app.look.SharpCanvas;
import parable.bench.Moment;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;
import parable.network.NodeState;

/** A drawing as small as a stamp: its wires as they are, and a dot for each symbol. */
public final class Stamp extends Region {

    private final double widest;
    private final double highest;
    private final SharpCanvas canvas;
    private List<Seen> painted = List.of();
    private Optional<Ink> worn = Optional.empty();
    private Optional<Drawing> shown = Optional.empty();
    private double scale = 1;

    /**
     * An empty stamp.
     *
     * @param widest no stamp is wider, in pixels
     * @param highest no stamp is higher, in pixels
     * @param look how the window is looked at
     */
    public Stamp(double widest, double highest, Look look) {
        this.widest = widest;
        this.highest = highest;
        canvas = new SharpCanvas(look);
        canvas.densityProperty().addListener((any, before, now) -> worn.ifPresent(ink -> paint(painted, ink)));
        getChildren().add(canvas);
    }

    /** Whether nothing was shown yet. */
    boolean isBlank() {
        return shown.isEmpty();
    }

    /** Whether it is this very drawing that was shown last. */
    boolean isOf(Drawing drawing) {
        return shown.filter(last -> last == drawing).isPresent();
    }

    /** Pixels for a unit of a drawing. */
    double scaleFor(Drawing drawing) {
        return Math.min(widest / drawing.width(), highest / drawing.height());
    }

    /** Shows a drawing as it is at an instant; nothing is painted if it looks as before. */
    public void show(Drawing drawing, Moment moment, Ink ink) {
        shown = Optional.of(drawing);
        List<Mark> strokes = drawing.marks().stream()
                .filter(mark -> mark instanceof Mark.WireLine || mark instanceof Mark.Symbol)
                .toList();
        List<Seen> seen = new Sight(moment, (fault, subject) -> false, Map.of()).of(strokes);
        scale = scaleFor(drawing);
        if (!seen.equals(painted) || !worn.equals(Optional.of(ink))) {
            painted = seen;
            worn = Optional.of(ink);
            double width = Math.rint(drawing.width() * scale);
            double height = Math.rint(drawing.height() * scale);
            setMinSize(width, height);
            setMaxSize(width, height);
            resize(width, height);
            canvas.resize(width, height);
            paint(seen, ink);
        }
    }

    private void paint(List<Seen> seen, Ink ink) {
        canvas.paint(graphics -> paint(graphics, seen, ink));
    }

    private void paint(GraphicsContext graphics, List<Seen> seen, Ink ink) {
        graphics.setFill(ink.paper());
        graphics.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
        for (Seen one : seen) {
            if (one instanceof Seen.OnWire wire) {
                line(graphics, wire.mark().points(), ink.of(wire.state()), wire.state() != NodeState.DEAD);
            } else if (one instanceof Seen.OfSymbol symbol) {
                Box box = symbol.mark().box();
                graphics.setFill(ink.symbol());
                graphics.fillRect(
                        (box.x() + box.width() / 2) * scale - 1.5, (box.y() + box.height() / 2) * scale - 1.5, 3, 3);
            }
        }
    }

    private void line(GraphicsContext graphics, List<Point> points, Color colour, boolean strong) {
        graphics.setStroke(colour);
        graphics.setLineWidth(strong ? 1.5 : 0.6);
        for (int i = 0; i + 1 < points.size(); i++) {
            Point from = points.get(i);
            Point to = points.get(i + 1);
            graphics.strokeLine(from.x() * scale, from.y() * scale, to.x() * scale, to.y() * scale);
        }
    }
}
