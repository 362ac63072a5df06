package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TabPane;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.bench.Action;
import parable.bench.Condition;
import parable.circuit.Sheet;
import parable.parts.Verb;
import parable.program.Program;
import parable.program.StructuredText;
import parable.starters.Library;

/** The step of the program in the real window: translated with the mouse, written with the keyboard, compared, exported and imported. */
@ExtendWith(ApplicationExtension.class)
class ProgramTest {

    @TempDir
    private static Path folder;

    private MainWindow window;
    private JobModel jobs;
    private final Answers answers = new Answers();

    @Start
    private void start(Stage stage) {
        ParableApp.prepare();
        jobs = new JobModel(Library.jobs().get(0), Optional.empty());
        window = new MainWindow(jobs, answers.into(folder));
        stage.setScene(window.scene());
        stage.show();
        stage.requestFocus();
    }

    private Sheet sheet(String name) {
        return jobs.jobProperty().get().sheet(name).orElseThrow();
    }

    private String statement(String sheet, int network) {
        Program program = sheet(sheet).program().orElseThrow();
        return StructuredText.statement(program.networks().get(network));
    }

    private void type(FxRobot robot, String line) {
        robot.write(line);
        robot.push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void key(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void until(FxRobot robot, BooleanSupplier reached) throws InterruptedException {
        AtomicBoolean is = new AtomicBoolean();
        for (int i = 0; i < 200 && !is.get(); i++) {
            robot.interact(() -> is.set(reached.getAsBoolean()));
            Thread.sleep(100);
        }
        assertThat(is).isTrue();
    }

    private void lay(FxRobot robot) {
        robot.interact(() -> {
            window.scene().getRoot().applyCss();
            window.scene().getRoot().layout();
        });
    }

    private void menu(FxRobot robot, String id) {
        MenuItem chosen = ((MenuButton) window.part("paper-menu"))
                .getItems().stream()
                        .filter(item -> id.equals(item.getId()))
                        .findFirst()
                        .orElseThrow();
        robot.interact(chosen::fire);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void compare(FxRobot robot) throws InterruptedException {
        robot.interact(() -> ((TabPane) window.scene().lookup(".tab-pane"))
                .getSelectionModel()
                .select(1));
        lay(robot);
        robot.clickOn("#compare-now");
        until(robot, () -> window.part("compare-verdict") != null);
    }

    @Test
    void aRelaySheetIsTranslatedWithTheMouseRunsAndIsTheSameMachine(FxRobot robot) throws Exception {
        robot.clickOn("#step-program");
        until(robot, () -> !window.part("translate-draw").isDisabled());
        assertThat(window.part("copper-F2-95-96")).isNotNull();
        robot.clickOn("#translate-draw");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(statement("Wash pump PLC", 0))
                .isEqualTo("K1 := guard AND S0 AND S2 AND (S1 OR S3 OR K1 AND NOT K1_out)"
                        + " AND NOT mismatch AND (K1 OR K1_out);");
        robot.interact(() -> window.run().act(new Action(Verb.CLOSE, "Q1")));
        robot.interact(() -> window.run().tick(1));
        robot.interact(() -> window.run().act(new Action(Verb.PRESS, "S1")));
        robot.interact(() -> window.run().tick(0.5));
        assertThat(window.run().shownProperty().get().condition("M1")).isEqualTo(Condition.FORWARD);
        robot.clickOn("#program-toggle");
        robot.interact(() -> window.run().tick(0.5));
        assertThat(window.run().shownProperty().get().condition("K1")).isEqualTo(Condition.OUT);
        robot.clickOn("#program-toggle");
        compare(robot);
        assertThat(((Label) window.part("compare-verdict")).getText()).isEqualTo("The same machine");

        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(jobs.jobProperty().get().sheet("Wash pump PLC")).isEmpty();
    }

    /** Every change is one edit that can be undone; what cannot be is told in words and changes nothing. */
    @Test
    void aProgramIsChangedWithTheKeyboard(FxRobot robot) throws Exception {
        robot.interact(() -> window.showSheet("Bottle rinser"));
        Program before = sheet("Bottle rinser").program().orElseThrow();
        key(robot, KeyCode.CONTROL, KeyCode.G);
        key(robot, KeyCode.DOWN);
        key(robot, KeyCode.DOWN);
        key(robot, KeyCode.RIGHT);
        key(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
        type(robot, "NOT F2");
        assertThat(statement("Bottle rinser", 2)).startsWith("K1 := released AND NOT F2 AND NOT K2 AND");

        key(robot, KeyCode.CONTROL, KeyCode.DIGIT2);
        type(robot, "S5 AT %IX1.0 : BOOL");
        assertThat(sheet("Bottle rinser").program().orElseThrow().variable("S5"))
                .isPresent();
        type(robot, "IF S5 THEN P1 := TRUE; END_IF");
        assertThat(statement("Bottle rinser", 3)).isEqualTo("IF S5 THEN P1 := TRUE; END_IF;");
        type(robot, "K9 := S5");
        assertThat(((Label) window.part("program-preview")).getText())
                .isEqualTo("network 1: found K9, expected a variable that is declared");
        for (int i = 0; i < 3; i++) {
            robot.interact(jobs::undo);
        }
        assertThat(sheet("Bottle rinser").program()).contains(before);
    }

    @Test
    void aDifferenceIsToldWithBothStoriesAndReplayed(FxRobot robot) throws Exception {
        robot.interact(() -> window.showSheet("Wash pump"));
        robot.clickOn("#step-program");
        until(robot, () -> !window.part("translate-draw").isDisabled());
        robot.clickOn("#translate-draw");
        key(robot, KeyCode.CONTROL, KeyCode.DIGIT1);
        key(robot, KeyCode.CONTROL, KeyCode.A);
        type(robot, "K1 := guard AND (S0 AND S2 AND S1 OR NOT K1_out)");
        compare(robot);
        assertThat(((Label) window.part("compare-verdict")).getText()).isEqualTo("Not the same machine");
        lay(robot);
        robot.interact(() -> ((Button) window.part("compare-replay")).fire());
        WaitForAsyncUtils.waitForFxEvents();
        Node strip = window.part("sheet");
        assertThat(strip).isNotNull();
    }

    @Test
    void aProgramGoesToAFileAndComesBack(FxRobot robot) throws IOException {
        robot.interact(() -> window.showSheet("Bottle rinser"));
        Program before = sheet("Bottle rinser").program().orElseThrow();
        menu(robot, "paper-plcopen");
        menu(robot, "paper-st");
        menu(robot, "paper-io");
        assertThat(Files.readString(folder.resolve("bottle-rinser.csv")))
                .contains("S0,%IX0.2,I2,S0,11-12,Stop,1,0,24 V DC");
        robot.interact(() -> jobs.edit(sheet("Bottle rinser").withProgram(Optional.empty())));
        for (String file : new String[] {"bottle-rinser.xml", "bottle-rinser.st"}) {
            answers.reading(folder.resolve(file));
            menu(robot, "paper-import");
            assertThat(sheet("Bottle rinser").program()).contains(before);
        }
    }
}
