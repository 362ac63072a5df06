package parable.app.machine;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.Hint;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.bench.Moment;
import parable.parts.Part;
import parable.parts.Verb;

/** For each motor its load, which can be changed, and for each overload release how near it is to tripping. */
public final class MachineView extends VBox {

    private static final int STEP = 10;
    private static final int MOST = 300;

    private final RunModel run;
    private List<Part> motors = List.of();
    private List<Part> releases = List.of();
    private List<Label> loads = List.of();
    private final Label warmth = new Label();

    /** The machines of a running sheet. */
    public MachineView(RunModel run) {
        this.run = run;
        setId("machine");
        getStyleClass().add("machine");
        warmth.setId("warmth");
        warmth.getStyleClass().add("warmth");
        fit();
        run.assemblyProperty().addListener((any, before, changed) -> fit());
        run.shownTimeProperty().addListener((any, before, time) -> show());
        run.shownProperty().addListener((any, before, moment) -> show());
    }

    private void fit() {
        List<String> before = motors.stream().map(Part::tag).toList();
        motors = run.assembly().parts().stream()
                .filter(part -> part.machine().isPresent())
                .toList();
        releases = run.assembly().parts().stream()
                .filter(part -> part.heater().isPresent())
                .toList();
        if (!before.isEmpty() && before.equals(motors.stream().map(Part::tag).toList())) {
            show();
            return;
        }
        loads = motors.stream().map(motor -> new Label()).toList();
        getChildren().clear();
        for (int i = 0; i < motors.size(); i++) {
            getChildren().add(line(motors.get(i).tag(), loads.get(i)));
        }
        if (!releases.isEmpty()) {
            getChildren().add(warmth);
        }
        show();
    }

    private HBox line(String motor, Label load) {
        Label name = new Label("Load of " + motor);
        name.getStyleClass().add("plate-name");
        load.setId("load-" + motor);
        load.getStyleClass().add("load");
        load.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(5, name, step(motor, -STEP, "\u2212"), load, step(motor, STEP, "+"));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Button step(String motor, int by, String sign) {
        Button button = new Button(sign);
        button.setId((by < 0 ? "less-" : "more-") + motor);
        button.getStyleClass().add("latch");
        button.setAccessibleText((by < 0 ? "Less" : "More") + " load on " + motor);
        Hint.on(button, (by < 0 ? "Less" : "More") + " load, in per cent of the motor's rated torque");
        button.setOnAction(event -> {
            long percentage = Math.round(100 * moment().load(motor)) + by;
            run.act(new Action(Verb.LOAD, motor, Long.toString(Math.max(0, Math.min(MOST, percentage)))));
        });
        return button;
    }

    private Moment moment() {
        return run.momentAt(run.shownTimeProperty().get());
    }

    private void show() {
        Moment moment = moment();
        if (moment.assembly() != run.assembly()) {
            return;
        }
        for (int i = 0; i < motors.size(); i++) {
            loads.get(i).setText(Math.round(100 * moment.load(motors.get(i).tag())) + " %");
        }
        warmth.setText(String.join(
                ", ", releases.stream().map(part -> warmth(part.tag(), moment)).toList()));
    }

    /** {@code F2 62 % warm, trips in 41 s}. */
    private static String warmth(String release, Moment moment) {
        double heat = moment.heat(release).orElse(0.0);
        String warm = String.format(Locale.ROOT, "%s %.0f %% warm", release, 100 * heat);
        Optional<Double> seconds = moment.tripsIn(release);
        return seconds.map(left -> warm + ", trips in " + duration(left)).orElse(warm);
    }

    private static String duration(double seconds) {
        return seconds < 100
                ? String.format(Locale.ROOT, "%.0f s", Math.ceil(seconds))
                : String.format(Locale.ROOT, "%.0f min", seconds / 60);
    }
}
