package parable.app.time;

import java.util.List;
import java.util.Locale;
import javafx.beans.property.BooleanProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import parable.app.look.ActionButton;
import parable.app.look.Hint;
import parable.app.run.RunModel;
import parable.app.run.Speed;

/** The controls of time, in one line under the drawing. */
public final class TimeBar extends HBox {

    private final RunModel run;
    private final Label clock = new Label();
    private final Label tense = new Label();
    private final Button runOrPause = new Button();
    private final Button now;
    private final ToggleButton strip = new ToggleButton("Over time");
    private final Slider past = new Slider();
    private final List<Region> leftOut;
    private boolean following;

    /** The controls for a running sheet. */
    public TimeBar(RunModel run) {
        super(6);
        this.run = run;
        getStyleClass().add("time-bar");
        setAlignment(Pos.CENTER_LEFT);
        clock.setId("clock");
        clock.getStyleClass().add("clock");
        tense.setId("tense");
        tense.getStyleClass().add("tense");
        tense.setMouseTransparent(true);
        runOrPause.setId("run-or-pause");
        Hint.on(runOrPause, "Lets time run or stand still  P");
        runOrPause.setOnAction(event -> run.setRunning(!run.runningProperty().get()));
        runOrPause.setMinWidth(64);
        past.setId("past");
        past.setAccessibleText("Time that is looked at");
        past.setMinWidth(60);
        past.setPrefWidth(60);
        HBox.setHgrow(past, Priority.ALWAYS);
        Button back = new ActionButton("step-back", "‹ Back", "To the change before this instant  B", run::stepBack);
        Button forward = new ActionButton(
                "step-forward", "Next ›", "To the next instant at which anything changes  N", run::stepForward);
        now = new ActionButton("back-to-now", "Now", "Back to the present", run::backToNow);
        Button restart = new ActionButton("restart", "Start over", "Everything back to rest at 0 ms", run::restart);
        strip.setId("strip-open");
        Hint.on(strip, "What every device did, side by side over time");
        HBox speeds = speeds();
        getChildren().addAll(clock, back, runOrPause, forward, speeds, past, now, restart, strip);
        leftOut = List.of(speeds, restart, now, strip);
        setMinWidth(0);
        widthProperty().addListener((any, before, width) -> makeRoom());
        keepWidths();
        follow();
        show();
    }

    /** Where the line is short what is needed least is left out first. */
    private void makeRoom() {
        leftOut.forEach(part -> part.setManaged(true));
        for (Region part : leftOut) {
            if (prefWidth(-1) <= getWidth()) {
                break;
            }
            part.setManaged(false);
        }
        leftOut.forEach(part -> part.setVisible(part.isManaged()));
    }

    private void keepWidths() {
        getChildren().stream()
                .filter(part -> part != past)
                .map(Region.class::cast)
                .forEach(part -> {
                    if (part.getMinWidth() == USE_COMPUTED_SIZE) {
                        part.setMinWidth(USE_PREF_SIZE);
                    }
                });
    }

    private void follow() {
        run.shownTimeProperty().addListener((any, before, time) -> show());
        run.nowProperty().addListener((any, before, time) -> show());
        run.runningProperty().addListener((any, before, runs) -> show());
        past.valueProperty().addListener((any, before, value) -> {
            if (!following) {
                run.lookAt(Math.round(value.doubleValue()));
            }
        });
    }

    /** What tells on the drawing that the past is looked at; not seen otherwise. */
    public Label tense() {
        return tense;
    }

    /** Whether the strip over this line is asked for. */
    public BooleanProperty stripProperty() {
        return strip.selectedProperty();
    }

    private HBox speeds() {
        ToggleGroup group = new ToggleGroup();
        HBox box = new HBox();
        box.getStyleClass().add("speeds");
        box.setAlignment(Pos.CENTER_LEFT);
        for (Speed speed : Speed.values()) {
            ToggleButton button = new ToggleButton(speed.perSecond());
            button.setId("speed-" + speed.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            Hint.on(button, "Each second shows " + speed.perSecond());
            button.setAccessibleText("Each second shows " + speed.perSecond());
            button.setToggleGroup(group);
            button.setSelected(run.speedProperty().get() == speed);
            button.setOnAction(event -> button.setSelected(true));
            button.selectedProperty().addListener((any, was, is) -> {
                if (is) {
                    run.speedProperty().set(speed);
                }
            });
            run.speedProperty().addListener((any, before, chosen) -> button.setSelected(chosen == speed));
            box.getChildren().add(button);
        }
        return box;
    }

    private void show() {
        following = true;
        long shown = run.shownTimeProperty().get();
        long present = run.nowProperty().get();
        boolean runs = run.runningProperty().get();
        clock.setText(Clock.words(shown));
        past.setMax(Math.max(1, present));
        past.setValue(shown);
        now.setDisable(!run.looksBack());
        tense.setVisible(run.looksBack());
        tense.setText(
                run.looksBack()
                        ? "Looking back " + Clock.words(present - shown) + ". What you do now goes on from here."
                        : "");
        runOrPause.setText(runs ? "Pause" : "Run");
        following = false;
    }
}
