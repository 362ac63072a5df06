package parable.app.door;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import parable.app.look.Hint;

/** Lets a device of the door be mounted elsewhere: drag its name onto another plate, or choose the place from a menu. */
final class Mounted {

    private static final double FAR_ENOUGH = 10;

    private final Region device;
    private final String tag;
    private final Supplier<Iterable<Plate>> plates;
    private final Placing placing;
    private Optional<Point2D> gripped = Optional.empty();

    private Mounted(Region device, String tag, Supplier<Iterable<Plate>> plates, Placing placing) {
        this.device = device;
        this.tag = tag;
        this.plates = plates;
        this.placing = placing;
    }

    /**
     * Makes a device movable.
     *
     * @param name what is dragged
     */
    static void let(Region device, Node name, String tag, Supplier<Iterable<Plate>> plates, Placing placing) {
        Mounted mounted = new Mounted(device, tag, plates, placing);
        name.setCursor(Cursor.MOVE);
        Hint.on(name, "Drag " + tag + " to another plate, or press the right button");
        name.addEventHandler(MouseEvent.MOUSE_PRESSED, mounted::grip);
        name.addEventHandler(MouseEvent.MOUSE_DRAGGED, mounted::drag);
        name.addEventHandler(MouseEvent.MOUSE_RELEASED, mounted::drop);
        device.setOnContextMenuRequested(event -> mounted.menu().show(device, event.getScreenX(), event.getScreenY()));
    }

    private void grip(MouseEvent event) {
        if (event.getButton() == MouseButton.PRIMARY) {
            gripped = Optional.of(new Point2D(event.getSceneX(), event.getSceneY()));
        }
    }

    private void drag(MouseEvent event) {
        gripped.ifPresent(from -> {
            device.setTranslateX(event.getSceneX() - from.getX());
            device.setTranslateY(event.getSceneY() - from.getY());
            device.setViewOrder(-1);
        });
    }

    private void drop(MouseEvent event) {
        Optional<Point2D> from = gripped;
        gripped = Optional.empty();
        device.setTranslateX(0);
        device.setTranslateY(0);
        device.setViewOrder(0);
        from.filter(at -> at.distance(event.getSceneX(), event.getSceneY()) > FAR_ENOUGH)
                .flatMap(at -> plateAt(event.getSceneX(), event.getSceneY()))
                .ifPresent(plate -> placing.put(tag, plate.place()));
    }

    private Optional<Plate> plateAt(double x, double y) {
        for (Plate plate : plates.get()) {
            if (plate.localToScene(plate.getBoundsInLocal()).contains(x, y)) {
                return Optional.of(plate);
            }
        }
        return Optional.empty();
    }

    private ContextMenu menu() {
        ContextMenu menu = new ContextMenu();
        for (Plate plate : plates.get()) {
            menu.getItems()
                    .add(item("Mount on: " + plate.place(), plate.place(), () -> placing.put(tag, plate.place())));
        }
        menu.getItems().add(item("Mount in another place\u2026", "elsewhere", () -> placing.putElsewhere(tag)));
        return menu;
    }

    private MenuItem item(String words, String id, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId("mount-" + tag + "-" + id.toLowerCase(Locale.ROOT).replace(' ', '-'));
        item.setOnAction(event -> action.run());
        return item;
    }
}
