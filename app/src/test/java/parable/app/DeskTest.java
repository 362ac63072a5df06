package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Orientation;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.app.sheet.SheetView;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;
import parable.scenario.Player;
import parable.scenario.Scenario;
import parable.starters.Library;

/** Draws starters from an empty sheet in the real window, by keyboard only and by mouse only. */
@ExtendWith(ApplicationExtension.class)
class DeskTest {

    private static final String EMPTY =
            """
            {"version": 1, "name": "Tern Hollow press house", "sheets": [{"name": "Bin gate", "duty": "maintained",
             "rails": {}, "devices": [], "rungs": []}]}
            """;

    private MainWindow window;
    private JobModel jobs;
    private int strokes;

    @Start
    private void start(Stage stage) throws JobFormatException {
        ParableApp.prepare();
        jobs = new JobModel(JobFile.read(EMPTY), Optional.empty());
        window = new MainWindow(jobs, new Answers().named("Renamed"));
        stage.setScene(window.scene());
        stage.show();
        stage.requestFocus();
    }

    private Sheet sheet() {
        return jobs.jobProperty().get().sheets().get(0);
    }

    private void key(FxRobot robot, KeyCode... keys) {
        strokes++;
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void type(FxRobot robot, String line) {
        strokes += line.length();
        robot.write(line, 0);
        key(robot, KeyCode.ENTER);
    }

    private void click(FxRobot robot, String query) {
        strokes++;
        robot.clickOn(query);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void clickSymbol(FxRobot robot, int rung, int item) {
        strokes++;
        SheetView view = (SheetView) window.part("sheet");
        var box = view.drawing()
                .boxOf(new Place(Circuit.CONTROL, rung, item))
                .orElseThrow(() ->
                        new AssertionError("nothing at " + item + " of rung " + rung + " of " + sheet().control()));
        robot.clickOn(view.onScreen(box.x() + box.width() / 2, box.y() + box.height() / 2), MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void assertPasses(Sheet sheet, String folder, String script, String... replaced) throws Exception {
        Path file = Path.of(System.getProperty("parable.examples"), folder, script + ".scenario");
        String text = Files.readString(file);
        for (int i = 0; i < replaced.length; i += 2) {
            text = text.replace(replaced[i], replaced[i + 1]);
        }
        Player player = new Player(Bench.of(Assembly.of(sheet)), Scenario.read(text));
        player.playAll();
        assertThat(player.outcomes()).isNotEmpty().allSatisfy(outcome -> assertThat(outcome.foundInstead())
                .as(script + ": " + outcome.step().expectation().text() + " on " + sheet.control())
                .isEmpty());
    }

    @Test
    void aReversingStarterWithInterlocksIsDrawnByKeyboardOnly(FxRobot robot) throws Exception {
        key(robot, KeyCode.CONTROL, KeyCode.D);
        key(robot, KeyCode.INSERT);
        type(robot, "power reversing");
        type(robot, "L /F2 /S0 @5 S1 @6 /K2 (K1) N");
        type(robot, "@5 K1 @6");
        type(robot, "@5 S2 @8 /K1 (K2) N");
        type(robot, "@5 K2 @8");
        type(robot, "L K1 (P1) N");
        type(robot, "L K2 (P2) N");

        System.out.println("Reversing starter by keyboard: " + strokes + " strokes");
        assertThat(strokes).isLessThan(250);
        assertThat(sheet().control()).hasSize(6);
        for (String script : new String[] {
            "01-forward-and-reverse",
            "02-opposite-button-does-nothing",
            "04-both-buttons-at-once",
            "05-both-buttons-with-the-interlock-missing"
        }) {
            assertPasses(sheet(), "press-platen", script);
        }
    }

    @Test
    void aStarDeltaStarterIsDrawnByMouseOnly(FxRobot robot) throws Exception {
        click(robot, "#step-draw");
        click(robot, "#leaf-desk");
        click(robot, "#power-star-delta");
        for (int i = 0; i < 2; i++) {
            click(robot, "#new-device");
            click(robot, "Operators");
            click(robot, "#new-push-button");
        }
        click(robot, "#stroke-new-rung");
        click(robot, "#chip-coil-KM");
        click(robot, "#stroke-before");
        click(robot, "#chip-nc-F2");
        click(robot, "#stroke-after");
        click(robot, "#chip-nc-S2");
        click(robot, "#chip-no-S1");
        click(robot, "#stroke-around");
        click(robot, "#chip-no-KM");
        click(robot, "#stroke-branch");
        click(robot, "#chip-coil-KT");
        clickSymbol(robot, 0, 5);
        click(robot, "#chip-coil-KY");
        click(robot, "#stroke-before");
        click(robot, "#chip-nc-KT");
        click(robot, "#stroke-after");
        click(robot, "#chip-nc-KD");
        clickSymbol(robot, 0, 5);
        click(robot, "#stroke-branch");
        click(robot, "#chip-coil-KD");
        click(robot, "#stroke-before");
        click(robot, "#chip-no-KT");
        click(robot, "#stroke-after");
        click(robot, "#chip-nc-KY");

        System.out.println("Star-delta starter by mouse: " + strokes + " clicks");
        assertThat(strokes).isLessThan(150);
        Sheet timed = sheet().withDevices(sheet().devices().stream()
                .map(device -> device.tag().equals("KT") ? device.with("setting", "8 s") : device)
                .toList());
        assertPasses(timed, "star-delta-direct", "01-star-then-delta", "S0", "S2");
        assertPasses(timed, "star-delta-direct", "02-overload-in-the-motor-leads");
    }

    @Test
    void anEditTakesEffectAtOnceAndCanBeUndone(FxRobot robot) throws Exception {
        key(robot, KeyCode.CONTROL, KeyCode.D);
        key(robot, KeyCode.INSERT);
        type(robot, "power direct");
        type(robot, "L /F2 /S0 S1 (K1) N");
        robot.clickOn("#step-try");
        robot.clickOn("#spot-Q1");
        robot.press(KeyCode.DIGIT2);
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> condition("M1") == Condition.FORWARD);
        robot.clickOn("#step-draw");
        key(robot, KeyCode.DOWN);
        assertThat(robot.lookup("#selected").<Label>query().getText()).startsWith("Rung 1 of the ladder: F2[95-96]");
        key(robot, KeyCode.RIGHT);
        key(robot, KeyCode.RIGHT);
        assertThat(robot.lookup("#selected").<Label>query().getText()).contains("S1[13-14]");
        key(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
        type(robot, "K1");
        robot.release(KeyCode.DIGIT2);
        assertThat(condition("S1")).as("held from before the edit").isEqualTo(Condition.PRESSED);
        robot.clickOn("#actuator-S1");
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> condition("S1") == Condition.RELEASED);
        assertThat(condition("K1"))
                .as("the seal-in that was just drawn holds it")
                .isEqualTo(Condition.IN);
        robot.interact(() -> ((TextField) window.part("device-S1")).setText("Start; colour=loud"));
        robot.interact(
                () -> ((TextField) window.part("device-S1")).getOnAction().handle(null));
        assertThat(robot.lookup("#preview").<Label>query().getText())
                .startsWith("S1: found 'loud', expected one of red");
        robot.interact(
                () -> ((TextField) window.part("device-S1")).setText("Go; blocks=13-14; colour=green; place=door"));
        robot.interact(
                () -> ((TextField) window.part("device-S1")).getOnAction().handle(null));
        assertThat(sheet().device("S1").orElseThrow().label()).isEqualTo("Go");
        robot.interact(jobs::undo);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((TextField) window.part("device-S1")).getText())
                .as("the list says what the sheet says, also after undoing")
                .isEqualTo("Start; blocks=13-14; colour=green; place=door");
        key(robot, KeyCode.ESCAPE);
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(sheet().control()).hasSize(1);
        key(robot, KeyCode.CONTROL, KeyCode.Y);
        assertThat(sheet().control()).hasSize(2);
        key(robot, KeyCode.INSERT);
        type(robot, "rename K1 K5");
        type(robot, "wire 3 30");
        assertThat(sheet().control().get(0).text())
                .startsWith("L F2[95-96] @30 S0")
                .contains("K5[A1-A2]");
        type(robot, "renumber");
        assertThat(sheet().control().get(0).text()).startsWith("L F2[95-96] @3 S0");
        type(robot, "find K5");
        assertThat(robot.lookup("#selected").<Label>query().getText()).contains("K5[");
        robot.interact(() -> ((TextField) window.part("line")).clear());
        robot.write("L /F2 (K5 N", 0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#preview").<Label>query().getText())
                .startsWith("F2: found no free contact that is closed at rest");
    }

    /** On a sheet that is higher than the window one sees what one has selected and what one types. */
    @Test
    void whatIsSelectedAndWhatIsTypedComesIntoView(FxRobot robot) {
        Sheet rinser = Library.jobs().get(0).sheet("Bottle rinser").orElseThrow();
        robot.interact(() -> {
            jobs.edit(rinser);
            window.showSheet("Bottle rinser");
            window.setDrawing(true);
        });
        SheetView view = (SheetView) window.part("sheet");
        int last = rinser.control().size() - 1;
        for (int rung = 0; rung <= last; rung++) {
            key(robot, KeyCode.DOWN);
            var box = view.drawing().boxOf(new Place(Circuit.CONTROL, rung, 1)).orElseThrow();
            assertThat(view.localToScreen(view.getLayoutBounds()).contains(view.onScreen(box.x(), box.y())))
                    .as("rung " + (rung + 1))
                    .isTrue();
        }
        double scrolled = scrolled(robot);
        assertThat(scrolled).isPositive();
        key(robot, KeyCode.INSERT);
        robot.write("L S9 (K9) N", 0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(scrolled(robot)).isGreaterThan(scrolled);
    }

    private static double scrolled(FxRobot robot) {
        return robot.lookup("#sheet > .scroll-bar").queryAllAs(ScrollBar.class).stream()
                .filter(bar -> bar.getOrientation() == Orientation.VERTICAL)
                .mapToDouble(ScrollBar::getValue)
                .sum();
    }

    @Test
    void aStarterIsProposedByQuestionsAndItsSheetsAreKeptInOrder(FxRobot robot) throws Exception {
        robot.clickOn("#sheet-menu").clickOn("#sheet-start");
        WaitForAsyncUtils.waitForFxEvents();
        robot.doubleClickOn("#start-power").write("lots");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#start-trouble").<Label>query().getText())
                .contains("lots', expected a power such as 4 kW or 5 hp");
        robot.interact(() -> ((TextField) window.part("start-power")).setText("7.5 kW"));
        robot.interact(() -> ((TextField) window.part("start-name")).setText("Crate lift"));
        robot.clickOn("#start-question-3").clickOn("Two directions, stop first");
        robot.clickOn("#start-lamp-stopped");
        robot.clickOn("#start-practice").clickOn("North American");
        robot.clickOn("#start-draw");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.jobProperty().get().practice()).isEqualTo(Practice.NORTH_AMERICAN);
        assertThat(condition("LT3"))
                .as("nothing runs, but nothing is fed either")
                .isEqualTo(Condition.DARK);

        assertThat(jobs.jobProperty().get().sheets()).extracting(Sheet::name).containsExactly("Bin gate", "Crate lift");
        assertThat(window.run().assembly().part("R")).isPresent();
        robot.clickOn("#sheet-menu").clickOn("#sheet-copy");
        robot.clickOn("#sheet-menu").clickOn("#sheet-left");
        robot.clickOn("#sheet-menu").clickOn("#sheet-rename");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.jobProperty().get().sheets())
                .extracting(Sheet::name)
                .containsExactly("Bin gate", "Renamed", "Crate lift");
        robot.clickOn("#sheet-menu").clickOn("#sheet-remove");
        for (int i = 0; i < 5; i++) {
            robot.interact(jobs::undo);
        }
        assertThat(jobs.jobProperty().get().sheets()).extracting(Sheet::name).containsExactly("Bin gate");
    }

    private Condition condition(String tag) {
        return window.run().shownProperty().get().condition(tag);
    }
}
