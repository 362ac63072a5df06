package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TabPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobStep;

/** Whoever sees nothing hears what each control is; whoever has no mouse comes to each step and leaf. */
@ExtendWith(ApplicationExtension.class)
class AccessibleTest extends DrivenWindow {

    /** They hold other controls, and are themselves nothing to be operated. */
    private static final Set<Class<?>> HOLDERS =
            Set.of(ScrollPane.class, SplitPane.class, TabPane.class, ScrollBar.class);

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    private void goTo(JobStep step) {
        WaitForAsyncUtils.asyncFx(
                () -> ((ToggleButton) window.part("step-" + step.name().toLowerCase(Locale.ROOT))).fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static List<Node> all(Node node) {
        List<Node> found = new ArrayList<>(List.of(node));
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> found.addAll(all(child)));
        }
        return found;
    }

    private static boolean isShown(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private static boolean isOperated(Node node) {
        return node instanceof Control
                && node.isFocusTraversable()
                && !(node instanceof Label)
                && HOLDERS.stream().noneMatch(holder -> holder.isInstance(node));
    }

    /** What is heard of a control: its own words, or those of the label before it. */
    private String heard(Node control) {
        if (control.getAccessibleText() != null && !control.getAccessibleText().isBlank()) {
            return control.getAccessibleText();
        }
        if (control instanceof Labeled labeled
                && labeled.getText() != null
                && !labeled.getText().isBlank()) {
            return labeled.getText();
        }
        return all(window.scene().getRoot()).stream()
                .filter(Label.class::isInstance)
                .map(Label.class::cast)
                .filter(label -> label.getLabelFor() == control)
                .map(Label::getText)
                .findFirst()
                .orElse("");
    }

    @Test
    void everyControlOfEveryStepAndLeafHasAName() throws Exception {
        List<String> nameless = new ArrayList<>();
        for (JobStep step : JobStep.values()) {
            goTo(step);
            for (Node leaf : List.copyOf(window.scene().getRoot().lookupAll(".leaf-line .toggle-button"))) {
                WaitForAsyncUtils.asyncFx(() -> ((ButtonBase) leaf).fire()).get();
                WaitForAsyncUtils.waitForFxEvents();
                all(window.scene().getRoot()).stream()
                        .filter(AccessibleTest::isShown)
                        .filter(AccessibleTest::isOperated)
                        .filter(control -> heard(control).isBlank())
                        .forEach(control -> nameless.add(step + " " + leaf.getId() + ": "
                                + control.getClass().getSimpleName() + " " + control.getId()));
            }
        }
        assertThat(nameless.stream().distinct()).isEmpty();
    }

    @Test
    void everyStepIsReachedByItsKey(FxRobot robot) {
        for (JobStep step : JobStep.values()) {
            goTo(step == JobStep.TRY ? JobStep.LOG : JobStep.TRY);
            KeyCode letter = KeyCode.getKeyCode(step.key().substring("Ctrl+".length()));
            robot.push(KeyCode.CONTROL, letter);
            WaitForAsyncUtils.waitForFxEvents();
            ToggleButton button =
                    (ToggleButton) window.part("step-" + step.name().toLowerCase(Locale.ROOT));
            assertThat(button.isSelected()).as(step.key()).isTrue();
            assertThat(button.getAccessibleText()).startsWith(step.words()).contains(step.purpose());
        }
    }

    /** Among leaves the arrow keys go, as among all buttons of which one is down. */
    @Test
    void arrowKeysOpenTheNextLeaf(FxRobot robot) {
        robot.interact(() -> window.part("leaf-story").requestFocus());
        robot.push(KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("meter-display")).isNotNull();
        robot.push(KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.part("card")).isNotNull();
    }

    /** By Tab alone one comes to every step, every leaf, and back. */
    @Test
    void tabLeadsAround(FxRobot robot) {
        List<String> reached = new ArrayList<>();
        Node first = window.scene().getFocusOwner();
        for (int i = 0; i < 120; i++) {
            robot.push(KeyCode.TAB);
            WaitForAsyncUtils.waitForFxEvents();
            Node now = window.scene().getFocusOwner();
            if (now == first && i > 0) {
                break;
            }
            reached.add(String.valueOf(now.getId()));
            assertThat(now instanceof TextInputControl || isShown(now)).isTrue();
        }
        assertThat(reached)
                .contains("job-menu", "all-sheets", "sheet-menu", "step-draw", "step-log", "leaf-story")
                .contains("run-or-pause", "strip-open", "faults");
    }
}
