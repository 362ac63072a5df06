package parable.app.sheet;

import java.util.function.BiConsumer;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import parable.app.look.Ink;
import parable.app.look.Look;
import parable.bench.Moment;
import parable.draw.Box;
import parable.draw.Drawing;

/** All of a drawing as small as a stamp, with a frame around what is in view; a click or a drag goes there. */
final class Overview extends Region {

    private static final double WIDEST = 200;
    private static final double HIGHEST = 110;
    private static final double EDGE = 1;

    /** Of a very large drawing an overview would be one grey patch, and all of it would have to be drawn. */
    private static final int MOST_RUNGS = 300;

    /** Where it covers more of what is looked at, it helps nobody. */
    private static final double MOST_OF_HEIGHT = 0.4;

    /** Of more than these a rung is less than two pixels high, and to draw all of them takes as long as all else that follows an edit. */
    private static final int AT_ONCE = 60;

    private static final Duration AFTER_THE_DRAWING = Duration.millis(100);

    private final Stamp stamp;
    private final Region frame = new Region();
    private final PauseTransition later = new PauseTransition(AFTER_THE_DRAWING);
    private Runnable painting = () -> {};
    private double scale = 1;

    /**
     * An overview.
     *
     * @param look how the window is looked at
     * @param goTo takes the point of the drawing, across and down in its units, that is to be in the middle
     */
    Overview(Look look, BiConsumer<Double, Double> goTo) {
        stamp = new Stamp(WIDEST, HIGHEST, look);
        setId("overview");
        getStyleClass().add("overview");
        frame.getStyleClass().add("overview-frame");
        frame.setMouseTransparent(true);
        frame.setManaged(false);
        setCursor(Cursor.HAND);
        getChildren().addAll(stamp, frame);
        setManaged(false);
        later.setOnFinished(event -> painting.run());
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
    double heightFor(Drawing drawing) {
        return Math.rint(drawing.height() * stamp.scaleFor(drawing)) + 2 * EDGE;
    }

    /** Whether it is worth its place over a drawing of so many rungs in a view of this height, in pixels. */
    boolean helps(Drawing drawing, int rungs, double height) {
        return rungs <= MOST_RUNGS && heightFor(drawing) <= MOST_OF_HEIGHT * height;
    }

    /**
     * Shows a drawing at an instant. A large drawing that is another than before is painted a tenth of a second later.
     *
     * @param rungs how many it has
     * @param view what of the drawing is in view, in its units
     */
    void show(Drawing drawing, int rungs, Moment moment, Box view, Ink ink) {
        painting = () -> stamp.show(drawing, moment, ink);
        if (rungs <= AT_ONCE || stamp.isBlank() || stamp.isOf(drawing)) {
            later.stop();
            painting.run();
        } else if (later.getStatus() != Animation.Status.RUNNING) {
            later.playFromStart();
        }
        scale = stamp.scaleFor(drawing);
        double width = Math.rint(drawing.width() * scale);
        double height = Math.rint(drawing.height() * scale);
        resize(width + 2 * EDGE, height + 2 * EDGE);
        stamp.relocate(EDGE, EDGE);
        double left = Math.max(0, view.x() * scale);
        double top = Math.max(0, view.y() * scale);
        frame.resizeRelocate(
                EDGE + left,
                EDGE + top,
                Math.min(width, (view.x() + view.width()) * scale) - left,
                Math.min(height, (view.y() + view.height()) * scale) - top);
    }
}
