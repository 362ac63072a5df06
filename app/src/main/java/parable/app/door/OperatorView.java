package parable.app.door;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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
import parable.app.look.Colours;
import parable.app.run.Handle;
import parable.bench.Moment;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;

/** A button or an E-stop on the door: press and hold it with the mouse, or with the key printed on it. */
final class OperatorView extends Tile.Face {

    private static final double RADIUS = 15;
    private static final int RAYS = 12;

    private final Handle handle;
    private final Circle cap;
    private final Circle shadow;
    private final Line pointer = new Line(0, 4, 0, -RADIUS + 3);
    private static final String LONGEST_WORD = "pressed";

    /** About the width of a letter of the word, in pixels. */
    private static final double LETTER = 6.5;

    private final Group rays = new Group();
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
        Group actuator = actuator(tag);
        words.setSpacing(2);
        words.getChildren().addAll(legend(), names(tag, key));
        if (handle.springsBack()) {
            words.getChildren().add(latch(key));
        }
        word.getStyleClass().add("condition");
        word.setMinWidth(roomForWord());
        words.getChildren().add(word);
        getChildren().addAll(actuator, words);
    }

    /** What is pressed or turned: cap, ring, pointer, and the rays of its lamp. */
    private Group actuator(String tag) {
        for (int i = 0; i < RAYS; i++) {
            double angle = 2 * Math.PI * i / RAYS;
            Line ray = new Line(
                    (RADIUS + 6) * Math.cos(angle),
                    (RADIUS + 6) * Math.sin(angle),
                    (RADIUS + 11) * Math.cos(angle),
                    (RADIUS + 11) * Math.sin(angle));
            ray.getStyleClass().add("ray");
            rays.getChildren().add(ray);
        }
        rays.setVisible(false);
        Group actuator = new Group(new Circle(RADIUS + 8, Color.TRANSPARENT), shadow, cap, rays);
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
        return actuator;
    }

    /** Whatever the word becomes, the operators beside this one stay where they are. */
    private double roomForWord() {
        Stream<String> all = handle.part().drive() instanceof Drive.ByTurning turning
                ? turning.arranged().stream()
                : Stream.of(LONGEST_WORD);
        return all.mapToInt(String::length).max().orElse(0) * LETTER;
    }

    private Label legend() {
        Label legend = new Label(handle.part().device().title());
        legend.getStyleClass().add("legend");
        legend.setMinWidth(USE_PREF_SIZE);
        return legend;
    }

    private static HBox names(String tag, KeyCode key) {
        Label tagLabel = new Label(tag);
        tagLabel.getStyleClass().add("tag");
        HBox names = new HBox(6, tagLabel);
        if (key != KeyCode.UNDEFINED) {
            Label keyLabel = new Label(key.getName());
            keyLabel.getStyleClass().add("key");
            names.getChildren().add(keyLabel);
        }
        names.setAlignment(Pos.CENTER_LEFT);
        return names;
    }

    private ToggleButton latch(KeyCode key) {
        latch.setId("latch-" + handle.part().tag());
        latch.getStyleClass().add("latch");
        latch.setFocusTraversable(true);
        latch.setAccessibleText("Hold " + handle.part().tag() + " down"
                + (key == KeyCode.UNDEFINED ? "" : ", or Shift and " + key.getName()));
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
            boolean lit = isLit(moment);
            rays.setVisible(lit);
            showPressed(moment.actuated(tag), condition, lit);
        }
        setAccessibleText(handle.part().device().title() + " " + tag + ": " + condition);
    }

    /** Whether the lamp in it is lit; false for one without. */
    private boolean isLit(Moment moment) {
        List<Load> loads = handle.part().loads();
        return IntStream.range(0, loads.size())
                .anyMatch(load -> loads.get(load).role() == LoadRole.LAMP
                        && moment.energised(handle.part().tag(), load));
    }

    private void showPressed(boolean actuated, String condition, boolean lit) {
        cap.setScaleX(actuated ? 0.8 : 1);
        cap.setScaleY(actuated ? 0.8 : 1);
        boolean tells = actuated || lit;
        word.setText(handle.latchedProperty().get() ? "held" : actuated ? condition : lit ? "lit" : "");
        word.pseudoClassStateChanged(Door.ON, tells);
    }
}
