package parable.app.sheets;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.app.look.DirectScroll;
import parable.app.look.Look;
import parable.app.look.PageHead;
import parable.app.sheet.Stamp;
import parable.bench.Bench;
import parable.card.SheetProgress;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.draw.SheetDrawing;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.starters.Library;

/** All sheets of a job as small pictures, and those of the library to be put beside them. */
public final class SheetsPage extends BorderPane {

    private static final double WIDE = 216;
    private static final double HIGH = 116;

    private final Look look;
    private final Actions actions;

    /** What is done from the page. */
    public interface Actions {

        /** Shows a sheet of the job. */
        void open(String name);

        /** Adds a sheet of the library to the job. */
        void add(Sheet sheet);

        /** Opens the page of questions. */
        void ask();

        /** The jobs that were opened lately, but for this one. */
        List<Path> lately();

        /** Opens another job. */
        void open(Path file);

        /** Opens the courses. */
        void learn();

        /** Adds an empty sheet. */
        void addEmpty();
    }

    /**
     * The page of a job.
     *
     * @param look how the window is looked at
     * @param done called when one is through with it
     */
    public SheetsPage(Job job, Look look, Actions actions, Runnable done) {
        this.look = look;
        this.actions = actions;
        setId("sheets-page");
        getStyleClass().add("keys");
        setTop(new PageHead("All sheets of " + job.name(), "sheets-done", done));
        HBox ways = new HBox(
                8,
                new ActionButton(
                        "sheets-ask", "New starter by questions\u2026", "Asks and proposes a circuit", actions::ask),
                new ActionButton("sheets-empty", "New empty sheet", "With two rails", actions::addEmpty),
                new ActionButton(
                        "sheets-learn",
                        "Learn\u2026",
                        "Courses of tasks: find, predict, put right, wire",
                        actions::learn));
        ways.setAlignment(Pos.CENTER_LEFT);
        VBox all = new VBox(14, pictures(job), ways, heading("From the library: a click puts a copy into this job"));
        Library.jobs().stream()
                .filter(other -> other.practice() == job.practice())
                .forEach(other -> all.getChildren().add(copies(other)));
        if (!actions.lately().isEmpty()) {
            all.getChildren().addAll(1, List.of(heading("Jobs opened lately"), lately()));
        }
        all.setPadding(new Insets(8, 0, 16, 0));
        DirectScroll scrolled = new DirectScroll(all);
        scrolled.setFitToWidth(true);
        setCenter(scrolled);
    }

    private static Label heading(String words) {
        Label heading = new Label(words);
        heading.getStyleClass().add("plate-name");
        return heading;
    }

    private FlowPane lately() {
        FlowPane files = new FlowPane(8, 8);
        List<Path> lately = actions.lately();
        for (int i = 0; i < lately.size(); i++) {
            Path file = lately.get(i);
            String name = file.getFileName().toString().replace(JobFile.ENDING, "");
            files.getChildren().add(new ActionButton("lately-" + i, name, file.toString(), () -> actions.open(file)));
        }
        return files;
    }

    private FlowPane pictures(Job job) {
        FlowPane pictures = new FlowPane(12, 12);
        for (Sheet sheet : job.sheets()) {
            pictures.getChildren().add(picture("sheet-picture-", sheet, job, () -> actions.open(sheet.name())));
        }
        return pictures;
    }

    private FlowPane copies(Job library) {
        FlowPane pictures = new FlowPane(12, 12);
        for (Sheet sheet : library.sheets()) {
            pictures.getChildren().add(picture("library-picture-", sheet, library, () -> actions.add(sheet)));
        }
        return pictures;
    }

    private Button picture(String id, Sheet sheet, Job job, Runnable action) {
        Label name = new Label(sheet.name());
        name.getStyleClass().add("offer-tag");
        Label what = new Label();
        what.getStyleClass().add("route-state");
        StackPane frame = new StackPane();
        frame.setMinSize(WIDE, HIGH);
        try {
            Assembly assembly = Assembly.of(sheet, JobTables.of(job));
            Stamp stamp = new Stamp(WIDE, HIGH, look);
            stamp.show(
                    SheetDrawing.of(assembly, job.practice()),
                    Bench.of(assembly).moment(),
                    look.ink());
            frame.getChildren().add(stamp);
            what.setText(words(assembly));
        } catch (PartException impossible) {
            throw new IllegalStateException("a job holds a sheet that cannot be fitted out", impossible);
        }
        Button picture = new Button();
        picture.setGraphic(new VBox(4, frame, name, what));
        picture.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        picture.setId(id + sheet.name().toLowerCase(Locale.ROOT).replace(' ', '-'));
        picture.setAccessibleText(sheet.name() + ", " + what.getText());
        picture.getStyleClass().add("sheet-picture");
        picture.setOnAction(event -> action.run());
        return picture;
    }

    /** {@code 7 rungs, motor 2.2 kW}. */
    private static String words(Assembly assembly) {
        List<String> motors = assembly.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .map(part -> "motor " + part.device().setting("power").orElse(""))
                .toList();
        int rungs = assembly.sheet().control().size();
        String told =
                motors.size() > 2 ? motors.size() + " motors" : motors.stream().collect(Collectors.joining(", "));
        String progress = SheetProgress.of(assembly.sheet()).word();
        return rungs
                + (rungs == 1 ? " rung" : " rungs")
                + (told.isEmpty() ? "" : ", " + told.strip())
                + (rungs == 0 || progress.isEmpty() ? "" : ", " + progress);
    }
}
