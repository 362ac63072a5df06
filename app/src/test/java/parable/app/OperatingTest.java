package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.Image;
import javafx.scene.image.PixelReader;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import parable.app.run.Speed;
import parable.app.sheet.Stamp;
import parable.bench.Action;
import parable.bench.Condition;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.network.NodeState;
import parable.parts.Verb;

/** Hands on the running pump, by mouse and by keys, and on its time. */
@ExtendWith(ApplicationExtension.class)
class OperatingTest extends DrivenWindow {

    /** So many rungs more, and what an overview shows is too small to be painted with each edit. */
    private static final int LARGE = 80;

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    @Test
    void theMouseStartsAndStopsThePump(FxRobot robot) throws Exception {
        assertThat(window.run().shownProperty().get().node("1")).contains(NodeState.DEAD);
        closeBreaker(robot);
        assertThat(window.run().shownProperty().get().node("1")).contains(NodeState.LIVE);
        assertThat(lens(robot, "P1")).isLessThan(0.35);

        robot.moveTo("#actuator-S1").press(MouseButton.PRIMARY);
        until(() -> condition("M1") == Condition.FORWARD);
        robot.release(MouseButton.PRIMARY);
        until(() -> story().get(story().size() - 1).contains("holds itself in"));

        assertThat(condition("K1")).isEqualTo(Condition.IN);
        assertThat(window.run().shownProperty().get().node("7")).contains(NodeState.LIVE);
        assertThat(lens(robot, "P1")).as("brightness of the run lamp").isGreaterThan(0.5);
        assertThat(robot.lookup("#door-P1").lookup(".condition").<Label>query().getText())
                .isEqualTo("lit");

        robot.moveTo("#actuator-S2").press(MouseButton.PRIMARY);
        until(() -> condition("M1") == Condition.STOPPED);
        robot.release(MouseButton.PRIMARY);
        until(() -> condition("S2") == Condition.RELEASED);
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
    }

    /** The brightness in the middle of a lamp, as it is on the picture. */
    private double lens(FxRobot robot, String tag) {
        Image picture = robot.capture(
                        robot.lookup("#door-" + tag).lookup(".lens").<javafx.scene.Node>query())
                .getImage();
        PixelReader pixels = picture.getPixelReader();
        Color middle = pixels.getColor((int) picture.getWidth() / 2, (int) picture.getHeight() / 2);
        return middle.getBrightness();
    }

    /** What is drawn live in the overview is live as soon as it is in the drawing. */
    @Test
    void theOverviewGoesLiveWithTheDrawing(FxRobot robot) throws Exception {
        assertThat(window.part("overview").isVisible()).isTrue();
        double dead = copper(robot);

        closeBreaker(robot);

        until(() -> copper(robot) > dead + 0.002);
        robot.clickOn("#spot-Q1");
        until(() -> condition("Q1") == Condition.OPEN);
        until(() -> copper(robot) < dead + 0.001);
    }

    /** Of a large drawing the overview has its place at once and is painted a moment later, as things are then. */
    @Test
    void theOverviewOfALargeDrawingFollowsAnEdit(FxRobot robot) throws Exception {
        Region overview = (Region) window.part("overview");
        Rung running = sheet().control().get(3);
        robot.interact(() -> edit(new Edit.InsertRung(Circuit.CONTROL, 4, running), LARGE));
        until(() -> stamp(overview).getWidth() == overview.getWidth() - 2);
        double before = overview.getWidth();
        AtomicReference<Double> atOnce = new AtomicReference<>(0.0);

        robot.interact(() -> {
            edit(new Edit.TakeRung(Circuit.CONTROL, 4), LARGE / 8);
            window.scene().getRoot().layout();
            atOnce.set(overview.getWidth());
        });

        assertThat(atOnce.get()).isGreaterThan(before);
        until(() -> stamp(overview).getWidth() == atOnce.get() - 2);
        double dead = copper(robot);
        robot.interact(() -> window.run().act(new Action(Verb.CLOSE, "Q1")));
        until(() -> condition("Q1") == Condition.CLOSED);
        until(() -> copper(robot) > dead + 0.002);
    }

    private void edit(Edit one, int times) {
        try {
            Sheet sheet = sheet();
            for (int i = 0; i < times; i++) {
                sheet = one.on(sheet);
            }
            jobs.edit(sheet);
        } catch (EditException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static Stamp stamp(Region overview) {
        return overview.getChildrenUnmodifiable().stream()
                .filter(Stamp.class::isInstance)
                .map(Stamp.class::cast)
                .findFirst()
                .orElseThrow();
    }

    /** The share of the overview that has the colour of live wires. */
    private double copper(FxRobot robot) {
        Image picture = robot.capture(window.part("overview")).getImage();
        PixelReader pixels = picture.getPixelReader();
        int copper = 0;
        for (int x = 0; x < picture.getWidth(); x++) {
            for (int y = 0; y < picture.getHeight(); y++) {
                Color pixel = pixels.getColor(x, y);
                copper += pixel.getRed() > 0.5 && pixel.getRed() - pixel.getBlue() > 0.4 ? 1 : 0;
            }
        }
        return copper / picture.getWidth() / picture.getHeight();
    }

    @Test
    void keysStartAndStopIt(FxRobot robot) throws Exception {
        robot.interact(() -> window.part("spot-Q1").requestFocus());
        robot.press(KeyCode.SPACE).release(KeyCode.SPACE);
        until(() -> condition("Q1") == Condition.CLOSED);

        robot.press(KeyCode.DIGIT3);
        until(() -> condition("K1") == Condition.IN);
        robot.release(KeyCode.DIGIT3);
        until(() -> condition("S1") == Condition.RELEASED);
        assertThat(condition("K1")).isEqualTo(Condition.IN);

        robot.press(KeyCode.DIGIT1).release(KeyCode.DIGIT1);
        until(() -> condition("K1") == Condition.OUT);
        assertThat(condition("S4")).isEqualTo(Condition.HIT);
    }

    @Test
    void aPressHeldWhileAnotherButtonIsPressed(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.press(KeyCode.DIGIT2);
        until(() -> condition("S0") == Condition.PRESSED);
        robot.moveTo("#actuator-S3").press(MouseButton.PRIMARY);
        until(() -> condition("S3") == Condition.PRESSED);

        assertThat(condition("S0")).isEqualTo(Condition.PRESSED);
        assertThat(condition("K1")).isEqualTo(Condition.OUT);

        robot.release(KeyCode.DIGIT2);
        until(() -> condition("K1") == Condition.IN);
        robot.release(MouseButton.PRIMARY);
    }

    @Test
    void aLatchedPressFreesTheHand(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.clickOn("#latch-S1");
        until(() -> condition("K1") == Condition.IN);
        assertThat(condition("S1")).isEqualTo(Condition.PRESSED);
        robot.clickOn("#latch-S1");
        until(() -> condition("S1") == Condition.RELEASED);
        robot.press(KeyCode.SHIFT).press(KeyCode.DIGIT2).release(KeyCode.DIGIT2).release(KeyCode.SHIFT);
        until(() -> condition("K1") == Condition.OUT);
        assertThat(condition("S0")).isEqualTo(Condition.PRESSED);
        assertThat(robot.lookup("#latch-S0").<ToggleButton>query().isSelected()).isTrue();
    }

    @Test
    void tripResetLoseAndRestoreOnTheDrawing(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.press(KeyCode.DIGIT3);
        until(() -> condition("K1") == Condition.IN);
        robot.release(KeyCode.DIGIT3);
        robot.clickOn("#spot-F2");
        until(() -> condition("K1") == Condition.OUT && condition("P3") == Condition.LIT);
        robot.clickOn("#spot-F2");
        until(() -> condition("F2") == Condition.HEALTHY);
        robot.clickOn("#spot-G1");
        until(() -> condition("P2") == Condition.DARK);
        robot.clickOn("#spot-G1");
        until(() -> condition("P2") == Condition.LIT);
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
    }

    @Test
    void timeStandsStillStepsOnAndGoesBack(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.type(KeyCode.P);
        until(() -> !window.run().runningProperty().get());
        robot.press(KeyCode.DIGIT3);
        robot.clickOn("#step-forward").type(KeyCode.N).type(KeyCode.N);
        until(() -> condition("K1") == Condition.IN);
        long pulledIn = window.run().shownTimeProperty().get();
        assertThat(story().get(story().size() - 1)).startsWith("K1 pulls in");

        robot.type(KeyCode.B);
        until(() -> condition("K1") == Condition.OUT);
        assertThat(robot.lookup("#tense").<Label>query().getText()).startsWith("Looking back 7 ms");
        robot.interact(() -> robot.lookup("#past").<Slider>query().setValue(0));
        until(() -> condition("Q1") == Condition.OPEN
                || window.run().shownTimeProperty().get() == 0);
        robot.clickOn("#back-to-now");
        until(() -> window.run().shownTimeProperty().get() >= pulledIn);
        assertThat(condition("K1")).isEqualTo(Condition.IN);
        robot.release(KeyCode.DIGIT3);
    }

    @Test
    void slowMotionIsSlow(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.clickOn("#speed-one-millisecond");
        assertThat(window.run().speedProperty().get()).isEqualTo(Speed.ONE_MILLISECOND);
        long before = window.run().nowProperty().get();
        robot.interact(() -> window.run().tick(2));
        assertThat(window.run().nowProperty().get() - before).isBetween(2_000L, 100_000L);
    }

    @Test
    void aTouchLastsAsLongAsAFingerAlsoInSlowMotion(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.clickOn("#speed-one-millisecond");
        robot.type(KeyCode.DIGIT3);
        until(() -> condition("S1") == Condition.PRESSED);
        robot.type(KeyCode.DIGIT3);
        robot.interact(() -> {
            window.run().speedProperty().set(Speed.REAL_TIME);
            window.run().tick(0.15);
        });
        assertThat(story()).contains("S1 13-14 opens; K1 holds itself in through its own 13-14.");
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
        assertThat(condition("K1")).isEqualTo(Condition.IN);
    }

    @Test
    void whatIsDoneWhileLookingBackGoesOnFromThere(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.press(KeyCode.DIGIT3);
        until(() -> condition("K1") == Condition.IN);
        robot.release(KeyCode.DIGIT3);
        until(() -> condition("S1") == Condition.RELEASED);
        int told = story().size();
        robot.interact(() -> window.run().lookAt(0));
        robot.clickOn("#spot-Q1");
        until(() -> story().size() < told);
        assertThat(window.run().looksBack()).isFalse();
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
    }
}
