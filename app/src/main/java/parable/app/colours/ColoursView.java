package parable.app.colours;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import parable.app.job.JobModel;
import parable.app.look.Colours;
import parable.app.look.PageHead;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Job;

/** Which colours buttons and lamps of the job may have: a tick for each colour and use. */
public final class ColoursView extends BorderPane {

    private static final double SWATCH = 8;
    private static final double COLUMN = 74;

    private final JobModel jobs;
    private final Label practice = new Label();
    private final Button usual = new Button();
    private final List<Runnable> shown = new ArrayList<>();

    /**
     * The page of a job.
     *
     * @param done called when one is through with it
     */
    public ColoursView(JobModel jobs, Runnable done) {
        this.jobs = jobs;
        setId("colours");
        getStyleClass().add("keys");
        PageHead head = new PageHead("Colours of buttons and lamps", "colours-done", done).byKeys();
        setTop(head);
        usual.setId("colours-usual");
        usual.setOnAction(event -> agree(ColourCode.of(conventions().practice())));
        Label caution = new Label(
                "A button or lamp in a colour without a tick is found on the Check page. A new sheet takes the colour that was"
                        + " ticked first. The standards leave some of this open; local code and the site's rules decide.");
        caution.setWrapText(true);
        VBox content = new VBox(16, practice, grid(), usual, caution);
        content.setPadding(new Insets(14, 0, 0, 0));
        content.setMaxWidth(900);
        setCenter(content);
        BorderPane.setAlignment(content, Pos.TOP_LEFT);
        ChangeListener<Job> changed = (any, before, job) -> show();
        sceneProperty().addListener((any, before, scene) -> {
            if (scene == null) {
                jobs.jobProperty().removeListener(changed);
            } else {
                jobs.jobProperty().addListener(changed);
                Platform.runLater(head::focus);
            }
        });
        show();
    }

    private Conventions conventions() {
        return jobs.jobProperty().get().conventions();
    }

    private void agree(ColourCode colours) {
        if (!colours.equals(conventions().colours())) {
            jobs.edit(jobs.jobProperty().get().with(conventions().with(colours)));
        }
    }

    private GridPane grid() {
        GridPane grid = new GridPane();
        grid.setVgap(10);
        grid.getColumnConstraints().add(new ColumnConstraints(320));
        for (int c = 0; c < ColourCode.COLOURS.size(); c++) {
            String colour = ColourCode.COLOURS.get(c);
            ColumnConstraints column = new ColumnConstraints(COLUMN);
            column.setHalignment(HPos.CENTER);
            grid.getColumnConstraints().add(column);
            Circle swatch = new Circle(SWATCH, Colours.paint(colour));
            swatch.getStyleClass().add("swatch");
            VBox head = new VBox(3, swatch, new Label(colour));
            head.setAlignment(Pos.CENTER);
            grid.add(head, c + 1, 0);
        }
        for (ColourUse use : ColourUse.values()) {
            grid.add(new Label(use.words()), 0, use.ordinal() + 1);
            for (int c = 0; c < ColourCode.COLOURS.size(); c++) {
                grid.add(box(use, ColourCode.COLOURS.get(c)), c + 1, use.ordinal() + 1);
            }
        }
        return grid;
    }

    private CheckBox box(ColourUse use, String colour) {
        CheckBox box = new CheckBox();
        box.setId("colour-" + use.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-" + colour);
        box.setAccessibleText(use.words() + " may be " + colour);
        box.setOnAction(event -> agree(conventions().colours().with(use, colour, box.isSelected())));
        shown.add(() -> box.setSelected(conventions().colours().allows(use, colour)));
        return box;
    }

    private void show() {
        shown.forEach(Runnable::run);
        String words = conventions().practice().words();
        practice.setText(
                conventions().isUsual()
                        ? "As is usual in " + words + " practice."
                        : "Agreed on for this job; it differs from what is usual in " + words + " practice.");
        usual.setText("Back to what is usual in " + words + " practice");
        usual.setDisable(conventions().isUsual());
    }
}
