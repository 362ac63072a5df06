package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import parable.app.job.HomeFolder;
import parable.files.ProgressFile;
import parable.training.Courses;

/** The courses in the window: a task is chosen, worked at by pointing and by typing, and kept. */
@ExtendWith(ApplicationExtension.class)
class LearnWindowTest extends DrivenWindow {

    @Start
    private void start(Stage stage) throws Exception {
        System.setProperty(HomeFolder.PROPERTY, folder.toString());
        open(stage);
    }

    @AfterEach
    void forgetFolder() {
        System.clearProperty(HomeFolder.PROPERTY);
    }

    private String said() {
        ScrollPane scroll = (ScrollPane) window.part("learn-said");
        return ((Parent) scroll.getContent())
                .getChildrenUnmodifiable().stream()
                        .map(node -> ((Label) node).getText())
                        .collect(Collectors.joining("\n"));
    }

    private void learn(FxRobot robot, String task) throws Exception {
        robot.clickOn("#all-sheets");
        until(() -> window.part("sheets-learn") != null);
        robot.interact(() -> ((Button) window.part("sheets-learn")).fire());
        until(() -> window.part("learn-tasks") != null);
        robot.interact(() -> {
            ((TextField) window.part("learn-name")).setText("E. Marsh");
            ((ListView<?>) window.part("learn-tasks"))
                    .getSelectionModel()
                    .select(Courses.all().indexOf(Courses.task(task).orElseThrow()));
        });
        until(() -> !said().isEmpty());
    }

    private void move(FxRobot robot, String id, String comes) throws Exception {
        robot.interact(() -> ((Button) window.part(id)).fire());
        until(() -> said().contains(comes));
        robot.interact(() -> assertThat(edgeOfTheLastLine())
                .as("what was said last is in view after %s", id)
                .isLessThanOrEqualTo(edgeOfWhatIsSeen() + 1));
    }

    private double edgeOfWhatIsSeen() {
        Node scroll = window.part("learn-said");
        return scroll.localToScene(scroll.getLayoutBounds()).getMaxY();
    }

    private double edgeOfTheLastLine() {
        Parent said = (Parent) ((ScrollPane) window.part("learn-said")).getContent();
        Node last = said.getChildrenUnmodifiable()
                .get(said.getChildrenUnmodifiable().size() - 1);
        return last.localToScene(last.getLayoutBounds()).getMaxY();
    }

    @Test
    void aFaultIsFoundByPointing(FxRobot robot) throws Exception {
        learn(robot, "measuring-2");
        move(robot, "move-close-Q1", "> close Q1\n");
        move(robot, "move-press-S1", "> press S1\n");
        robot.interact(() -> {
            ((TextField) window.part("learn-one")).setText("K1:A1");
            ((TextField) window.part("learn-other")).setText("K1:A2");
        });
        move(robot, "move-volts-1-to-2-", "231 V");
        move(robot, "move-ohms-1-to-2-", "Make it dead first.");
        move(robot, "move-dead", "proved dead");
        move(robot, "move-ohms-1-to-2-", "open");
        robot.interact(() -> choose("K1 broken"));
        move(robot, "move-it-is-fault-", "Solved.");
        assertThat(said()).contains("1 dangerous act.", "The shortest way", "Kept in");
        ScrollPane moves = (ScrollPane) window.part("learn-moves");
        assertThat(moves.getContent().getLayoutBounds().getHeight())
                .as("moves are not behind a bar, however much was said")
                .isLessThanOrEqualTo(moves.getViewportBounds().getHeight());
        assertThat(ProgressFile.read(folder.resolve("progress.jsonl")))
                .singleElement()
                .matches(attempt -> attempt.learner().equals("E. Marsh")
                        && attempt.task().equals("measuring-2")
                        && attempt.score().solved());
    }

    /** Wherever a terminal of the panel is, a click there puts it into the next place. */
    @Test
    void aTerminalOfThePanelIsPointedAt(FxRobot robot) throws Exception {
        learn(robot, "measuring-2");
        until(() -> window.part("learn-panel") instanceof Region panel && panel.getWidth() > 0);
        Region panel = (Region) window.part("learn-panel");
        TextField one = (TextField) window.part("learn-one");
        Set<String> hit = new TreeSet<>();
        until(() -> shown(panel));
        for (int look = 0; look < 10 && hit.size() < 4; look++) {
            Thread.sleep(200);
            robot.interact(() -> pressAllOver(panel, () -> hit.add(one.getText())));
        }
        assertThat(hit).anyMatch(place -> place.matches("[A-Z0-9]+:[A-Z0-9]+")).contains("Q1");
    }

    private static void pressAllOver(Region panel, Runnable after) {
        for (double y = 10; y < panel.getHeight(); y += 6) {
            for (double x = 10; x < panel.getWidth(); x += 6) {
                Event.fireEvent(panel, press(panel, x, y));
                after.run();
            }
        }
    }

    /** Whether its lists are worked out, so that it is painted. */
    private boolean shown(Region panel) {
        return !((Parent) panel.getParent().getChildrenUnmodifiable().get(0))
                .getChildrenUnmodifiable()
                .isEmpty();
    }

    private static MouseEvent press(Node on, double x, double y) {
        Point2D at = on.localToScene(x, y);
        return new MouseEvent(
                MouseEvent.MOUSE_PRESSED,
                at.getX(),
                at.getY(),
                0,
                0,
                MouseButton.PRIMARY,
                1,
                false,
                false,
                false,
                false,
                true,
                false,
                false,
                true,
                false,
                true,
                new PickResult(on, at.getX(), at.getY()));
    }

    @SuppressWarnings("unchecked")
    private void choose(String fault) {
        ComboBox<String> faults = (ComboBox<String>) window.part("learn-fault");
        assertThat(faults.getItems()).contains(fault);
        faults.setValue(fault);
    }

    @Test
    void aPredictionIsTypedByKeysAlone(FxRobot robot) throws Exception {
        learn(robot, "first-steps-3");
        for (String move : List.of("K1 in", "M1 stopped")) {
            robot.interact(() -> {
                TextField typed = (TextField) window.part("learn-typed");
                typed.requestFocus();
                typed.setText(move);
            });
            robot.type(KeyCode.ENTER);
            until(() -> said().contains("> " + move + "\n"));
        }
        until(() -> said().contains("Not solved."));
        assertThat(said()).contains("No: K1 out.", "Right: M1 stopped.");
        robot.interact(() -> ((Button) window.part("learn-done")).fire());
        until(() -> window.part("learn-tasks") == null);
    }
}
