package parable.app.point;

import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import parable.app.sheet.SelectedBox;
import parable.app.sheet.SheetView;
import parable.circuit.Place;
import parable.desk.Stretch;
import parable.draw.Box;

/** The hand that drags an end of what is selected along its rung. */
final class StretchDrag {

    /** So near to an end it is gripped, in pixels. */
    private static final double NEAR = 7;

    private final SheetView sheet;
    private final PointModel model;
    private Optional<Place> fixed = Optional.empty();

    StretchDrag(SheetView sheet, PointModel model) {
        this.sheet = sheet;
        this.model = model;
        sheet.addEventFilter(MouseEvent.MOUSE_PRESSED, this::grip);
        sheet.addEventFilter(MouseEvent.MOUSE_DRAGGED, this::drag);
        sheet.addEventFilter(MouseEvent.MOUSE_RELEASED, event -> {
            if (fixed.isPresent()) {
                fixed = Optional.empty();
                event.consume();
            }
        });
        sheet.addEventHandler(MouseEvent.MOUSE_MOVED, event -> {
            if (sheet.isDrawnOn()) {
                sheet.setCursor(end(event).isPresent() ? Cursor.H_RESIZE : Cursor.DEFAULT);
            }
        });
    }

    /** The end that stays when that near the pointer is dragged; empty if none is near. */
    private Optional<Place> end(MouseEvent event) {
        Optional<Stretch> selected = model.selected();
        return selected.flatMap(
                stretch -> SelectedBox.framed(sheet.drawing(), stretch).flatMap(box -> {
                    Point2D at = sheet.onDrawing(event.getX(), event.getY());
                    double near = NEAR / sheet.scale();
                    boolean beside = at.getY() > box.y() && at.getY() < box.y() + box.height();
                    return beside ? other(stretch, box, at.getX(), near) : Optional.empty();
                }));
    }

    private static Optional<Place> other(Stretch stretch, Box box, double x, double near) {
        if (Math.abs(x - box.x()) < near) {
            return Optional.of(
                    new Place(stretch.first().circuit(), stretch.first().rung(), stretch.last()));
        }
        return Math.abs(x - box.x() - box.width()) < near ? Optional.of(stretch.first()) : Optional.empty();
    }

    private void grip(MouseEvent event) {
        fixed = sheet.isDrawnOn() && event.getButton() == MouseButton.PRIMARY && !event.isShiftDown()
                ? end(event)
                : Optional.empty();
        if (fixed.isPresent()) {
            event.consume();
        }
    }

    private void drag(MouseEvent event) {
        fixed.ifPresent(from -> {
            Point2D at = sheet.onDrawing(event.getX(), event.getY());
            Optional<Box> row = sheet.drawing().boxOf(from);
            row.flatMap(box -> sheet.drawing().placeAt(at.getX(), box.y() + box.height() / 2))
                    .filter(place -> place.rung() == from.rung() && place.circuit() == from.circuit())
                    .ifPresent(place -> model.reach(from, place));
            event.consume();
        });
    }
}
