package parable.app.time;

import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.app.run.RunModel;
import parable.app.run.Speed;

/** The controls of time under the drawing. */
public final class TimeBar extends VBox {

    private final RunModel run;
    private final Label clock = new Label();
    private final Label tense = new Label();
    private final Button runOrPause = new Button();
    private final Button now = new Button("Back to now");
    private final Slider past = new Slider();
    private boolean following;

    /** The controls for a running sheet. */
    public TimeBar(RunModel run) {
        this.run = run;
        getStyleClass().add("time-bar");
        clock.setId("clock");
        clock.getStyleClass().add("clock");
        tense.setId("tense");
        tense.getStyleClass().add("tense");
        runOrPause.setId("run-or-pause");
        runOrPause.setOnAction(event -> run.setRunning(!run.runningProperty().get()));
        runOrPause.setMinWidth(92);
        now.setId("back-to-now");
        now.setOnAction(event -> run.backToNow());
        past.setId("past");
        past.setAccessibleText("Time that is looked at");
        HBox.setHgrow(past, Priority.ALWAYS);
        Button back = new ActionButton("step-back", "‹ Back (B)", "To the instant before this one", run::stepBack);
        Button forward = new ActionButton(
                "step-forward", "Next (N) ›", "To the next instant at which anything changes", run::stepForward);
        Button restart = new ActionButton("restart", "Start over", "Everything back to rest at 0 ms", run::restart);
        HBox buttons = new HBox(8, clock, back, runOrPause, forward, speeds(), restart);
        buttons.setAlignment(Pos.CENTER_LEFT);
        HBox line = new HBox(8, tense, past, now);
        line.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(buttons, line);
        run.shownTimeProperty().addListener((any, before, time) -> show());
        run.nowProperty().addListener((any, before, time) -> show());
        run.runningProperty().addListener((any, before, runs) -> show());
        past.valueProperty().addListener((any, before, value) -> {
            if (!following) {
                run.lookAt(Math.round(value.doubleValue()));
            }
        });
        show();
    }

    private HBox speeds() {
        ToggleGroup group = new ToggleGroup();
        HBox box = new HBox();
        box.getStyleClass().add("speeds");
        box.setAlignment(Pos.CENTER_LEFT);
        Label each = new Label("  Each second shows ");
        box.getChildren().add(each);
        for (Speed speed : Speed.values()) {
            ToggleButton button = new ToggleButton(speed.perSecond());
            button.setId("speed-" + speed.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            button.setToggleGroup(group);
            button.setSelected(run.speedProperty().get() == speed);
            button.setOnAction(event -> {
                button.setSelected(true);
                run.speedProperty().set(speed);
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
        tense.setText(
                run.looksBack()
                        ? "Looking back " + Clock.words(present - shown) + ". What you do now goes on from here."
                        : runs ? "Time runs." : "Time stands still.");
        runOrPause.setText(runs ? "Pause (P)" : "Run (P)");
        following = false;
    }
}
