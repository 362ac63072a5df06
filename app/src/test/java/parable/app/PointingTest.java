package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.sheet.SelectedBox;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.Sheet;
import parable.desk.Stretch;
import parable.draw.Box;
import parable.draw.Mark;
import parable.files.JobFile;
import parable.files.LogbookFile;
import parable.parts.Verb;
import parable.starters.Library;

/** Drawing and trying by pointing: places, chooser, menu and card, by mouse alone and by keys alone. */
@ExtendWith(ApplicationExtension.class)
class PointingTest extends DrivenWindow {

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    @Test
    void aPlaceShowsItselfNearThePointerAndWhatIsChosenIsDrawnBeforeItIsTaken(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        Point2D start = onScreen("S1", "13");
        robot.moveTo(start.add(-40, 0));
        robot.moveBy(-1, 0);
        assertThat(window.part("spot-plus").isVisible()).isTrue();
        robot.clickOn("#spot-plus");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(window.part("chooser").isVisible()).isTrue();
        assertThat(sheet()).as("only drawn").isEqualTo(before);
        robot.write("e-st");
        robot.push(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("chooser").isVisible()).isFalse();
        assertThat(sheet()).isEqualTo(before);
        robot.push(KeyCode.SPACE);
        robot.write("end switch that stops");
        robot.push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().devices()).hasSize(before.devices().size() + 1);
        robot.interact(() -> jobs.undo());
        assertThat(sheet()).isEqualTo(before);
    }

    @Test
    void aSymbolIsDraggedToAnotherPlaceAndThePaperStays(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        Point2D start = onScreen("S1", "13");
        robot.drag(onScreen("S4", "11")).dropTo(start.add(-42, 0));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().control().get(0).text())
                .containsSubsequence("S0[11-12]", "S2[11-12]", "S4[11-12]", "S1[13-14]");
        robot.interact(() -> jobs.undo());
        assertThat(sheet()).isEqualTo(before);
        Point2D fixed = onScreen("K1", "A1");
        robot.drag(fixed.add(0, 330)).dropTo(fixed.add(0, 250));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(onScreen("K1", "A1").distance(fixed))
                .as("the paper is moved where nothing is drawn")
                .isGreaterThan(20);
    }

    /** With the shortcut key held a further contact of the device goes there, and what was dragged stays. */
    @Test
    void aSymbolIsCopiedWithTheKeyHeld(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        Point2D beforeLamp = onScreen("P2", "X1").midpoint(onScreen("K1", "21"));
        robot.press(KeyCode.CONTROL);
        robot.drag(onScreen("S4", "11")).dropTo(beforeLamp);
        robot.release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().control().get(0)).isEqualTo(before.control().get(0));
        assertThat(sheet().control().get(4).text()).contains("S4[21-22]");
        robot.interact(() -> jobs.undo());
        assertThat(sheet()).isEqualTo(before);
    }

    /** The plus of one wire, dragged to that of another, asks what is to lead around what is between them. */
    @Test
    void aBranchIsDraggedFromWireToWire(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        Point2D from = onScreen("S0", "11").add(-42, 0);
        Point2D to = onScreen("S1", "13").add(-42, 0);
        robot.moveTo(from).moveBy(1, 0);
        robot.drag("#spot-plus").dropTo(to);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("chooser").isVisible()).isTrue();
        robot.write("k1").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().control()).hasSize(before.control().size() + 1);
        String branch = sheet().control().get(1).text();
        assertThat(branch).startsWith("@4 K1").contains("@6");
    }

    /** An end of what is selected is dragged along its rung. */
    @Test
    void anEndOfTheStretchIsDragged(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn(onScreen("S0", "11"));
        WaitForAsyncUtils.waitForFxEvents();
        Box box = SelectedBox.framed(
                        view().drawing(),
                        new Stretch(placeOf("S0", "11"), placeOf("S0", "11").item()))
                .orElseThrow();
        Point2D right = view().onScreen(box.x() + box.width(), box.y() + box.height() / 2);
        robot.drag(right).dropTo(onScreen("S2", "11").add(4, 0));
        WaitForAsyncUtils.waitForFxEvents();
        robot.push(KeyCode.DELETE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().control().get(0).text())
                .doesNotContain("S0[")
                .doesNotContain("S2[")
                .contains("S1[");
    }

    @Test
    void whoeverGoesToAnotherStepHasChosenNothing(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        robot.push(KeyCode.DOWN).push(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("chooser").isVisible()).isTrue();
        robot.clickOn("#step-check");
        robot.clickOn("#step-draw");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("chooser").isVisible()).isFalse();
        assertThat(sheet()).isEqualTo(before);
    }

    @Test
    void theMenuPutsAFaultInAndTakesItOut(FxRobot robot) throws Exception {
        robot.interact(() -> window.setDrawing(true));
        robot.interact(() -> window.setDrawing(false));
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn(onScreen("K1", "13"), MouseButton.SECONDARY);
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn("Fault: K1 13-14 is welded closed");
        until(() -> window.run().shownProperty().get().faults().size() == 1);
        assertThat(window.run().shownProperty().get().faults())
                .containsExactly(new Fault(Fault.Kind.WELDED, "K1", "13-14"));
        robot.clickOn(onScreen("K1", "13"), MouseButton.SECONDARY);
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn("Take out: K1 13-14 is welded closed");
        until(() -> window.run().shownProperty().get().faults().isEmpty());
    }

    @Test
    void theMenuDrawsAWholeStepOfTheTrade(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        robot.clickOn(onScreen("K1", "A1"), MouseButton.SECONDARY);
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn("#menu-strokes");
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn(row(robot, "One more station"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().devices()).hasSize(before.devices().size() + 2);
        assertThat(sheet().devices()).extracting(device -> device.place()).contains("Station 2");
    }

    @Test
    void theCardSetsATimerAndSaysWhyACoilIsOff(FxRobot robot) throws Exception {
        robot.interact(() -> window.showSheet("Mill"));
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn(onScreen("KT", "A1"));
        robot.doubleClickOn("#card-set-setting")
                .push(KeyCode.CONTROL, KeyCode.A)
                .write("8")
                .push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().device("KT").orElseThrow().setting("setting")).contains("8 s");

        robot.clickOn("#step-try");
        robot.interact(() -> window.run().act(new Action(Verb.CLOSE, "Q1")));
        robot.clickOn(onScreen("KM", "A1"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#card-state").<Label>query().getText()).startsWith("KM is off. Open in its way:");
        robot.clickOn("#card-do-S1-press");
        until(() -> condition("KM") == Condition.IN);
    }

    /** A part of the sentence points at its contact; a remark on the card is an entry of the record. */
    @Test
    void theCardPointsAtContactsAndWritesIntoTheRecord(FxRobot robot) throws Exception {
        Path file = folder.resolve("press" + JobFile.ENDING);
        robot.interact(() -> jobs.save(file));
        robot.interact(() -> window.why("K1"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#card-way-6").<Button>query().getText()).isEqualTo("6  S1 13-14, open");
        robot.moveTo("#card-way-6");
        WaitForAsyncUtils.waitForFxEvents();
        Box start = view().drawing().boxOf(placeOf("S1", "13")).orElseThrow();
        Point2D seen = view().screenToLocal(view().onScreen(start.x(), start.y()));
        assertThat(seen.getY()).as("it is brought into view").isBetween(0.0, view().getHeight());

        robot.interact(() -> robot.lookup("#card-note").<TextField>query().requestFocus());
        robot.write("coil renewed").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup(".card-refusal").<Label>query().getText()).contains("Say who you are first");
        robot.clickOn("#step-log").clickOn("#log-by").write("Rook");
        robot.clickOn("#step-try");
        robot.interact(() -> robot.lookup("#card-note").<TextField>query().clear());
        robot.interact(() -> robot.lookup("#card-note").<TextField>query().requestFocus());
        robot.write("coil renewed").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(LogbookFile.read(LogbookFile.beside(file)).entries())
                .singleElement()
                .matches(entry -> entry.text().equals("K1: coil renewed"));
    }

    @Test
    void whatIsTypedIsFoundAndBroughtIntoView(FxRobot robot) throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.F);
        WaitForAsyncUtils.waitForFxEvents();
        robot.write("tripped");
        until(() -> robot.lookup("#find-told").<Label>query().getText().equals("1 of 2"));
        assertThat(robot.lookup("#card-title").<Label>query().getText()).isEqualTo("P3");
        Point2D lamp = view().screenToLocal(onScreen("P3", "X1"));
        assertThat(lamp.getY()).isBetween(0.0, view().getHeight());
        robot.push(KeyCode.ENTER);
        until(() -> robot.lookup("#card-title").<Label>query().getText().startsWith("Rung 6"));
        robot.push(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("find").isVisible()).isFalse();
        assertThat(condition("S4")).as("typing presses nothing").isEqualTo(Condition.RELEASED);
    }

    /** Whatever message comes and whatever is selected: what was there stays where it was. */
    @Test
    void nothingMovesUnderThePointer(FxRobot robot) {
        robot.interact(() -> window.run().setRunning(false));
        WaitForAsyncUtils.waitForFxEvents();
        List<String> watched = List.of(
                "step-draw",
                "step-test",
                "sheet",
                "actuator-S1",
                "actuator-S3",
                "more-M1",
                "leaf-story",
                "clock",
                "save");
        List<Bounds> before = places(watched);
        List<Runnable> acts = new ArrayList<>();
        acts.add(() ->
                window.tell("A message that is so long that it needs two lines on the slip at the foot of the drawing,"
                        + " as one of a file that cannot be written does with its whole name and the reason why."));
        acts.add(() -> ((ToggleButton) window.part("leaf-card")).fire());
        acts.add(() -> ((ToggleButton) window.part("leaf-meter")).fire());
        acts.add(() -> window.run().act(new Action(Verb.CLOSE, "Q1")));
        acts.add(() -> window.run().act(new Action(Verb.PRESS, "S1")));
        acts.add(() -> window.run().stepBack());
        acts.add(() -> window.run().set(new Fault(Fault.Kind.WELDED, "K1", "13-14"), true));
        for (Runnable act : acts) {
            robot.interact(act);
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(places(watched)).isEqualTo(before);
        }
        Box motor = view().drawing()
                .symbols()
                .filter(symbol -> symbol.subject().tag().equals("M1"))
                .findFirst()
                .orElseThrow()
                .box();
        robot.clickOn(view().onScreen(motor.x() + motor.width() / 2, motor.y() + motor.height() / 2));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#card-title").<Label>query().getText()).isEqualTo("M1");
        assertThat(places(watched)).isEqualTo(before);
    }

    private List<Bounds> places(List<String> ids) {
        return ids.stream()
                .map(id -> {
                    Node node = window.part(id);
                    Bounds bounds = node.localToScene(node.getLayoutBounds());
                    return (Bounds) new BoundingBox(Math.rint(bounds.getMinX()), Math.rint(bounds.getMinY()), 1, 1);
                })
                .toList();
    }

    @Test
    void theDrawingHasSixtyPercentOfTheWindowAndCanBeReadOnEverySheetOfTheLibrary() {
        assertThat(window.scene().getWidth()).isEqualTo(1280);
        assertThat(window.scene().getHeight()).isEqualTo(800);
        double smallest = Arrays.stream(Mark.TextRole.values())
                .mapToDouble(Mark.TextRole::size)
                .min()
                .orElseThrow();
        Library.jobs().forEach(job -> {
            WaitForAsyncUtils.asyncFx(() -> jobs.edit(job));
            for (Sheet one : some(job.sheets())) {
                WaitForAsyncUtils.asyncFx(() -> window.showSheet(one.name()));
                WaitForAsyncUtils.waitForFxEvents();
                assertThat(view().getWidth() * view().getHeight())
                        .as(one.name())
                        .isGreaterThanOrEqualTo(0.6 * 1280 * 800);
                assertThat(view().scale() * smallest).as(one.name()).isGreaterThanOrEqualTo(11);
            }
        });
    }

    /** The first and the last of a job, which the ordinary run looks at; the long run takes all. */
    private static List<Sheet> some(List<Sheet> sheets) {
        return EVERYTHING || sheets.size() < 3 ? sheets : List.of(sheets.get(0), sheets.get(sheets.size() - 1));
    }

    /** In the power circuit a plus on any line puts a device into all lines; by mouse alone. */
    @Test
    void aDeviceIsPutIntoAllLinesOfThePowerCircuitAndDraggedAlongThem(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        lookAtPoles(robot);
        Sheet before = sheet();
        robot.moveTo(onScreen("K1", "3").add(0, -36)).moveBy(1, 0);
        assertThat(window.part("spot-plus").isVisible()).isTrue();
        robot.clickOn("#spot-plus");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(view().drawing().boxOf(placeOf("K1", "1"))).isPresent();
        robot.clickOn(row(robot, "contactor, new"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().power().subList(0, 3))
                .allSatisfy(line -> assertThat(line.text()).containsSubsequence("Q1[", "@1L", "K2[", "K1[", "F2["));

        lookAtPoles(robot);
        robot.drag(onScreen("F2", "3")).dropTo(onScreen("K2", "3").add(0, -36));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().power().subList(0, 3))
                .allSatisfy(line -> assertThat(line.text()).containsSubsequence("Q1[", "F2[", "K2[", "K1["));
        robot.interact(jobs::undo);
        robot.interact(jobs::undo);
        assertThat(sheet()).isEqualTo(before);
    }

    /** The same by keys alone: up to the power circuit, Space, words, Enter, Delete. */
    @Test
    void aFurtherMotorIsDrawnByKeysAndADeviceLeavesAllLines(FxRobot robot) {
        robot.interact(() -> window.setDrawing(true));
        WaitForAsyncUtils.waitForFxEvents();
        Sheet before = sheet();
        robot.push(KeyCode.RIGHT);
        before.power().forEach(rung -> robot.push(KeyCode.UP));
        robot.push(KeyCode.SPACE).write("further motor").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().device("M2")).isPresent();
        assertThat(sheet().power()).hasSize(before.power().size() + 4);
        robot.push(KeyCode.DELETE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().power().subList(before.power().size(), before.power().size() + 3))
                .as("the breaker of the new motor is selected, and leaves its three lines")
                .noneMatch(line -> line.text().contains("Q2["));
    }

    private void lookAtPoles(FxRobot robot) {
        WaitForAsyncUtils.waitForFxEvents();
        Box box = view().drawing().boxOf(placeOf("K1", "1")).orElseThrow();
        robot.interact(() -> view().bringIntoView(box.x(), box.y()));
        WaitForAsyncUtils.waitForFxEvents();
    }
}
