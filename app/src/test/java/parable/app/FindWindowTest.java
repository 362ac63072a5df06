package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.finding.FindState;
import parable.bench.Fault;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.LogbookFile;
import parable.finding.FaultSearch;
import parable.finding.PanelLook;
import parable.finding.SymptomForm;
import parable.logbook.LogEntry;
import parable.starters.Library;
import parable.testsheet.Glimpse;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/** The step of finding: a machine with a hidden fault is told of and measured until it is named. */
@ExtendWith(ApplicationExtension.class)
class FindWindowTest extends DrivenWindow {

    private static final Fault HIDDEN = new Fault(Fault.Kind.OFF, "K1", "A1");
    private static final int MOST_LOOKS = 12;

    private static final Glimpse K1 = new Glimpse(List.of("K1"));

    private Path file;
    private StepRehearsal machine;

    @Start
    private void start(Stage stage) throws Exception {
        Sheet sheet = Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .filter(one -> one.name().equals("Two-wire"))
                .findFirst()
                .orElseThrow();
        file = open(stage, new Job("Cold Spring ice house", Practice.IEC, List.of(sheet), Extras.NONE));
    }

    private String words(String id) {
        return window.part(id) instanceof Label label ? label.getText() : "";
    }

    private void fire(FxRobot robot, String id) {
        robot.interact(() -> ((ButtonBase) window.part(id)).fire());
    }

    private FindState state() {
        return window.page().finder().stateProperty().get().orElseThrow();
    }

    private boolean isWaiting() {
        return window.page().finder().stateProperty().get().isPresent()
                && !window.page().finder().workingProperty().get();
    }

    private void tellWhatIsSeen(FxRobot robot, SymptomForm form) {
        Glimpse all = new Glimpse(form.rows().stream().map(SymptomForm.Row::tag).toList());
        String seen = all.at(machine.rest(form.situation())).text();
        for (String one : seen.split(", ")) {
            fire(robot, "symptom-" + one.replace(' ', '-'));
        }
        fire(robot, "symptom-tell");
    }

    /** Does what is proposed at the machine with the hidden fault, and answers by the buttons of the page. */
    private void look(FxRobot robot, PanelLook look) {
        if (window.part("answer-1") == null) {
            tellWhatIsSeen(robot, place().form().only(((Glimpse) look.observation()).tags()));
            return;
        }
        String found = look.observation().at(machine.rest(look.situation())).text();
        for (int i = 1; window.part("answer-" + i) instanceof Button answer; i++) {
            if (answer.getText().equals(found)) {
                robot.interact(answer::fire);
                return;
            }
        }
        robot.interact(() -> {
            TextField other = (TextField) window.part("next-other");
            other.setText(found);
            other.fireEvent(new ActionEvent());
        });
    }

    /** The first deeds after which the machine does something else than a sound one. */
    private Situation telling() {
        StepRehearsal sound = new StepRehearsal(window.run().assembly(), List.of());
        return state().situations().stream()
                .filter(one -> one.phase() == Phase.MOTOR)
                .filter(one -> !K1.at(machine.rest(one))
                        .text()
                        .equals(K1.at(sound.rest(one)).text()))
                .findFirst()
                .orElseThrow();
    }

    @SuppressWarnings("unchecked")
    private void choose(Situation situation) {
        ((ComboBox<Situation>) window.part("symptom-done")).setValue(situation);
    }

    private FindState.Standpoint place() {
        return window.page().finder().placeProperty().get().orElseThrow();
    }

    /** Tells what the machine does after that, and answers what is asked until there is an answer. */
    private void hunt(FxRobot robot, Situation telling) throws Exception {
        robot.interact(() -> choose(telling));
        until(() -> place().form().situation().equals(telling));
        tellWhatIsSeen(robot, place().form());
        until(() -> isWaiting() && state().begun());
        int looks = 1;
        while (window.part("verdict-1") == null && looks++ < MOST_LOOKS) {
            int before = state().search().seen().size();
            PanelLook look = state().next().orElseThrow().look();
            until(() -> place().look().filter(look::equals).isPresent());
            look(robot, look);
            until(() -> isWaiting() && state().search().seen().size() > before);
        }
    }

    @Test
    void aHiddenFaultIsNamedMendedAndWrittenDownByOneStroke(FxRobot robot) throws Exception {
        machine = new StepRehearsal(window.run().assembly(), List.of(HIDDEN));
        robot.clickOn("#step-find");
        until(() -> window.part("symptom-tell") != null && window.part("symptom-K1-out") != null);
        hunt(robot, telling());
        assertThat(words("verdict-1")).isEqualTo(HIDDEN.words() + ".");
        robot.interact(() -> ((TextField) window.part("verdict-by-1")).setText("R. Alder"));
        fire(robot, "proved-1-1");
        fire(robot, "verdict-record-1");
        assertThat(words("verdict-trouble")).isEqualTo("It is in the record.");
        LogEntry entry = LogbookFile.read(LogbookFile.beside(file)).entries().get(0);
        assertThat(entry.kind()).isEqualTo(LogEntry.Kind.FAULT);
        assertThat(entry.text())
                .contains("Seen: ", "Found: " + HIDDEN.words(), "Tests that pass now: ")
                .contains(state().search().seen().get(0).text());
    }

    /** It trips after a while: that is told as something that was done too, right after the same without waiting. */
    @Test
    @SuppressWarnings("unchecked")
    void whatHappensAfterMinutesIsTold(FxRobot robot) throws Exception {
        Fault half = new Fault(Fault.Kind.UNDERSET, "F2", "");
        machine = new StepRehearsal(window.run().assembly(), List.of(half));
        robot.clickOn("#step-find");
        until(() -> window.part("symptom-tell") != null && window.part("symptom-F2-tripped") != null);
        List<Situation> offered = ((ComboBox<Situation>) window.part("symptom-done")).getItems();
        Situation left =
                offered.stream().filter(Situation::leftRunning).findFirst().orElseThrow();
        assertThat(offered.get(offered.indexOf(left) - 1).leftToItself()).isEqualTo(left);

        robot.interact(() -> choose(left));
        until(() -> window.part("symptom-done").lookupAll(".text").stream()
                .map(words -> ((Text) words).getText())
                .anyMatch(words -> words.endsWith(", leave it like that for some minutes")));
        hunt(robot, left);

        assertThat(words("verdict-1")).isEqualTo(half.words() + ".");
        assertThat(state().search().seen().get(0).text()).contains("wait", "F2 tripped");
    }

    @Test
    void byKeysAlone(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL, KeyCode.W).release(KeyCode.W, KeyCode.CONTROL);
        until(() ->
                window.part("symptom-K1-in") != null && window.scene().getFocusOwner() == window.part("symptom-done"));
        robot.type(KeyCode.TAB).type(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> window.part("symptom-tell").requestFocus());
        robot.type(KeyCode.SPACE);
        until(() -> isWaiting() && state().begun());
        until(() -> isIn(window.scene().getFocusOwner(), window.part("find-scroll")));
        fire(robot, "find-more");
        assertThat(words("find-heading")).isEqualTo("What does the machine do?");
        fire(robot, "find-more");
        assertThat(words("find-heading")).isNotEqualTo("What does the machine do?");
        fire(robot, "find-back");
        until(() -> isWaiting() && !state().begun());
        assertThat(words("find-heading")).isEqualTo("What does the machine do?");
    }

    private static boolean isIn(Node node, Node whole) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at == whole) {
                return true;
            }
        }
        return false;
    }

    @Test
    void aReadingOfOnesOwnIsRefusedOrCounts(FxRobot robot) throws Exception {
        robot.clickOn("#step-find");
        until(() -> window.page().finder().stateProperty().get().isPresent());
        robot.clickOn("#leaf-own-reading");
        robot.interact(() -> {
            ((TextField) window.part("own-red")).setText("K9:1");
            ((TextField) window.part("own-black")).setText("2");
            ((TextField) window.part("own-found")).setText("0 V");
        });
        fire(robot, "own-add");
        assertThat(words("own-trouble")).contains("K9:1", "a wired terminal");
        robot.interact(() -> ((TextField) window.part("own-red")).setText("K1:A1"));
        fire(robot, "own-add");
        until(() -> isWaiting() && state().begun());
        assertThat(state().search().seen().get(0).text()).isEqualTo("close Q1; volts K1:A1 to 2 = 0 V");
    }

    /** How many sheets have suspects run ahead. */
    private static long runAhead() {
        return Thread.getAllStackTraces().values().stream()
                .filter(frames -> Stream.of(frames)
                        .anyMatch(frame -> frame.getClassName().equals(FaultSearch.class.getName())
                                && frame.getMethodName().equals("prepare")))
                .count();
    }

    /** Suspects are run ahead for the sheet on which somebody is looking for a fault, and at no other time. */
    @Test
    void whoeverLeavesTheStepLetsTheMachineRest(FxRobot robot) throws Exception {
        robot.interact(() -> jobs.edit(Library.jobs().get(0)));
        robot.interact(() -> window.showSheet("Mill"));
        fire(robot, "step-find");
        until(this::isWaiting);
        until(() -> runAhead() == 1);

        fire(robot, "step-try");
        until(() -> runAhead() == 0);
        fire(robot, "step-find");
        until(() -> runAhead() == 1);

        robot.interact(() -> window.showSheet("Press platen"));
        until(this::isWaiting);
        until(() -> runAhead() == 1);
        robot.interact(() -> window.showSheet("Mill"));
        until(() -> runAhead() == 1);
        robot.interact(() -> window.scene().getWindow().hide());
        until(() -> runAhead() == 0);
    }
}
