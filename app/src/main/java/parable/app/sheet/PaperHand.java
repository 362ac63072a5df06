package parable.app.sheet;

import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import parable.app.look.Look;

/** The hand on the paper: dragging moves it, the wheel makes it larger or smaller around what is under the pointer. */
final class PaperHand {

    private final Viewport viewport;
    private final Look look;
    private Optional<Point2D> held = Optional.empty();
    private Optional<Point2D> kept = Optional.empty();

    PaperHand(Viewport viewport, Look look) {
        this.viewport = viewport;
        this.look = look;
    }

    /** Lets a drawing be moved. */
    void hold(Node paper) {
        paper.addEventHandler(MouseEvent.MOUSE_PRESSED, this::grip);
        paper.addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        paper.addEventHandler(ScrollEvent.SCROLL, this::scroll);
    }

    /** The point of the view at which the drawing is to stay when its scale changes, empty if none is; asked for once. */
    Optional<Point2D> takeKept() {
        Optional<Point2D> point = kept;
        kept = Optional.empty();
        return point;
    }

    private void scroll(ScrollEvent event) {
        if (event.isShiftDown() || event.getDeltaY() == 0) {
            viewport.moveBy(-event.getDeltaX(), -event.getDeltaY());
        } else {
            kept = Optional.of(new Point2D(event.getX(), event.getY()));
            look.enlarge((int) Math.signum(event.getDeltaY()));
        }
    }

    /** The paper is taken hold of where nothing is operated. */
    private void grip(MouseEvent event) {
        boolean grips = event.getButton() == MouseButton.MIDDLE
                || event.getButton() == MouseButton.PRIMARY && !(event.getTarget() instanceof HotSpot);
        held = grips ? Optional.of(new Point2D(event.getX(), event.getY())) : Optional.empty();
    }

    private void drag(MouseEvent event) {
        held.ifPresent(from -> {
            viewport.moveBy(from.getX() - event.getX(), from.getY() - event.getY());
            held = Optional.of(new Point2D(event.getX(), event.getY()));
        });
    }
}
