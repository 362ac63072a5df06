package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.RecentJobs;

/** Whoever is new is taken through the window act by act; whoever was here finds the jobs again. */
@ExtendWith(ApplicationExtension.class)
class TourTest extends DrivenWindow {

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    private String words(FxRobot robot) {
        return robot.lookup("#tour-words").<Label>query().getText();
    }

    /** Each act is done as the slip asks, and the next one comes by itself. */
    @Test
    void theTourIsWalkedAsItIsTold(FxRobot robot) throws Exception {
        robot.interact(() -> window.tour().begin());
        until(() -> words(robot).contains("Close the breaker Q1"));
        robot.clickOn("#spot-Q1");
        until(() -> words(robot).startsWith("Press Start"));
        robot.clickOn("#actuator-S1");
        until(() -> words(robot).startsWith("Press Stop"));
        robot.clickOn("#actuator-S0");
        until(() -> words(robot).startsWith("Why is K1 off?"));
        robot.clickOn(poleOfK1());
        until(() -> words(robot).startsWith("Now a fault"));
        robot.clickOn(poleOfK1(), MouseButton.SECONDARY);
        robot.clickOn("Fault: K1 1-2 is welded closed");
        until(() -> words(robot).contains("take the fault out"));
        robot.interact(() -> window.run().set(new Fault(Fault.Kind.WELDED, "K1", "1-2"), false));
        until(() -> words(robot).startsWith("Now draw"));
        robot.clickOn("#step-draw");
        until(() -> words(robot).contains("One more station"));
        Sheet before = sheet();
        robot.push(KeyCode.DOWN).push(KeyCode.SPACE).write("stati").push(KeyCode.ENTER);
        until(() -> words(robot).contains("Press Undo"));
        robot.clickOn("#undo");
        until(() -> words(robot).contains("told in Check"));
        assertThat(sheet()).isEqualTo(before);
        robot.clickOn("#step-check");
        until(() -> words(robot).startsWith("The rules read"));
        robot.clickOn("#prove");
        until(() -> words(robot).contains("Look into Wire"));
        robot.clickOn("#step-wire");
        until(() -> words(robot).startsWith("That is all"));
        robot.clickOn("#tour-end");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("tour").isVisible()).isFalse();
        assertThat(condition("Q1")).isEqualTo(Condition.CLOSED);
    }

    @Test
    void itCanBeLeftAndSkippedAtAnyTime(FxRobot robot) throws Exception {
        robot.interact(() -> window.tour().begin());
        robot.clickOn("#tour-skip").clickOn("#tour-skip").clickOn("#tour-back");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(words(robot)).startsWith("Press Start");
        robot.clickOn("#tour-end");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("tour").isVisible()).isFalse();
    }

    @Test
    void jobsThatWereOpenedLatelyAreOnTheFirstPage(FxRobot robot) throws Exception {
        Path other = Files.copy(
                DEMO.resolveSibling("tern-hollow-lamp-board" + JobFile.ENDING),
                folder.resolve("lamps" + JobFile.ENDING));
        Path own = Files.copy(DEMO, folder.resolve("press house" + JobFile.ENDING));
        RecentJobs recent = new RecentJobs(folder.resolve("kept"));
        robot.interact(() -> {
            window.lately().follow(jobs, recent);
            jobs.open(other);
            jobs.open(own);
        });
        robot.push(KeyCode.CONTROL, KeyCode.HOME);
        WaitForAsyncUtils.waitForFxEvents();
        ButtonBase first = robot.lookup("#lately-0").query();
        assertThat(first.getText()).isEqualTo("lamps");
        robot.clickOn("#lately-0");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(jobs.file()).contains(other);
        assertThat(new RecentJobs(folder.resolve("kept")).list()).startsWith(other, own);
        robot.interact(() -> jobs.close());
    }
}
