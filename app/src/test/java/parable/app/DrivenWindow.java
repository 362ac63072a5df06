package parable.app;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.stage.Stage;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.bench.Condition;
import parable.bench.StoryLine;
import parable.files.JobFile;

/** The real window with the demo job, offscreen, for tests that drive it with mouse and keys. */
abstract class DrivenWindow {

    protected static final Path DEMO =
            Path.of(System.getProperty("parable.examples"), "tern-hollow-press-house" + JobFile.ENDING);

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
}
