package parable.app;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.stage.Stage;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.app.sheet.SheetView;
import parable.bench.Condition;
import parable.bench.StoryLine;
import parable.circuit.Circuit;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.draw.Box;
import parable.files.JobFile;
import parable.files.JobFormatException;

/** The real window with the demo job, offscreen, for tests that drive it with mouse and keys. */
abstract class DrivenWindow {

    protected static final Path DEMO =
            Path.of(System.getProperty("parable.examples"), "tern-hollow-press-house" + JobFile.ENDING);

    /** Whether sweeps take all that there is, and not the share of the ordinary run. */
    protected static final boolean EVERYTHING =
            System.getProperty("parable.left-out-tests", "").equals("none");

    @TempDir
    protected Path folder;

    protected MainWindow window;
    protected JobModel jobs;
    protected final Answers answers = new Answers();

    protected void open(Stage stage) throws Exception {
        ParableApp.prepare();
        jobs = new JobModel(JobFile.open(DEMO), Optional.of(DEMO));
        window = new MainWindow(jobs, answers.named("Renamed"));
        stage.setScene(window.scene());
        stage.show();
        stage.requestFocus();
    }

    /** The window with another job, in a file of the folder. */
    protected Path open(Stage stage, Job job) throws Exception {
        Path file = folder.resolve("small" + JobFile.ENDING);
        JobFile.save(job, file);
        ParableApp.prepare();
        jobs = new JobModel(JobFile.open(file), Optional.of(file));
        window = new MainWindow(jobs, answers.named("Renamed"));
        stage.setScene(window.scene());
        stage.show();
        stage.requestFocus();
        return file;
    }

    protected Condition condition(String tag) {
        return window.run().shownProperty().get().condition(tag);
    }

    protected static void until(BooleanSupplier reached) throws Exception {
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, reached::getAsBoolean);
        WaitForAsyncUtils.waitForFxEvents();
    }

    protected void closeBreaker(FxRobot robot) throws Exception {
        robot.clickOn("#spot-Q1");
        until(() -> condition("Q1") == Condition.CLOSED);
    }

    protected List<String> story() {
        return window.run().story().stream().map(StoryLine::text).toList();
    }

    protected Sheet sheet() {
        return window.run().assembly().sheet();
    }

    protected SheetView view() {
        return (SheetView) window.part("sheet");
    }

    protected Point2D onScreen(String tag, String from) {
        Box box = view().drawing().boxOf(placeOf(tag, from)).orElseThrow();
        return view().onScreen(box.x() + box.width() / 2, box.y() + box.height() / 2);
    }

    protected Place placeOf(String tag, String from) {
        return Stream.of(Circuit.CONTROL, Circuit.POWER)
                .flatMap(circuit -> placeOf(circuit, tag, from).stream())
                .findFirst()
                .orElseThrow(() -> new AssertionError(tag + " is not drawn"));
    }

    private Optional<Place> placeOf(Circuit circuit, String tag, String from) {
        List<Rung> rungs = sheet().rungs(circuit);
        for (int rung = 0; rung < rungs.size(); rung++) {
            for (int item = 0; item < rungs.get(rung).items().size(); item++) {
                if (rungs.get(rung).items().get(item) instanceof RungItem.Passage passage
                        && passage.tag().equals(tag)
                        && passage.from().equals(from)) {
                    return Optional.of(new Place(circuit, rung, item));
                }
            }
        }
        return Optional.empty();
    }

    /** K1 in the power circuit, which is what one sees first. */
    protected Point2D poleOfK1() {
        Box box = view().drawing()
                .symbols()
                .filter(symbol -> symbol.subject().tag().equals("K1"))
                .findFirst()
                .orElseThrow()
                .box();
        return view().onScreen(box.x() + box.width() / 2, box.y() + box.height() / 2);
    }

    /** The row of the chooser that says something, by its id. */
    protected static String row(FxRobot robot, String words) {
        return "#"
                + robot.lookup(node -> node.getId() != null
                                && node.getId().startsWith("offer-")
                                && String.valueOf(node.getAccessibleText()).endsWith(words))
                        .query()
                        .getId();
    }

    protected void showEmpty(FxRobot robot) {
        robot.interact(() -> {
            try {
                Stage stage = (Stage) window.scene().getWindow();
                openEmpty();
                stage.setScene(window.scene());
            } catch (JobFormatException impossible) {
                throw new IllegalStateException(impossible);
            }
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void openEmpty() throws JobFormatException {
        String empty = "{\"version\": 1, \"name\": \"Tern Hollow press house\", \"sheets\": [{\"name\": \"Bin gate\","
                + " \"duty\": \"maintained\", \"rails\": {\"L\": \"1\", \"N\": \"2\"}, \"devices\": [], \"rungs\": []}]}";
        jobs = new JobModel(JobFile.read(empty), Optional.empty());
        window = new MainWindow(jobs, answers);
    }
}
