package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import javafx.geometry.Point2D;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.circuit.Circuit;
import parable.circuit.Fieldwork;
import parable.circuit.Position;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WireChoice;
import parable.circuit.WireTicks;
import parable.circuit.WiringMethod;
import parable.files.JobFile;
import parable.files.LogbookFile;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.starters.Library;

/** Wiring, testing and the record in the real window, by keys and mouse. */
@ExtendWith(ApplicationExtension.class)
class PanelWorkTest {

    @TempDir
    private static Path folder;

    private MainWindow window;
    private JobModel jobs;

    @Start
    private void start(Stage stage) {
        ParableApp.prepare();
        jobs = new JobModel(Library.jobs().get(0), Optional.empty());
        window = new MainWindow(jobs, new Answers().into(folder));
        stage.setScene(window.scene());
        stage.show();
        stage.requestFocus();
    }

    private static void until(FxRobot robot, BooleanSupplier reached) throws InterruptedException {
        AtomicBoolean is = new AtomicBoolean();
        for (int i = 0; i < 200 && !is.get(); i++) {
            robot.interact(() -> is.set(reached.getAsBoolean()));
            Thread.sleep(50);
        }
        assertThat(is).isTrue();
    }

    private void key(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Fieldwork work() {
        return jobs.jobProperty().get().sheets().get(0).fieldwork();
    }

    private String words(String id) {
        return ((Label) window.part(id)).getText();
    }

    private TableView<?> table(String id) {
        return (TableView<?>) window.part(id);
    }

    private void write(FxRobot robot, String id, String text) {
        robot.interact(() -> ((TextInputControl) window.part(id)).setText(text));
    }

    private Path saved(FxRobot robot, String name) {
        Path file = folder.resolve(name);
        robot.interact(() -> assertThat(jobs.save(file)).isTrue());
        return file;
    }

    @Test
    void wiresAreTickedOffOneByOneAndTheTicksSurvive(FxRobot robot) throws Exception {
        wirePointToPoint(robot);
        key(robot, KeyCode.CONTROL, KeyCode.L);
        until(robot, () -> !table("wires").getItems().isEmpty());
        assertThat(words("wire-sentence")).isEqualTo("Wire 1 leaves F2 95 and lands on F2 97.");

        key(robot, KeyCode.SPACE);
        key(robot, KeyCode.T);
        key(robot, KeyCode.D);
        key(robot, KeyCode.C);
        key(robot, KeyCode.C);

        assertThat(work().wires())
                .extracting(WireTicks::toString)
                .containsExactly("F2:95 F2:97 done", "F2:95 K1:21 done tugged");
        assertThat(words("wire-summary")).startsWith("2 of 41 done, 1 tugged, 0 checked.");
        Path file = saved(robot, "wired.parable.json");
        assertThat(JobFile.open(file).sheets().get(0).fieldwork()).isEqualTo(work());
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(work().wires().get(1).ticks()).containsExactly(Tick.TUGGED);
    }

    private void wirePointToPoint(FxRobot robot) {
        Sheet pump = jobs.jobProperty().get().sheets().get(0);
        robot.interact(() -> jobs.edit(pump.withFieldwork(Fieldwork.NONE)));
    }

    /** Three under one screw is a mistake that one can make, and that one is told of. */
    @Test
    void aWireLandsElsewhereAndTheCheckTellsOfTheThirdConductor(FxRobot robot) throws Exception {
        Sheet pump = jobs.jobProperty().get().sheets().get(0);
        Terminal start = new Terminal("S1", "13");
        Terminal holds = new Terminal("K1", "13");
        Terminal there = new Terminal("S3", "13");
        List<WireChoice> chain = List.of(
                new WireChoice(new Terminal("S2", "12"), start),
                new WireChoice(start, holds),
                new WireChoice(holds, there));
        robot.interact(() -> jobs.edit(pump.withFieldwork(Fieldwork.NONE.choosing(chain))));
        key(robot, KeyCode.CONTROL, KeyCode.L);
        until(robot, () -> !table("wires").getItems().isEmpty());
        for (int i = 0; !words("wire-sentence").equals("Wire 6 leaves S3 13 and lands on K1 13."); i++) {
            assertThat(i).isLessThan(table("wires").getItems().size());
            key(robot, KeyCode.DOWN);
        }
        key(robot, KeyCode.L);
        robot.clickOn("From S3 13 to S1 13 instead of K1 13");
        until(robot, () -> work().choices().contains(new WireChoice(there, start)));

        key(robot, KeyCode.CONTROL, KeyCode.K);
        until(robot, () -> robot.lookup(".finding-text").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().startsWith("S1 13 gets three conductors of wire 6, from ")));
    }

    /** The starts of the pump are green; a job that wants them white finds them, until it is undone. */
    @Test
    void coloursAreAgreedOnByTicksAndFoundAtOnce(FxRobot robot) throws Exception {
        key(robot, KeyCode.CONTROL, KeyCode.K);
        robot.clickOn("#view-menu").clickOn("#view-colours").clickOn("#colour-start-green");
        robot.clickOn("#colours-done");
        assertThat(jobs.jobProperty().get().conventions().isUsual()).isFalse();
        until(robot, () -> isSaid(robot, "S1 starts and is green; expected white, grey or black."));

        key(robot, KeyCode.CONTROL, KeyCode.Z);
        until(robot, () -> !isSaid(robot, "S1 starts and is green; expected white, grey or black."));
        assertThat(jobs.jobProperty().get().conventions().isUsual()).isTrue();
    }

    private static boolean isSaid(FxRobot robot, String words) {
        return robot.lookup(".finding-text").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals(words));
    }

    @Test
    void aStripIsPutInByATickAndADeviceIsMovedByDragging(FxRobot robot) throws Exception {
        wirePointToPoint(robot);
        key(robot, KeyCode.CONTROL, KeyCode.L);
        until(robot, () -> !table("wires").getItems().isEmpty());
        robot.clickOn("panel");
        WaitForAsyncUtils.waitForFxEvents();
        Point2D onG1 = window.part("panel").localToScreen(60, 100);
        robot.drag(onG1.getX(), onG1.getY()).dropBy(60, 0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.jobProperty().get().sheets().get(0).devices())
                .filteredOn(device -> device.at().isPresent())
                .hasSize(1)
                .allMatch(device -> device.at().map(Position::x).orElse(0) > 0);
        int direct = table("wires").getItems().size();
        robot.clickOn("#wire-strip");
        until(robot, () -> table("wires").getItems().size() > direct);
        assertThat(work().method()).isEqualTo(WiringMethod.TERMINAL_STRIP);
    }

    @Test
    void stepsThatWereWorkedOutBeforeAnybodyCameAreListed(FxRobot robot) throws Exception {
        robot.interact(() -> window.page().states().look());
        until(
                robot,
                () -> !window.page().states().bySteps().get(JobStep.TEST).get().isEmpty());
        key(robot, KeyCode.CONTROL, KeyCode.B);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(table("test-steps").getItems()).hasSizeGreaterThan(200);
    }

    @Test
    void whatIsFoundIsJudgedAndAFailureIsExplained(FxRobot robot) throws Exception {
        key(robot, KeyCode.CONTROL, KeyCode.B);
        until(robot, () -> !table("test-steps").getItems().isEmpty());
        robot.clickOn("#test-found");
        key(robot, KeyCode.ENTER);
        assertThat(words("test-verdict")).contains("Say who you are first");
        assertThat(work().readings()).isEmpty();

        write(robot, "test-by", "R. Alder");
        robot.clickOn("#test-found");
        key(robot, KeyCode.ENTER);
        assertThat(words("test-words")).startsWith("2.  Tug the wires on Q1");
        assertThat(work().readings()).hasSize(1);

        robot.interact(() -> table("test-steps").getSelectionModel().select(7));
        assertThat(words("test-expected")).isEqualTo("Expected: 4.90 A");
        write(robot, "test-found", "9.8 A");
        robot.clickOn("#test-write");
        until(robot, () -> words("test-causes").contains("F2 is set to twice its current"));
        assertThat(words("test-verdict")).startsWith("Fail");
        assertThat(((Button) window.part("test-sign")).isDisabled()).isTrue();
    }

    /** The drawing of a test step never shows an instant of another circuit. */
    @Test
    void anEditTakenBackWhileTestingIsDrawnAsItIs(FxRobot robot) throws Exception {
        robot.interact(() -> {
            Sheet sheet = jobs.jobProperty().get().sheets().get(0);
            jobs.edit(sheet.withRungs(
                    Circuit.CONTROL, sheet.control().subList(0, sheet.control().size() - 1)));
        });
        key(robot, KeyCode.CONTROL, KeyCode.B);
        until(robot, () -> !table("test-steps").getItems().isEmpty());
        int steps = table("test-steps").getItems().size();

        robot.interact(jobs::undo);
        until(robot, () -> table("test-steps").getItems().size() > steps);
        robot.interact(jobs::redo);
        until(robot, () -> table("test-steps").getItems().size() == steps);
    }

    @Test
    void theRecordIsKeptBesideTheJobAndTamperingIsTold(FxRobot robot) throws Exception {
        key(robot, KeyCode.CONTROL, KeyCode.R);
        assertThat(words("log-state")).startsWith("Save the job first");
        Path file = saved(robot, "record.parable.json");
        write(robot, "log-by", "R. Alder");
        write(robot, "log-text", "Yearly test");
        write(robot, "log-readings", "Current U1 = 3.8 A; Start time = 1.2 s");
        robot.clickOn("#log-enter");
        WaitForAsyncUtils.waitForFxEvents();

        Logbook book = LogbookFile.read(LogbookFile.beside(file));
        assertThat(book.entries()).hasSize(1);
        assertThat(words("log-state")).isEqualTo("1 entry, unbroken.");
        assertThat(jobs.jobProperty().get().logbook())
                .isEqualTo(book.entries().get(0).seal());

        robot.interact(() -> table("log-entries").getSelectionModel().select(0));
        write(robot, "log-text", "It was 1.3 s");
        robot.clickOn("#log-correct");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(LogbookFile.read(LogbookFile.beside(file)).entries().get(1))
                .extracting(LogEntry::kind, LogEntry::corrects)
                .containsExactly(LogEntry.Kind.CORRECTION, 1);

        tamper(LogbookFile.beside(file));
        key(robot, KeyCode.CONTROL, KeyCode.L);
        key(robot, KeyCode.CONTROL, KeyCode.R);
        assertThat(words("log-state")).startsWith("Broken. Line 1 is not as it was made");
    }

    private static void tamper(Path file) throws IOException {
        Files.writeString(file, Files.readString(file).replace("3.8 A", "3.9 A"));
    }
}
