package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.bench.Condition;

/** What turns is seen turning, forward clockwise and backward the other way, and can be kept still; quiet time is folded. */
@ExtendWith(ApplicationExtension.class)
class MotionTest extends DrivenWindow {

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    private Node rotor() {
        return ((Parent) window.part("rotors")).getChildrenUnmodifiable().get(0);
    }

    private double turnedSoon(FxRobot robot) throws Exception {
        double before = rotor().getRotate();
        until(() -> Math.abs(rotor().getRotate() - before) > 20);
        return rotor().getRotate() - before;
    }

    @Test
    void aRotorTurnsTheWayTheMotorDoes(FxRobot robot) throws Exception {
        robot.interact(() -> window.showSheet("Press platen"));
        closeBreaker(robot);
        assertThat(rotor().isVisible()).as("at rest").isFalse();
        robot.clickOn("#actuator-S1");
        until(() -> condition("M1") == Condition.FORWARD);
        assertThat(rotor().isVisible()).isTrue();
        assertThat(turnedSoon(robot)).as("forward").isPositive();
        robot.clickOn("#actuator-S0");
        until(() -> condition("M1") == Condition.STOPPED);
        assertThat(rotor().isVisible()).as("stopped").isFalse();
        robot.clickOn("#actuator-S2");
        until(() -> condition("M1") == Condition.REVERSE);
        assertThat(turnedSoon(robot)).as("backward").isNegative();
        robot.interact(() -> window.look().motionProperty().set(false));
        assertThat(rotor().isVisible()).as("motion is not wanted").isFalse();
    }

    /** Under the coil of a timer that counts is a bar that shortens, and its card says how many seconds are left. */
    @Test
    void aTimerShowsWhatIsLeftOfItsTime(FxRobot robot) throws Exception {
        robot.interact(() -> window.showSheet("Mill"));
        closeBreaker(robot);
        robot.interact(() -> window.why("KT"));
        Rectangle bar = (Rectangle)
                ((Parent) window.part("countdowns")).getChildrenUnmodifiable().get(0);
        assertThat(bar.isVisible()).as("at rest").isFalse();
        robot.clickOn("#actuator-S1");
        until(() -> bar.isVisible());
        double before = bar.getWidth();
        until(() -> bar.getWidth() < before);
        assertThat(robot.lookup("#card-left").<Label>query().getText()).endsWith("s left of its time.");
        until(() -> condition("KD") == Condition.IN);
        assertThat(bar.isVisible()).as("through").isFalse();
    }

    @Test
    void theStripFoldsQuietTimeAndCanUnfoldIt(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.clickOn("#strip-open");
        WaitForAsyncUtils.waitForFxEvents();
        CheckBox folds = (CheckBox) window.part("strip-folds");
        assertThat(folds.isSelected()).isTrue();
        robot.interact(() -> window.run().tick(30));
        robot.clickOn("#actuator-S1");
        until(() -> condition("K1") == Condition.IN);
        Node strip = window.part("time-strip");
        robot.clickOn(strip.localToScreen(strip.getLayoutBounds()).getMinX() + 150, middle(strip));
        long folded = window.run().shownTimeProperty().get();
        robot.clickOn("#strip-folds");
        robot.clickOn(strip.localToScreen(strip.getLayoutBounds()).getMinX() + 150, middle(strip));
        assertThat(window.run().shownTimeProperty().get())
                .as("the same place of the strip is another time")
                .isNotEqualTo(folded);
        robot.push(KeyCode.ESCAPE);
    }

    private static double middle(Node node) {
        var bounds = node.localToScreen(node.getLayoutBounds());
        return (bounds.getMinY() + bounds.getMaxY()) / 2;
    }
}
