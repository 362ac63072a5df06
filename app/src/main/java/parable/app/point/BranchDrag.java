package parable.app.point;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Point2D;
import javafx.scene.control.Button;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Line;
import parable.offer.Spot;

/** The hand that draws a branch: from the plus on one wire to another wire of the same rung, around all that is between them. */
final class BranchDrag {

    private final Ends ends;
    private final Consumer<Spot> taken;
    private final Line line = new Line();
    private Optional<End> from = Optional.empty();

    /**
     * An end of the branch.
     *
     * @param at where it is, in pixels
     */
    record End(Spot spot, Point2D at) {}

    /** Where branches can begin and end. */
    interface Ends {

        /** The place near a point, in pixels. */
        Optional<End> near(double x, double y);

        /** The place around what is between two others; empty if nothing is. */
        Optional<Spot> around(Spot one, Spot other);
    }

    /**
     * A hand on a plus.
     *
     * @param taken takes the place around what is between the two ends
     */
    BranchDrag(Button plus, Ends ends, Consumer<Spot> taken) {
        this.ends = ends;
        this.taken = taken;
        line.setId("branch-line");
        line.getStyleClass().add("branch-line");
        line.setManaged(false);
        line.setVisible(false);
        line.setMouseTransparent(true);
        plus.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> {
            Point2D at = plus.localToParent(event.getX(), event.getY());
            from = ends.near(at.getX(), at.getY());
        });
        plus.addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> drag(plus.localToParent(event.getX(), event.getY())));
        plus.addEventFilter(MouseEvent.MOUSE_RELEASED, event -> {
            if (line.isVisible()) {
                drop(plus.localToParent(event.getX(), event.getY()));
                plus.disarm();
            }
        });
    }

    /** What is drawn while the hand moves. */
    Line line() {
        return line;
    }

    private void drag(Point2D to) {
        from.filter(end -> end.at().distance(to) > 2).ifPresent(end -> {
            Point2D snapped = ends.near(to.getX(), to.getY())
                    .filter(other -> ends.around(end.spot(), other.spot()).isPresent())
                    .map(End::at)
                    .orElse(to);
            line.setStartX(end.at().getX());
            line.setStartY(end.at().getY());
            line.setEndX(snapped.getX());
            line.setEndY(snapped.getY());
            line.setVisible(end.at().distance(to) > 12);
        });
    }

    private void drop(Point2D to) {
        line.setVisible(false);
        from.flatMap(end -> ends.near(to.getX(), to.getY()).flatMap(other -> ends.around(end.spot(), other.spot())))
                .ifPresent(taken);
        from = Optional.empty();
    }
}
