package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
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
import parable.circuit.Extras;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.logbook.LogEntry;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;
import parable.testsheet.Results;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;

/** What was tested and signed stays true in the window, and so does what somebody else has written. */
@ExtendWith(ApplicationExtension.class)
class EvidenceTest {

    @TempDir
    private Path folder;

    private MainWindow window;
    private JobModel jobs;

    private static Sheet drum() {
        return Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .filter(sheet -> sheet.name().equals("Drum switch"))
                .findFirst()
                .orElseThrow();
    }

    /** The sheet with every step read as expected. */
    private static Sheet tested() throws PartException {
        Sheet sheet = drum().withFieldwork(Fieldwork.NONE);
        for (TestStep step : TestSheet.of(Assembly.of(sheet), Practice.IEC)) {
            sheet = sheet.withFieldwork(sheet.fieldwork()
                    .with(Results.of(sheet).taken(step, step.expected().text(), "", "E. Marsh", "2026-11-26 10:00")));
        }
        return sheet;
    }

    @Start
    private void start(Stage stage) throws PartException {
        ParableApp.prepare();
        jobs = new JobModel(new Job("Tern Hollow", Practice.IEC, List.of(tested()), Extras.NONE), Optional.empty());
        window = new MainWindow(jobs, new SystemFilePrompt(stage));
        stage.setScene(window.scene());
        stage.show();
    }

    @AfterEach
    void close() {
        jobs.close();
    }

    private static void until(Callable<Boolean> reached) throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, reached);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void key(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private String words(String id) {
        return ((Label) window.part(id)).getText();
    }

    private Path saved(FxRobot robot) {
        Path file = folder.resolve("mine" + JobFile.ENDING);
        robot.interact(() -> assertThat(jobs.save(file)).isTrue());
        return file;
    }

    private void change(FxRobot robot) {
        Sheet sheet = jobs.jobProperty().get().sheets().get(0);
        robot.interact(() -> jobs.edit(sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals("Q1") ? device.with("setting", "2.2 A") : device)
                .toList())));
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void aSignatureSealsTheSheetAndAChangeMakesItsReadingsStale(FxRobot robot) throws Exception {
        saved(robot);
        key(robot, KeyCode.CONTROL, KeyCode.B);
        until(() -> !((TableView<?>) window.part("test-steps")).getItems().isEmpty());
        int steps = ((TableView<?>) window.part("test-steps")).getItems().size();
        robot.interact(() -> ((TextField) window.part("test-by")).setText("R. Alder"));
        until(() -> !((Button) window.part("test-sign")).isDisabled());
        robot.clickOn("#test-sign");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(words("test-signature"))
                .startsWith("Signed by R. Alder on ")
                .endsWith("Every word is as it was signed. The circuit is still the one it was signed for.");

        change(robot);
        until(() -> words("test-signature").contains("The circuit has changed since"));
        until(() -> ((Button) window.part("test-sign")).isDisabled());
        assertThat(((Button) window.part("test-sign")).getText()).matches("Cannot be signed: \\d+ steps not passed");

        key(robot, KeyCode.CONTROL, KeyCode.R);
        @SuppressWarnings("unchecked")
        TableView<LogEntry> entries = (TableView<LogEntry>) window.part("log-entries");
        robot.interact(() -> entries.getSelectionModel().select(0));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((TableView<?>) window.part("signed-steps")).getItems()).hasSize(steps);
        assertThat(words("signed-heading"))
                .startsWith("Test sheet of " + steps + " steps, signed by R. Alder on ")
                .contains("Every word is as it was signed. The circuit has changed since");
    }

    @Test
    void bothVersionsAreInViewBeforeAnythingIsWrittenOver(FxRobot robot) throws Exception {
        Path file = saved(robot);
        Job mine = jobs.jobProperty().get();
        JobFile.save(new Job("Theirs", mine.conventions(), mine.sheets(), mine.sizing(), "", mine.extras()), file);
        change(robot);
        key(robot, KeyCode.CONTROL, KeyCode.S);

        ListView<?> here = (ListView<?>) window.part("conflict-mine");
        assertThat(here.getItems()).anyMatch(line -> line.toString().contains("2.2 A"));
        assertThat(((ListView<?>) window.part("conflict-theirs")).getItems())
                .anyMatch(line -> line.toString().contains("Theirs"));
        assertThat(JobFile.open(file).name()).isEqualTo("Theirs");

        robot.clickOn("#conflict-take");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.jobProperty().get().name()).isEqualTo("Theirs");
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(jobs.jobProperty().get().name()).isEqualTo("Tern Hollow");
        assertThat(Files.exists(file)).isTrue();
        assertThat(window.part("conflict")).isNull();
    }
}
