package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.circuit.Sheet;
import parable.files.FailureNote;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.files.Journal;
import parable.starters.Library;

/** Unsaved work is kept within seconds, offered to the next window, and forgotten once it is saved. */
@ExtendWith(ApplicationExtension.class)
class AutosaveTest {

    @TempDir
    private static Path root;

    private Path folder;

    private MainWindow window;
    private JobModel jobs;

    @Start
    private void start(Stage stage) throws IOException {
        ParableApp.prepare();
        folder = Files.createTempDirectory(root, "journal");
        System.setProperty("parable.journal", folder.toString());
        jobs = new JobModel(Library.jobs().get(0), Optional.empty());
        window = new MainWindow(jobs, new SystemFilePrompt(stage));
        stage.setScene(window.scene());
        stage.show();
        new Autosave(jobs, window).begin();
    }

    @AfterEach
    void forget() {
        jobs.close();
        System.clearProperty("parable.journal");
    }

    private Stream<Path> entries() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.getFileName().toString().endsWith(JobFile.ENDING)).toList().stream();
        }
    }

    private static void until(Callable<Boolean> reached) throws Exception {
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, reached);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void whatIsNotSavedIsKeptOfferedAndForgotten(FxRobot robot) throws Exception {
        Sheet changed = jobs.jobProperty().get().sheets().get(0).named("Changed");
        robot.interact(() -> jobs.edit(changed));
        until(() -> entries().count() == 1);
        Path entry = entries().findFirst().orElseThrow();
        assertThat(JobFile.open(entry).sheet("Changed")).isPresent();

        Path orphan = folder.resolve("unsaved-00000000-0000-4000-8000-000000000000" + JobFile.ENDING);
        Files.copy(entry, orphan);
        robot.interact(() -> jobs.save(folder.resolve("mine" + JobFile.ENDING)));
        until(() -> !Files.exists(entry));

        robot.interact(jobs::undo);
        robot.interact(() -> new Autosave(jobs, window).begin());
        assertThat(robot.lookup("#notice").<Label>query().getText()).startsWith("Parable was closed with unsaved work");
        robot.clickOn("#answer-yes");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.jobProperty().get().sheet("Changed")).isPresent();
        assertThat(jobs.unsavedProperty().get()).isTrue();
        until(() -> !Files.exists(orphan));
    }

    /** Whatever fails on whatever thread: the work is kept, and words stand in the window. */
    @Test
    void aFailureThatNobodyForesawIsToldInWordsAndTheWorkIsKept(FxRobot robot) throws Exception {
        Autosave autosave = new Autosave(jobs, window);
        Sheet changed = jobs.jobProperty().get().sheets().get(0).named("In trouble");
        robot.interact(() -> jobs.edit(changed));
        Thread failing = new Thread(() -> {
            throw new OutOfMemoryError("tried");
        });
        failing.setUncaughtExceptionHandler(new Trouble(autosave, window));
        failing.start();
        failing.join();
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(robot.lookup("#notice").<Label>query().getText())
                .startsWith("There is not enough memory for this. What was under way is given up");
        until(() -> entries().anyMatch(AutosaveTest::isInTrouble));
        assertThat(FailureNote.words(new IllegalStateException("x", new StackOverflowError())))
                .isEqualTo("This is nested too deep.");
    }

    private static boolean isInTrouble(Path entry) {
        try {
            return JobFile.open(entry).sheet("In trouble").isPresent();
        } catch (IOException | JobFormatException half) {
            return false;
        }
    }

    /** Another job opened in the place of work that was not saved: that work is left to the next window, and said. */
    @Test
    void whatWasNotSavedWhenAnotherJobIsOpenedIsLeftToTheNextWindow(FxRobot robot) throws Exception {
        Path other = folder.resolve("other.json");
        JobFile.save(Library.jobs().get(1), other);
        Sheet changed = jobs.jobProperty().get().sheets().get(0).named("Nearly lost");
        robot.interact(() -> {
            jobs.edit(changed);
            jobs.open(other);
        });

        until(() -> robot.lookup("#notice").<Label>query().getText().startsWith("What was not saved of"));
        assertThat(jobs.jobProperty().get().name())
                .isEqualTo(Library.jobs().get(1).name());
        assertThat(new Journal(folder).leftBehind().work())
                .anyMatch(left -> left.work().job().sheet("Nearly lost").isPresent());
    }

    /** Work on another job is offered as that, and kept whatever is answered. */
    @Test
    void workOnAnotherJobIsKeptForLater(FxRobot robot) throws Exception {
        Path orphan = folder.resolve("unsaved-00000000-0000-4000-8000-000000000001" + JobFile.ENDING);
        JobFile.save(Library.jobs().get(1), orphan);
        robot.interact(() -> new Autosave(jobs, window).begin());
        assertThat(robot.lookup("#notice").<Label>query().getText())
                .contains("That is another job than the one that is open");
        robot.clickOn("Keep it for later");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(orphan).exists();
        assertThat(jobs.jobProperty().get().name())
                .isEqualTo(Library.jobs().get(0).name());
        Path unwanted = folder.resolve("unsaved-00000000-0000-4000-8000-000000000002" + JobFile.ENDING);
        Files.move(orphan, unwanted);
        robot.interact(() -> new Autosave(jobs, window).begin());
        robot.clickOn("Throw it away");
        until(() -> !Files.exists(unwanted));
        JobFile.save(Library.jobs().get(1), orphan);
        robot.interact(() -> new Autosave(jobs, window).begin());
        robot.clickOn("Open that one");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.jobProperty().get().name())
                .isEqualTo(Library.jobs().get(1).name());
        until(() -> !Files.exists(orphan));
    }
}
