package parable.app.program;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.DirectScroll;
import parable.app.look.WhileShown;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.proof.Equivalence;
import parable.ratings.JobTables;
import parable.timing.Refutation;

/** Whether the sheet that is shown is the same machine as another of the job: the first difference with both side by side. */
final class CompareView extends VBox {

    private final JobModel jobs;
    private final Supplier<Assembly> shown;
    private final CompareModel model = new CompareModel();
    private final ChoiceBox<String> other = new ChoiceBox<>();
    private final VBox result = new VBox(6);
    private final Button button = new Button("Compare with");
    private final BiConsumer<String, Refutation> replay;

    /**
     * The view.
     *
     * @param shown the sheet that is shown
     * @param replay plays on the bench of a sheet, by its name
     */
    CompareView(JobModel jobs, Supplier<Assembly> shown, BiConsumer<String, Refutation> replay) {
        super(6);
        this.jobs = jobs;
        this.shown = shown;
        this.replay = replay;
        setId("compare");
        getStyleClass().addAll("desk", "findings");
        Label heading = new Label("Is it the same machine?");
        heading.getStyleClass().add("plate-name");
        button.setId("compare-now");
        button.getStyleClass().add("latch");
        button.setOnAction(event -> compare());
        other.setId("compare-other");
        HBox row = new HBox(8, button, other);
        DirectScroll scrolled = new DirectScroll(result);
        scrolled.setFitToWidth(true);
        VBox.setVgrow(scrolled, Priority.ALWAYS);
        getChildren().addAll(heading, row, scrolled);
        WhileShown.follow(this, this::forget, jobs.jobProperty());
        model.foundProperty().addListener((any, before, found) -> show());
        model.comparingProperty().addListener((any, before, found) -> show());
        model.doneProperty().addListener((any, before, found) -> show());
        offer();
        show();
    }

    private void forget() {
        model.forget();
        offer();
    }

    private void offer() {
        String name = shown.get().sheet().name();
        List<String> names = jobs.jobProperty().get().sheets().stream()
                .map(Sheet::name)
                .filter(one -> !one.equals(name))
                .toList();
        if (!names.equals(other.getItems())) {
            other.getItems().setAll(names);
            other.setValue(names.stream()
                    .filter(one -> name.startsWith(one))
                    .findFirst()
                    .orElse(names.isEmpty() ? null : names.get(0)));
        }
        button.setDisable(names.isEmpty());
    }

    private void compare() {
        jobs.jobProperty().get().sheet(other.getValue()).ifPresent(sheet -> {
            try {
                model.compare(Assembly.of(sheet, JobTables.of(jobs.jobProperty().get())), shown.get());
            } catch (PartException impossible) {
                throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
            }
        });
    }

    private void show() {
        result.getChildren().clear();
        if (model.comparingProperty().get()) {
            Button cancel = new Button("Cancel");
            cancel.getStyleClass().add("latch");
            cancel.setOnAction(event -> model.forget());
            result.getChildren()
                    .add(new HBox(
                            8,
                            wrapped("Exploring both together\u2026 "
                                    + model.doneProperty().get() + " pairs of states"),
                            cancel));
            return;
        }
        if (!model.troubleProperty().get().isEmpty()) {
            result.getChildren()
                    .add(wrapped("The comparison could not be finished: "
                            + model.troubleProperty().get() + ". Nothing is said of the two."));
            return;
        }
        if (model.foundProperty().get().isEmpty()) {
            result.getChildren()
                    .add(
                            wrapped(
                                    "Whatever the same hands do to both: do they settle to the same contactors, lamps and motors?"));
            return;
        }
        Equivalence found = model.foundProperty().get().get();
        Label verdict = new Label(
                switch (found.verdict()) {
                    case EQUIVALENT -> "The same machine";
                    case DIFFERENT -> "Not the same machine";
                    case UNFINISHED -> "Not finished";
                });
        verdict.setId("compare-verdict");
        verdict.getStyleClass().add("finding-text");
        VBox entry = new VBox(4, verdict, wrapped(found.states() + " pairs of states explored."));
        found.inherent().forEach(sentence -> entry.getChildren().add(wrapped("By nature: " + sentence)));
        found.difference().ifPresent(difference -> tell(difference, entry));
        entry.getStyleClass().add("finding");
        result.getChildren().add(entry);
    }

    private void tell(Equivalence.Difference difference, VBox entry) {
        String done = difference.actions().isEmpty()
                ? "With the power on and nothing touched:"
                : String.join("; ", difference.actions()) + ":";
        entry.getChildren().add(wrapped(done));
        entry.getChildren().add(wrapped(other.getValue() + ": " + difference.one() + "."));
        entry.getChildren().add(wrapped(shown.get().sheet().name() + ": " + difference.other() + "."));
        String name = shown.get().sheet().name();
        String before = other.getValue();
        entry.getChildren()
                .add(new HBox(
                        6,
                        play("compare-replay", name, () -> replay.accept(name, difference.shownByOther())),
                        play("compare-replay-other", before, () -> replay.accept(before, difference.shownByOne()))));
        GridPane stories = new GridPane();
        stories.getStyleClass().add("compare-story");
        stories.setHgap(10);
        for (int i = 0; i < 2; i++) {
            ColumnConstraints half = new ColumnConstraints();
            half.setPercentWidth(50);
            stories.getColumnConstraints().add(half);
        }
        stories.add(story(other.getValue(), difference.shownByOne()), 0, 0);
        stories.add(story(shown.get().sheet().name(), difference.shownByOther()), 1, 0);
        entry.getChildren().add(stories);
    }

    private static Button play(String id, String sheet, Runnable action) {
        Button play = new Button("Replay on " + sheet);
        play.setId(id);
        play.getStyleClass().add("latch");
        play.setOnAction(event -> action.run());
        return play;
    }

    /** What happens on one of the sheets from the first of the actions on. */
    private static VBox story(String sheet, Refutation shown) {
        Label name = new Label(sheet);
        name.getStyleClass().add("finding-text");
        VBox story = new VBox(2, name);
        long from = shown.script().steps().stream()
                .mapToLong(step -> step.time())
                .filter(time -> time > 0)
                .min()
                .orElse(0);
        shown.story().stream()
                .filter(line -> Double.parseDouble(line.substring(0, line.indexOf(' '))) * 1000 >= from)
                .forEach(line -> story.getChildren().add(wrapped(line)));
        story.setAlignment(Pos.TOP_LEFT);
        GridPane.setValignment(story, VPos.TOP);
        return story;
    }

    private static Label wrapped(String words) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.getStyleClass().add("finding-reason");
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }
}
