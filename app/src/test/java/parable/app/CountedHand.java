package parable.app;

import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** A hand on mouse and keys that counts what it does: a click, a key with what is held beside it, each letter. */
final class CountedHand {

    private final FxRobot robot;
    private int actions;

    CountedHand(FxRobot robot) {
        this.robot = robot;
    }

    int actions() {
        return actions;
    }

    void click(String query) {
        actions++;
        robot.clickOn(query);
        WaitForAsyncUtils.waitForFxEvents();
    }

    void click(Point2D screen) {
        actions++;
        robot.clickOn(screen);
        WaitForAsyncUtils.waitForFxEvents();
    }

    void menu(Point2D screen) {
        actions++;
        robot.clickOn(screen, MouseButton.SECONDARY);
        WaitForAsyncUtils.waitForFxEvents();
    }

    void push(KeyCode... keys) {
        actions++;
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    void push(int times, KeyCode key) {
        for (int i = 0; i < times; i++) {
            push(key);
        }
    }

    void type(String letters) {
        actions += letters.length();
        robot.write(letters);
        WaitForAsyncUtils.waitForFxEvents();
    }
}
