package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Font;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.look.Typeface;
import parable.app.sheet.SheetView;
import parable.bench.Action;
import parable.bench.Condition;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.files.JobFile;
import parable.files.Typefaces;
import parable.parts.Verb;

/** Drives the real window, offscreen, with mouse and keys. */
@ExtendWith(ApplicationExtension.class)
class MainWindowTest extends DrivenWindow {

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    @Test
    void aFileThatIsNoJobLeavesTheRunningOneUntouched(FxRobot robot) throws Exception {
        closeBreaker(robot);
        for (String broken : List.of(
                "", "{\"version\": 99}", "\0\0\0", Files.readString(DEMO).replace("13-14\"", "13-99\""))) {
            answers.file(Optional.of(Files.writeString(folder.resolve("broken" + JobFile.ENDING), broken)));
            robot.clickOn("#job-menu").clickOn("#open");
            WaitForAsyncUtils.waitForFxEvents();

            assertThat(robot.lookup("#notice").<Label>query().getText())
                    .startsWith("Cannot open broken.parable.json: line ")
                    .hasLineCount(1);
            assertThat(condition("Q1")).isEqualTo(Condition.CLOSED);
            robot.clickOn("#notice-done");
        }
        assertThat(jobs.file()).isEmpty();
    }

    @Test
    void savesUnderANameAndOpensIt(FxRobot robot) throws Exception {
        Path file = folder.resolve("mine" + JobFile.ENDING);
        answers.file(Optional.of(file));
        robot.press(KeyCode.SHORTCUT).type(KeyCode.S).release(KeyCode.SHORTCUT);
        until(() -> Files.exists(file));
        assertThat(Files.readString(file)).isEqualTo(Files.readString(DEMO));

        Files.writeString(file, Files.readString(DEMO).replace("Tern Hollow press house", "Pike Landing ice house"));
        robot.clickOn("#job-menu").clickOn("#open");
        until(() -> jobs.jobProperty().get().name().equals("Pike Landing ice house"));
        assertThat(condition("Q1")).isEqualTo(Condition.OPEN);

        robot.clickOn("#save");
        until(() -> Files.exists(folder.resolve("mine.parable.json.previous")));
        assertThat(robot.lookup("#save").<Button>query().isDisabled()).isFalse();
    }

    @Test
    void aRecipeIsPlayedInTheWindow(FxRobot robot) throws Exception {
        robot.clickOn("#recipes");
        robot.clickOn("Start and stop");
        robot.interact(() -> window.run().tick(4));
        until(() -> robot.lookup("#notice").<Label>query().getText().startsWith("Recipe finished"));
        assertThat(robot.lookup("#notice").<Label>query().getText())
                .isEqualTo("Recipe finished: 12 of 12 expectations met.");
        assertThat(story()).contains("K1 pulls in: 13-14 and the poles close, so M1 runs forward.");
    }

    @Test
    void probesArePutDownByMouseAndByKeyAndStayThere(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.clickOn("#leaf-meter");
        robot.clickOn("#probe-black").write("2");
        robot.clickOn("#pick-red");
        var sheet = (SheetView) window.part("sheet");
        var wire = sheet.drawing().pointOn("4").orElseThrow();
        robot.clickOn(sheet.onScreen(wire.x() + 4, wire.y()));

        assertThat(robot.lookup("#probe-red").<TextField>query().getText()).isEqualTo("4");
        assertThat(robot.lookup("#meter-display").<Label>query().getText()).isEqualTo("230.0 V");
        assertThat(condition("S0")).as("typing is not pressing").isEqualTo(Condition.RELEASED);

        robot.interact(() -> window.part("spot-Q1").requestFocus());
        robot.type(KeyCode.DIGIT1);
        until(() -> condition("S4") == Condition.HIT);
        until(() -> robot.lookup("#meter-display").<Label>query().getText().equals("13.8 V"));
        robot.interact(() -> window.setDrawing(true));
        robot.interact(() -> window.setDrawing(false));
        assertThat(robot.lookup("#probe-red").<TextField>query().getText()).isEqualTo("4");
        robot.clickOn("#range-ohms");
        assertThat(robot.lookup("#meter-display").<Label>query().getText()).isNotBlank();
    }

    @Test
    void theClampIsPutAroundAWireBesideATerminalAndFollowsTheLoad(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.press(KeyCode.DIGIT3);
        until(() -> condition("M1") == Condition.FORWARD);
        robot.release(KeyCode.DIGIT3);
        robot.clickOn("#leaf-meter");
        robot.clickOn("#range-amperes");
        robot.clickOn("#pick-red");
        var sheet = (SheetView) window.part("sheet");
        var lead = sheet.drawing().pointAt(new Terminal("F2", "2")).orElseThrow();
        robot.clickOn(sheet.onScreen(lead.x(), lead.y() + 4));
        assertThat(robot.lookup("#probe-red").<TextField>query().getText()).isEqualTo("F2:2");
        until(() -> amperes(robot) > 3 && amperes(robot) < 5);
        double before = amperes(robot);

        robot.clickOn("#more-M1").clickOn("#more-M1").clickOn("#more-M1");
        until(() -> amperes(robot) > 1.2 * before);
        assertThat(robot.lookup("#load-M1").<Label>query().getText()).isEqualTo("110 %");
        robot.interact(() -> window.run().act(new Action(Verb.LOAD, "M1", "200")));
        until(() -> robot.lookup("#warmth").<Label>query().getText().contains("trips in"));
    }

    private static double amperes(FxRobot robot) {
        return Double.parseDouble(
                robot.lookup("#meter-display").<Label>query().getText().replace(" A", ""));
    }

    @Test
    void theDoorStaysWholeHoweverLongTheStoryGets(FxRobot robot) throws Exception {
        double before = window.part("door").getBoundsInLocal().getHeight();
        for (int i = 0; i < 30; i++) {
            robot.clickOn("#spot-Q1");
        }
        until(() -> story().size() > 40);
        var visible = window.part("door").getParent().getParent().getBoundsInLocal();
        assertThat(window.part("door").getBoundsInLocal().getHeight()).isEqualTo(before);
        assertThat(visible.getHeight()).isGreaterThanOrEqualTo(before - 1);
    }

    @Test
    void draggingAlongTheTimeStripLooksBack(FxRobot robot) throws Exception {
        closeBreaker(robot);
        robot.press(KeyCode.DIGIT3);
        until(() -> condition("K1") == Condition.IN);
        robot.release(KeyCode.DIGIT3);
        until(() -> condition("S1") == Condition.RELEASED);
        robot.clickOn("#strip-open");
        WaitForAsyncUtils.waitForFxEvents();
        var strip = window.part("time-strip")
                .localToScreen(window.part("time-strip").getLayoutBounds());
        robot.drag(strip.getMinX() + 120, strip.getMinY() + 30).dropTo(strip.getMinX() + 74, strip.getMinY() + 30);

        assertThat(window.run().looksBack()).isTrue();
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
        robot.interact(() -> window.run().setRunning(false));
        WaitForAsyncUtils.waitForFxEvents();
        boolean[] painted = new boolean[1];
        robot.interact(() -> {
            window.run().backToNow();
            painted[0] = ((Parent) window.part("time-strip")).isNeedsLayout();
        });
        assertThat(painted[0]).as("the strip shows the present again").isTrue();
    }

    @Test
    void keysGoFromSheetToSheetAndToTheirMenu(FxRobot robot) throws Exception {
        List<String> names =
                jobs.jobProperty().get().sheets().stream().map(Sheet::name).toList();
        String before = window.run().assembly().sheet().name();
        assertThat(before).isEqualTo(names.get(0));

        robot.push(KeyCode.CONTROL, KeyCode.PAGE_UP);
        assertThat(window.run().assembly().sheet().name())
                .as("there is none before the first")
                .isEqualTo(before);
        for (String name : names) {
            assertThat(window.run().assembly().sheet().name()).isEqualTo(name);
            robot.push(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
        }
        assertThat(window.run().assembly().sheet().name())
                .as("there is none behind the last")
                .isEqualTo(names.get(names.size() - 1));
        robot.push(KeyCode.CONTROL, KeyCode.PAGE_UP);
        assertThat(window.run().assembly().sheet().name()).isEqualTo(names.get(names.size() - 2));

        robot.push(KeyCode.CONTROL, KeyCode.N);
        robot.push(KeyCode.DOWN).push(KeyCode.ENTER);
        assertThat(robot.lookup("#start").tryQuery())
                .as("the page of questions")
                .isPresent();
    }

    @Test
    void aNewStarterIsDrawnAndOperatedByKeysAlone(FxRobot robot) throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.N);
        robot.push(KeyCode.DOWN).push(KeyCode.ENTER);
        robot.write("Yard fan");
        for (int i = 0; i < 5; i++) {
            robot.push(KeyCode.TAB);
        }
        robot.push(KeyCode.DOWN).push(KeyCode.DOWN).push(KeyCode.ENTER);
        robot.push(KeyCode.TAB).push(KeyCode.ENTER);

        assertThat(window.run().assembly().sheet().name()).isEqualTo("Yard fan");
        assertThat(window.run().assembly().part("S3"))
                .as("a start of a second place")
                .isPresent();
        assertThat(window.run().assembly().part("S5"))
                .as("a start of a third place")
                .isEmpty();
        robot.push(KeyCode.SPACE);
        until(() -> condition("Q1") == Condition.CLOSED);
        robot.press(KeyCode.DIGIT4);
        until(() -> condition("M1") == Condition.FORWARD);
        robot.release(KeyCode.DIGIT4);
        robot.press(KeyCode.DIGIT1);
        until(() -> condition("M1") == Condition.STOPPED);
        robot.release(KeyCode.DIGIT1);
    }

    @Test
    void everySheetOfTheJobOpensAndItsFirstRecipePlays(FxRobot robot) throws Exception {
        List<Sheet> sheets = jobs.jobProperty().get().sheets();
        for (Sheet sheet : EVERYTHING ? sheets : sheets.subList(0, 3)) {
            robot.interact(() -> window.showSheet(sheet.name()));
            robot.clickOn("#recipes");
            robot.type(KeyCode.DOWN).type(KeyCode.ENTER);
            robot.interact(() -> window.run().tick(20));
            until(() -> robot.lookup("#notice").<Label>query().getText().startsWith("Recipe finished"));
            String told = robot.lookup("#notice").<Label>query().getText();
            assertThat(told).matches("Recipe finished: (\\d+) of \\1 expectations met\\.");
        }
    }

    @Test
    void theFontsHaveTheSignsThatDrawingsNeed() throws Exception {
        assertThat(Font.getFamilies()).contains(Typeface.WORDS, Typeface.SIGNS);
        assertThat(missing(Typefaces.WORDS, "\u03a9\u221a\u0394Y")).isEmpty();
        assertThat(missing(Typefaces.BOLD_WORDS, "\u03a9\u221a\u0394Y")).isEmpty();
        assertThat(missing(Typefaces.SIGNS, "\u23da")).isEmpty();
    }

    /** The signs that a font that ships has no glyph for. */
    private static String missing(Typefaces typeface, String signs) throws Exception {
        try (InputStream stream = typeface.open()) {
            java.awt.Font font = java.awt.Font.createFont(java.awt.Font.TRUETYPE_FONT, stream);
            return signs.codePoints()
                    .filter(sign -> !font.canDisplay(sign))
                    .mapToObj(Character::toString)
                    .collect(Collectors.joining());
        }
    }
}
