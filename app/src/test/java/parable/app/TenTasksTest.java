package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.NodeQueryUtils;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.bench.Action;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.parts.Verb;

/** Ten tasks of the trade, each by mouse alone and by keys alone, counted; docs/desk.md has the figures. */
@ExtendWith(ApplicationExtension.class)
class TenTasksTest extends DrivenWindow {

    private static final Path BAD = DEMO.resolveSibling("tern-hollow-bad-examples" + JobFile.ENDING);

    private CountedHand hand;

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    @BeforeEach
    void count(FxRobot robot) {
        hand = new CountedHand(robot);
    }

    private void within(String task, int most) {
        System.out.println("Actions: " + task + ": " + hand.actions());
        assertThat(hand.actions()).as(task).isLessThanOrEqualTo(most);
    }

    private static void startsHoldsAndStops(Sheet sheet) throws Exception {
        Bench bench = Bench.of(Assembly.of(sheet));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.act(new Action(Verb.PRESS, "S2"));
        bench.runUntil(300_000);
        bench.act(new Action(Verb.RELEASE, "S2"));
        bench.runUntil(600_000);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.FORWARD);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(900_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
    }

    @Test
    void directOnLineByMouse(FxRobot robot) throws Exception {
        showEmpty(robot);
        hand.click("#begin-direct");
        for (int i = 0; i < 5; i++) {
            hand.click("#offer-0");
        }
        hand.click(robot.point("#route-card").atPosition(Pos.BOTTOM_CENTER).query());
        startsHoldsAndStops(sheet());
        within("direct-on-line by mouse", 7);
    }

    @Test
    void directOnLineByKeys(FxRobot robot) throws Exception {
        showEmpty(robot);
        hand.push(KeyCode.TAB);
        hand.push(KeyCode.SPACE);
        hand.push(5, KeyCode.ENTER);
        hand.push(KeyCode.ESCAPE);
        startsHoldsAndStops(sheet());
        within("direct-on-line by keys", 8);
    }

    private List<Device> added(Sheet before) {
        return sheet().devices().stream()
                .filter(device -> before.device(device.tag()).isEmpty())
                .toList();
    }

    private void stationIsThere(Sheet before) {
        assertThat(added(before)).extracting(Device::label).containsExactly("Stop", "Start");
    }

    @Test
    void oneMoreStationByMouse(FxRobot robot) {
        Sheet before = sheet();
        hand.click("#step-draw");
        hand.menu(onScreen("K1", "A1"));
        hand.click("#menu-strokes");
        hand.click(row(robot, "One more station"));
        stationIsThere(before);
        within("one more station by mouse", 4);
    }

    @Test
    void oneMoreStationByKeys() {
        Sheet before = sheet();
        hand.push(KeyCode.CONTROL, KeyCode.D);
        hand.push(KeyCode.DOWN);
        hand.push(KeyCode.SPACE);
        hand.type("stati");
        hand.push(KeyCode.ENTER);
        stationIsThere(before);
        within("one more station by keys", 9);
    }

    private void lampIsThere(Sheet before) {
        assertThat(added(before)).extracting(Device::label).containsExactly("Tripped");
        assertThat(added(before).get(0).setting("colour")).isPresent();
    }

    @Test
    void lampForTrippedByMouse(FxRobot robot) {
        robot.interact(() -> window.showSheet("Press platen"));
        Sheet before = sheet();
        hand.click("#step-draw");
        hand.menu(onScreen("K1", "A1"));
        hand.click("#menu-strokes");
        hand.click(row(robot, "Lamp: tripped"));
        lampIsThere(before);
        within("lamp for tripped by mouse", 4);
    }

    @Test
    void lampForTrippedByKeys(FxRobot robot) {
        robot.interact(() -> window.showSheet("Press platen"));
        Sheet before = sheet();
        hand.push(KeyCode.CONTROL, KeyCode.D);
        hand.push(KeyCode.DOWN);
        hand.push(KeyCode.SPACE);
        hand.type("tripp");
        hand.push(KeyCode.ENTER);
        lampIsThere(before);
        within("lamp for tripped by keys", 9);
    }

    private void reverses(String button) throws Exception {
        Bench bench = Bench.of(Assembly.of(sheet()));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(300_000);
        bench.act(new Action(Verb.PRESS, button));
        bench.runUntil(600_000);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.REVERSE);
    }

    private String reverseButton(Sheet before) {
        return added(before).stream()
                .filter(device -> device.kind().equals("push-button"))
                .findFirst()
                .orElseThrow()
                .tag();
    }

    @Test
    void reversingByMouse(FxRobot robot) throws Exception {
        Sheet before = sheet();
        hand.click("#step-draw");
        hand.menu(onScreen("K1", "A1"));
        hand.click("#menu-strokes");
        hand.click(row(robot, "Second direction"));
        reverses(reverseButton(before));
        within("reversing out of direct-on-line by mouse", 4);
    }

    @Test
    void reversingByKeys() throws Exception {
        Sheet before = sheet();
        hand.push(KeyCode.CONTROL, KeyCode.D);
        hand.push(KeyCode.DOWN);
        hand.push(KeyCode.SPACE);
        hand.type("second");
        hand.push(KeyCode.ENTER);
        reverses(reverseButton(before));
        within("reversing out of direct-on-line by keys", 10);
    }

    private String timer() {
        return sheet().device("KT").orElseThrow().setting("setting").orElse("");
    }

    @Test
    void timersTimeByMouse(FxRobot robot) {
        robot.interact(() -> window.showSheet("Mill"));
        hand.click("#step-draw");
        hand.click(onScreen("KT", "A1"));
        hand.click("#card-set-setting");
        hand.type("8");
        hand.push(KeyCode.ENTER);
        assertThat(timer()).isEqualTo("8 s");
        within("timer's time by mouse", 5);
    }

    @Test
    void timersTimeByKeys(FxRobot robot) {
        robot.interact(() -> window.showSheet("Mill"));
        hand.push(KeyCode.CONTROL, KeyCode.F);
        hand.type("kt");
        hand.push(KeyCode.F2);
        hand.type("8");
        hand.push(KeyCode.ENTER);
        assertThat(timer()).isEqualTo("8 s");
        within("timer's time by keys", 6);
    }

    private void isWelded() throws Exception {
        until(() -> !window.run().shownProperty().get().faults().isEmpty());
        assertThat(window.run().shownProperty().get().faults())
                .singleElement()
                .matches(fault ->
                        fault.kind() == Fault.Kind.WELDED && fault.tag().equals("K1"));
    }

    @Test
    void weldAContactByMouse() throws Exception {
        hand.menu(poleOfK1());
        hand.click("Fault: K1 1-2 is welded closed");
        isWelded();
        within("weld a contact by mouse", 2);
    }

    @Test
    void weldAContactByKeys() throws Exception {
        hand.push(KeyCode.CONTROL, KeyCode.F);
        hand.type("k1");
        hand.push(KeyCode.CONTROL, KeyCode.ENTER);
        hand.push(2, KeyCode.DOWN);
        hand.push(KeyCode.ENTER);
        isWelded();
        within("weld a contact by keys", 7);
    }

    private void saysWhy(FxRobot robot) {
        assertThat(robot.lookup("#card-state").<Label>query().getText()).startsWith("K1 is off. Open in its way:");
    }

    @Test
    void whyIsItOffByMouse(FxRobot robot) {
        hand.click(poleOfK1());
        saysWhy(robot);
        within("why K1 is off by mouse", 1);
    }

    @Test
    void whyIsItOffByKeys(FxRobot robot) {
        hand.push(KeyCode.CONTROL, KeyCode.F);
        hand.type("k1");
        saysWhy(robot);
        within("why K1 is off by keys", 3);
    }

    private String shown(FxRobot robot) {
        return robot.lookup("#meter-display").<Label>query().getText();
    }

    private static final List<String> ALONG = List.of("3", "4", "5", "6", "7");

    @Test
    void measureAlongARungByMouse(FxRobot robot) throws Exception {
        closeBreaker(robot);
        hand.click("#leaf-meter");
        hand.click("#pick-black");
        hand.click(onWire("2"));
        hand.click(robot.point("#overview")
                .atPosition(Pos.BOTTOM_CENTER)
                .atOffset(0, -30)
                .query());
        for (String wire : ALONG) {
            hand.click(onWire(wire));
            assertThat(shown(robot)).as("wire %s", wire).startsWith(wire.equals("7") ? "0.0 V" : "230");
        }
        within("measure along a rung by mouse", 9);
    }

    private Point2D onWire(String number) {
        return view().drawing()
                .pointOn(number)
                .map(at -> view().onScreen(at.x(), at.y()))
                .orElseThrow();
    }

    @Test
    void measureAlongARungByKeys(FxRobot robot) throws Exception {
        closeBreaker(robot);
        hand.push(KeyCode.CONTROL, KeyCode.M);
        hand.push(KeyCode.ENTER);
        for (String wire : ALONG) {
            hand.push(KeyCode.DOWN);
            assertThat(shown(robot)).as("wire %s", wire).startsWith(wire.equals("7") ? "0.0 V" : "230");
        }
        within("measure along a rung by keys", 7);
    }

    private void showBadExample(FxRobot robot) throws Exception {
        Job bad = JobFile.open(BAD);
        robot.interact(() -> {
            Stage stage = (Stage) window.scene().getWindow();
            jobs = new JobModel(bad, Optional.of(BAD));
            window = new MainWindow(jobs, answers);
            stage.setScene(window.scene());
        });
        robot.interact(() -> window.showSheet("Two-block jog"));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static Optional<Node> replay(FxRobot robot) {
        return robot.lookup(node -> node.getId() != null && node.getId().startsWith("replay-"))
                .tryQuery();
    }

    private void replays() throws Exception {
        until(() -> window.run().shownTimeProperty().get() > 0);
        assertThat(window.run().story()).isNotEmpty();
    }

    @Test
    void proveAndReplayByMouse(FxRobot robot) throws Exception {
        showBadExample(robot);
        hand.click("#step-check");
        hand.click("#prove");
        until(() -> WaitForAsyncUtils.waitForAsyncFx(
                5_000, () -> replay(robot).filter(NodeQueryUtils.isVisible()).isPresent()));
        String replay = replay(robot).orElseThrow().getId();
        hand.click("#" + replay);
        replays();
        within("prove and replay a failure by mouse", 3);
    }

    @Test
    void proveAndReplayByKeys(FxRobot robot) throws Exception {
        showBadExample(robot);
        hand.push(KeyCode.CONTROL, KeyCode.K);
        hand.push(KeyCode.E);
        until(() -> replay(robot).isPresent());
        hand.push(KeyCode.R);
        replays();
        within("prove and replay a failure by keys", 3);
    }

    @Test
    void printByMouse() throws Exception {
        answers.into(folder);
        hand.click("#paper-menu");
        hand.click("#paper-pdf");
        assertThat(Files.list(folder).toList()).singleElement().asString().endsWith(".pdf");
        within("print by mouse", 2);
    }

    @Test
    void printByKeys() throws Exception {
        answers.into(folder);
        hand.push(KeyCode.CONTROL, KeyCode.E);
        assertThat(Files.list(folder).toList()).singleElement().asString().endsWith(".pdf");
        within("print by keys", 1);
    }
}
