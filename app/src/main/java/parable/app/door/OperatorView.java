package parable.app.door;

import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.transform.Rotate;
import parable.app.run.Handle;
import parable.bench.Moment;
import parable.parts.Drive;
import parable.parts.Family;

/** A button or an E-stop on the door: press and hold it with the mouse, or with the key printed on it. */
final class OperatorView extends Tile.Face {

    private static final double RADIUS = 18;

    private final Handle handle;
    private final Circle cap;
    private final Circle shadow;
    private final Line pointer = new Line(0, 4, 0, -RADIUS + 3);
    private final Label word = new Label();
    private final ToggleButton latch = new ToggleButton("hold");

    OperatorView(Handle handle, KeyCode key) {
        this.handle = handle;
        boolean mushroom = handle.part().family() == Family.EMERGENCY_STOP;
        String tag = handle.part().tag();
        setId("door-" + tag);
        getStyleClass().addAll("door-device", "operator");
        setAccessibleRole(AccessibleRole.BUTTON);
        Color paint = Colours.paint(
                mushroom ? "red" : handle.part().device().setting("colour").orElse("black"));
        cap = new Circle(mushroom ? RADIUS + 3 : RADIUS, paint);
        cap.getStyleClass().add("cap");
        shadow = new Circle(cap.getRadius() + 5);
        shadow.getStyleClass().add(mushroom ? "safety-ring" : "bezel");
        Group actuator = new Group(new Circle(RADIUS + 8, Color.TRANSPARENT), shadow, cap);
        if (handle.part().drive() instanceof Drive.ByTurning) {
            pointer.getStyleClass().add("pointer");
            actuator.getChildren().add(pointer);
        }
        actuator.setId("actuator-" + tag);
        actuator.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> {
            if (event.getButton() == MouseButton.PRIMARY) {
                handle.grip(this);
            }
        });
        actuator.addEventHandler(MouseEvent.MOUSE_RELEASED, event -> handle.letGo(this));
        Label legend = new Label(handle.part().device().title());
        legend.getStyleClass().add("legend");
        legend.setMinWidth(USE_PREF_SIZE);
        Label tagLabel = new Label(tag);
        tagLabel.getStyleClass().add("tag");
        Label keyLabel = new Label(key.getName());
        keyLabel.getStyleClass().add("key");
        HBox names = new HBox(6, tagLabel, keyLabel);
        names.setAlignment(Pos.CENTER_LEFT);
        word.getStyleClass().add("condition");
        words.setSpacing(2);
        words.getChildren().addAll(legend, names);
        if (handle.springsBack()) {
            words.getChildren().add(latch(key));
        }
        words.getChildren().add(word);
        getChildren().addAll(actuator, words);
    }

    private ToggleButton latch(KeyCode key) {
        latch.setId("latch-" + handle.part().tag());
        latch.getStyleClass().add("latch");
        latch.setFocusTraversable(true);
        latch.setAccessibleText("Hold " + handle.part().tag() + " down, or Shift and " + key.getName());
        latch.setOnAction(event -> handle.toggleLatch());
        handle.latchedProperty().addListener((any, before, latched) -> latch.setSelected(latched));
        return latch;
    }

    @Override
    void show(Moment moment) {
        String tag = handle.part().tag();
        String condition = moment.position(tag).orElse(moment.condition(tag).word());
        if (handle.part().drive() instanceof Drive.ByTurning turning) {
            double turned =
                    turning.arranged().indexOf(condition) / (turning.arranged().size() - 1.0);
            pointer.getTransforms().setAll(new Rotate(-45 + 90 * turned, 0, 0));
            word.setText(condition);
        } else {
            showPressed(moment.actuated(tag), condition);
        }
        setAccessibleText(handle.part().device().title() + " " + tag + ": " + condition);
    }

    private void showPressed(boolean actuated, String condition) {
        cap.setScaleX(actuated ? 0.8 : 1);
        cap.setScaleY(actuated ? 0.8 : 1);
        word.setText(handle.latchedProperty().get() ? condition + ", held" : actuated ? condition : "");
        word.pseudoClassStateChanged(Door.ON, actuated);
    }
}
