package parable.app.sheet;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import parable.app.look.Ink;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Point;
import parable.network.NodeState;

/** All of a drawing as small as a stamp, with a frame around what is in view; a click or a drag goes there. */
final class Overview extends Region {

    private static final double WIDEST = 200;
    private static final double HIGHEST = 110;
    private static final double EDGE = 1;

    private final Canvas canvas = new Canvas();
    private final Region frame = new Region();
    private Object painted = List.of();
    private double scale = 1;

    /**
     * An overview.
     *
     * @param goTo takes the point of the drawing, across and down in its units, that is to be in the middle
     */
    Overview(BiConsumer<Double, Double> goTo) {
        setId("overview");
        getStyleClass().add("overview");
        frame.getStyleClass().add("overview-frame");
        frame.setMouseTransparent(true);
        frame.setManaged(false);
        setCursor(Cursor.HAND);
        getChildren().addAll(canvas, frame);
        setManaged(false);
        addEventHandler(MouseEvent.ANY, event -> {
            boolean goes = event.getEventType() == MouseEvent.MOUSE_PRESSED
                    || event.getEventType() == MouseEvent.MOUSE_DRAGGED;
            if (goes) {
                goTo.accept((event.getX() - EDGE) / scale, (event.getY() - EDGE) / scale);
            }
            event.consume();
        });
    }

    /** How high it is for a drawing, in pixels. */
    static double heightFor(Drawing drawing) {
        return Math.rint(drawing.height() * scaleFor(drawing)) + 2 * EDGE;
    }

    private static double scaleFor(Drawing drawing) {
        return Math.min(WIDEST / drawing.width(), HIGHEST / drawing.height());
    }

    /**
     * Shows a drawing.
     *
     * @param seen the wires as they are
     * @param view what of the drawing is in view, in its units
     */
    void show(Drawing drawing, List<Seen> seen, Box view, Ink ink) {
        scale = scaleFor(drawing);
        double width = Math.rint(drawing.width() * scale);
        double height = Math.rint(drawing.height() * scale);
        resize(width + 2 * EDGE, height + 2 * EDGE);
        Object look = List.of(seen, ink);
        if (!look.equals(painted)) {
            painted = look;
            canvas.setWidth(width);
            canvas.setHeight(height);
            paint(seen, ink);
        }
        canvas.relocate(EDGE, EDGE);
        double left = Math.max(0, view.x() * scale);
        double top = Math.max(0, view.y() * scale);
        frame.resizeRelocate(
                EDGE + left,
                EDGE + top,
                Math.min(width, (view.x() + view.width()) * scale) - left,
                Math.min(height, (view.y() + view.height()) * scale) - top);
    }

    private void paint(List<Seen> seen, Ink ink) {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
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
