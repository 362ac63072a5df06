package parable.app.point;

import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.control.Label;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import parable.app.sheet.SheetView;
import parable.circuit.Place;
import parable.offer.Spot;

/** The hand that drags a symbol of the ladder to another place. */
final class SymbolDrag {

    /** So far a hand may tremble, in pixels. */
    private static final double FAR_ENOUGH = 8;

    private final SheetView sheet;
    private final Target target;
    private final Label ghost = new Label();
    private Optional<Place> gripped = Optional.empty();
    private Point2D from = Point2D.ZERO;
    private boolean drags;

    /** Where a symbol is dragged to. */
    interface Target {

        /** Whether symbols can be dragged now. */
        boolean isOpen();

        /** Shows the place near a point of the view where what is dragged would go; empty if there is none in its circuit. */
        Optional<Spot> show(Place dragged, double x, double y);

        /** What is dragged, in a word. */
        String words(Place place);

        /**
         * Puts it there.
         *
         * @param copies whether it stays where it is, and a further contact goes there
         */
        void drop(Place from, Spot to, boolean copies);

        /** Shows no place any more. */
        void end();
    }

    SymbolDrag(SheetView sheet, Target target) {
        this.sheet = sheet;
        this.target = target;
        ghost.setId("drag-ghost");
        ghost.getStyleClass().add("drag-ghost");
        ghost.setManaged(false);
        ghost.setVisible(false);
        ghost.setMouseTransparent(true);
        sheet.addEventFilter(MouseEvent.MOUSE_PRESSED, this::grip);
        sheet.addEventFilter(MouseEvent.MOUSE_DRAGGED, this::drag);
        sheet.addEventFilter(MouseEvent.MOUSE_RELEASED, this::drop);
    }

    /** What goes with the pointer. */
    Label ghost() {
        return ghost;
    }

    private void grip(MouseEvent event) {
        Point2D drawn = sheet.onDrawing(event.getX(), event.getY());
        gripped = target.isOpen() && event.getButton() == MouseButton.PRIMARY && !event.isShiftDown()
                ? sheet.drawing().placeAt(drawn.getX(), drawn.getY())
                : Optional.empty();
        from = new Point2D(event.getX(), event.getY());
        drags = false;
    }

    private void drag(MouseEvent event) {
        if (gripped.isEmpty()) {
            return;
        }
        event.consume();
        drags = drags || from.distance(event.getX(), event.getY()) > FAR_ENOUGH;
        if (drags) {
            ghost.setText((event.isShortcutDown() ? "a further one: " : "") + target.words(gripped.get()));
            ghost.autosize();
            ghost.relocate(event.getX() + 14, event.getY() + 14);
            ghost.setVisible(true);
            target.show(gripped.get(), event.getX(), event.getY());
        }
    }

    private void drop(MouseEvent event) {
        if (gripped.isPresent() && drags) {
            Place place = gripped.get();
            target.show(place, event.getX(), event.getY())
                    .ifPresent(spot -> target.drop(place, spot, event.isShortcutDown()));
            target.end();
        }
        ghost.setVisible(false);
        gripped = Optional.empty();
        drags = false;
    }
}
