package parable.app.sheet;

import java.util.Locale;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import parable.app.look.Hint;
import parable.app.run.Handle;
import parable.bench.Action;
import parable.bench.Moment;
import parable.draw.Box;

/** A place on the drawing where a device can be operated: pointed at, or reached with the tabulator and Space. */
final class HotSpot extends Region {

    private final Handle handle;
    private final Box box;

    HotSpot(Handle handle, Box box) {
        this.handle = handle;
        this.box = box;
        setId("spot-" + handle.part().tag());
        getStyleClass().add("hot-spot");
        setManaged(false);
        setCursor(Cursor.HAND);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        Hint.on(this, "");
        addEventHandler(MouseEvent.MOUSE_PRESSED, event -> {
            if (event.getButton() == MouseButton.PRIMARY) {
                requestFocus();
                handle.grip(this);
            }
        });
        addEventHandler(MouseEvent.MOUSE_RELEASED, event -> handle.letGo(this));
        if (handle.hasStopButton()) {
            addStopButton();
        }
        addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.SPACE || event.getCode() == KeyCode.ENTER) {
                handle.grip(this);
                event.consume();
            }
        });
        addEventHandler(KeyEvent.KEY_RELEASED, event -> handle.letGo(this));
        focusedProperty().addListener((any, had, has) -> handle.letGo(this));
    }

    /** The stop button of an overload relay: under the key S, or in its menu. */
    private void addStopButton() {
        addEventHandler(KeyEvent.ANY, event -> {
            if (event.getCode() == KeyCode.S && !event.isShortcutDown()) {
                handle.stopButton(event.getEventType() == KeyEvent.KEY_PRESSED);
                event.consume();
            }
        });
    }

    /** The device that is operated here. */
    String tag() {
        return handle.part().tag();
    }

    /** The place in drawing units. */
    Box box() {
        return box;
    }

    /** Says what a touch would do at this instant. */
    void show(Moment moment) {
        String tag = handle.part().tag();
        Action next = handle.next(moment);
        String verb = next.verb().word();
        String words = verb.substring(0, 1).toUpperCase(Locale.ROOT) + verb.substring(1) + " " + tag + " ("
                + handle.part().device().title() + ")"
                + (next.position().isEmpty() ? "" : " to " + next.position());
        setAccessibleText(words + ", now " + moment.condition(tag).word());
        setAccessibleHelp(handle.hasStopButton() ? words + "; S: its stop button" : words);
    }
}
