package parable.app.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.PageHead;
import parable.circuit.Job;
import parable.circuit.TitleBlock;

/** What is at the foot of each page of the job: an entry for each box of the title block. */
public final class TitleView extends BorderPane {

    private static final double NAMES = 220;
    private static final double ENTRIES = 260;

    private final JobModel jobs;
    private final List<TextField> entries = new ArrayList<>();
    private final List<Runnable> shown = new ArrayList<>();

    /**
     * The page of a job.
     *
     * @param done called when one is through with it
     */
    public TitleView(JobModel jobs, Runnable done) {
        this.jobs = jobs;
        setId("title-block");
        getStyleClass().add("keys");
        Runnable leave = () -> {
            agree();
            done.run();
        };
        setTop(new PageHead("Title block", "title-done", leave));
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                event.consume();
                leave.run();
            }
        });
        VBox content = content();
        setCenter(content);
        BorderPane.setAlignment(content, Pos.TOP_LEFT);
        followJobWhileShown();
        show();
    }

    private VBox content() {
        GridPane grid = new GridPane();
        grid.setVgap(10);
        grid.getColumnConstraints().addAll(new ColumnConstraints(NAMES), new ColumnConstraints(ENTRIES));
        entry(grid, "title-drawing", "Number of the drawing", TitleBlock::drawing);
        entry(grid, "title-revision", "Revision", TitleBlock::revision);
        entry(grid, "title-date", "Date", TitleBlock::date);
        entry(grid, "title-drawn", "Drawn by", TitleBlock::drawn);
        entry(grid, "title-checked", "Checked by", TitleBlock::checked);
        Label words = new Label(
                "It stands at the foot of every page on paper, with the name of the job, the sheet and its circuit. What you"
                        + " leave empty is left free to be written by hand. Up to " + TitleBlock.MOST_LETTERS
                        + " letters each.");
        words.setWrapText(true);
        VBox content = new VBox(16, grid, words);
        content.setPadding(new Insets(14, 0, 0, 0));
        content.setMaxWidth(900);
        return content;
    }

    private void followJobWhileShown() {
        ChangeListener<Job> changed = (any, before, job) -> show();
        sceneProperty().addListener((any, before, scene) -> {
            if (scene == null) {
                jobs.jobProperty().removeListener(changed);
            } else {
                jobs.jobProperty().addListener(changed);
                Platform.runLater(entries.get(0)::requestFocus);
            }
        });
    }

    private void entry(GridPane grid, String id, String name, Function<TitleBlock, String> now) {
        TextField field = new TextField();
        field.setId(id);
        field.setTextFormatter(new TextFormatter<>(
                change -> change.getControlNewText().length() <= TitleBlock.MOST_LETTERS ? change : null));
        field.setOnAction(event -> agree());
        field.focusedProperty().addListener((any, before, focused) -> {
            if (!focused) {
                agree();
            }
        });
        Label label = new Label(name);
        label.setLabelFor(field);
        grid.addRow(entries.size(), label, field);
        entries.add(field);
        shown.add(() -> field.setText(now.apply(title())));
    }

    private void show() {
        shown.forEach(Runnable::run);
    }

    private TitleBlock title() {
        return jobs.jobProperty().get().conventions().title();
    }

    private void agree() {
        TitleBlock written = new TitleBlock(text(0), text(1), text(2), text(3), text(4));
        Job job = jobs.jobProperty().get();
        if (!written.equals(title())) {
            jobs.edit(job.with(job.conventions().with(written)));
        }
    }

    private String text(int entry) {
        return entries.get(entry).getText().strip();
    }
}
