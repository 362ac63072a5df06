package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.service.query.NodeQuery;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.look.SharpCanvas;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.circuit.Stated;
import parable.files.JobFile;
import parable.ratings.JobTables;

/** The step of sizing, by mouse and by keys. */
@ExtendWith(ApplicationExtension.class)
class SizingWindowTest extends DrivenWindow {

    @Start
    private void start(Stage stage) throws Exception {
        Job demo = JobFile.open(DEMO);
        open(stage, demo.with(demo.sheets().subList(0, 2)));
    }

    private void size(FxRobot robot) throws Exception {
        robot.clickOn("#step-size");
        until(() -> window.part("sized-current") != null);
    }

    private String words(String id) {
        return window.part(id) instanceof Label label ? label.getText() : "";
    }

    private void type(FxRobot robot, String id, String text) {
        robot.interact(() -> {
            TextField field = (TextField) window.part(id);
            field.requestFocus();
            field.setText(text);
        });
        robot.press(KeyCode.ENTER).release(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Sheet pump() {
        return jobs.jobProperty().get().sheet("Wash pump").orElseThrow();
    }

    @Test
    void aLongerCableInAHotterPlaceTakesAThickerWireAndUndoTakesItBack(FxRobot robot) throws Exception {
        size(robot);
        assertThat(words("sized-wire")).isEqualTo("1.5 mm² (13.1 A)");
        assertThat(words("sizing-origin-power")).isEqualTo("drawn");
        assertThat(words("sizing-origin-ambient")).isEqualTo("assumed");
        type(robot, "sizing-ambient", "60 °C");
        until(() -> words("sizing-origin-ambient").equals("given"));
        type(robot, "sizing-grouped", "9");
        until(() -> words("sized-wire").equals("2.5 mm² (17.4 A)"));
        assertThat(pump().stated())
                .containsExactly(new Stated("M1", "ambient", "60 °C"), new Stated("M1", "grouped", "9"));

        until(() -> window.part("take-over-M1") != null);
        robot.clickOn("#take-over-M1");
        until(() -> words("mark-wire").equals("yours"));
        until(() -> window.part("take-over-M1") == null);
        robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
        until(() -> words("mark-wire").isEmpty());
        assertThat(pump().stated()).hasSize(2);
    }

    @Test
    void whatMakesNoSenseIsRefusedInWordsAndNothingIsChanged(FxRobot robot) throws Exception {
        size(robot);
        type(robot, "sizing-length", "-3 m");
        until(() -> words("notice").startsWith("M1, length: found -3 m, expected 0.1 to 2000 m"));
        assertThat(pump().stated()).isEmpty();
        type(robot, "other-overload", "much");
        until(() -> words("notice").startsWith("M1, overload: found much"));
        assertThat(jobs.unsavedProperty().get()).isFalse();
    }

    @Test
    void aResultOfOnesOwnIsMarkedAndItsLimitToldInWords(FxRobot robot) throws Exception {
        size(robot);
        type(robot, "other-overload", "6 A");
        until(() -> words("mark-overload").equals("yours"));
        assertThat(words("verdict-overload")).isEqualTo("✗ not kept");
        type(robot, "other-overload", "");
        until(() -> words("mark-overload").isEmpty());
        assertThat(words("verdict-overload")).isEqualTo("✓ kept");
    }

    @Test
    void theWholeJobIsATableThatCanBeSorted(FxRobot robot) throws Exception {
        size(robot);
        robot.clickOn("#sizing-of-Whole-job");
        until(() -> window.part("sizing-motors") != null);
        TableView<?> table = (TableView<?>) window.part("sizing-motors");
        assertThat(table.getItems()).hasSize(2);
        assertThat(words("sized-feeder-current")).isEqualTo("39.9 A");
        type(robot, "sizing-demand", "60 %");
        until(() -> words("sized-feeder-current").equals("23.9 A"));
        robot.interact(() -> {
            table.getColumns().get(5).setSortType(javafx.scene.control.TableColumn.SortType.DESCENDING);
            sort(table, 5);
        });
        TableView<?> after = (TableView<?>) window.part("sizing-motors");
        assertThat(after.getItems()).hasSize(2);
    }

    @SuppressWarnings("unchecked")
    private static void sort(TableView<?> table, int column) {
        TableView<Object> any = (TableView<Object>) table;
        any.getSortOrder().setAll(java.util.List.of(any.getColumns().get(column)));
        assertThat(any.getItems().get(0).toString()).contains("Mill").contains("35 A");
    }

    @Test
    void aChangedTableIsKeptInTheJobAndEveryResultSaysSo(FxRobot robot) throws Exception {
        size(robot);
        robot.clickOn("#sizing-of-Tables");
        until(() -> window.part("table-text") != null);
        robot.interact(() -> {
            ((javafx.scene.control.ComboBox<?>) window.part("tables"))
                    .getSelectionModel()
                    .select(1);
            TextArea text = (TextArea) window.part("table-text");
            text.setText(text.getText().replace("1.5 | 13.5 | 13.1", "1.5 | 13.5 | 12"));
        });
        robot.clickOn("#table-keep");
        until(() -> jobs.jobProperty().get().sizing().tables().size() == 1);
        robot.clickOn("#sizing-of-M1");
        until(() -> words("sized-wire").equals("1.5 mm² (12 A)"));
        assertThat(words("mark-wire")).isEqualTo("edited table");
        assertThat(window.run().assembly().tables()).as("of the running bench").isNotEqualTo(JobTables.SHIPPED);
        robot.clickOn("#sizing-of-Tables");
        robot.interact(() -> ((TextArea) window.part("table-text")).setText("nonsense"));
        robot.clickOn("#table-keep");
        until(() -> words("notice").startsWith("table: found nonsense"));
        robot.clickOn("#table-shipped");
        until(() -> jobs.jobProperty().get().sizing().tables().isEmpty());
        assertThat(window.run().assembly().tables()).isEqualTo(JobTables.SHIPPED);
    }

    /** The answer to one field comes while the next is being typed in: that goes on. */
    @Test
    void whatIsBeingTypedStaysWhileThePageIsMadeAnew(FxRobot robot) throws Exception {
        size(robot);
        robot.interact(() -> {
            TextField length = (TextField) window.part("sizing-length");
            length.requestFocus();
            length.setText("80 m");
            TextField ambient = (TextField) window.part("sizing-ambient");
            ambient.requestFocus();
            ambient.setText("55");
            ambient.positionCaret(2);
        });
        until(() -> words("sizing-origin-length").equals("given"));
        TextField ambient = (TextField) window.part("sizing-ambient");
        assertThat(ambient.isFocused()).isTrue();
        assertThat(ambient.getText()).isEqualTo("55");
        assertThat(pump().stated()).containsExactly(new Stated("M1", "length", "80 m"));
        robot.write(" °C");
        robot.press(KeyCode.ENTER).release(KeyCode.ENTER);
        until(() -> words("sizing-origin-ambient").equals("given"));
    }

    /** Under the pointer, and by the arrows, a plot says what each of its curves says. */
    @Test
    void aPlotIsReadOffByPointerAndByArrows(FxRobot robot) throws Exception {
        robot.clickOn("Mill");
        size(robot);
        robot.clickOn("#leaf-sizing-curves");
        NodeQuery torque = robot.lookup(node -> node instanceof SharpCanvas canvas
                && String.valueOf(canvas.getAccessibleText()).startsWith("Torque and current"));
        until(() -> torque.tryQuery().isPresent());
        SharpCanvas plot = torque.query();
        assertThat(colours(plot)).as("it is painted").isGreaterThan(5);
        assertThat(reading(robot)).startsWith("1  Torque in delta");
        robot.moveTo(plot);
        until(() -> reading(robot).startsWith("Speed "));
        assertThat(reading(robot)).contains("Torque in delta: ", "Current in star: ", "Load: ");
        robot.interact(plot::requestFocus);
        String before = reading(robot);
        robot.press(KeyCode.RIGHT).release(KeyCode.RIGHT);
        until(() -> !reading(robot).equals(before));
        assertThat(speed(reading(robot))).isGreaterThan(speed(before));
        robot.press(KeyCode.LEFT).release(KeyCode.LEFT);
        until(() -> Math.abs(speed(reading(robot)) - speed(before)) < 0.2);
    }

    private static String reading(FxRobot robot) {
        return robot.lookup(node -> node instanceof Label label
                        && (label.getText().startsWith("1  Torque")
                                || label.getText().startsWith("Speed ")))
                .<Label>query()
                .getText();
    }

    private static double speed(String reading) {
        return Double.parseDouble(reading.substring("Speed ".length(), reading.indexOf(" %")));
    }

    @Test
    void byKeysAlone(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL, KeyCode.H).release(KeyCode.H, KeyCode.CONTROL);
        until(() -> window.part("sized-current") != null);
        until(() -> window.part("sizing-of-M1").isFocused());
        robot.press(KeyCode.TAB).release(KeyCode.TAB);
        robot.press(KeyCode.SPACE).release(KeyCode.SPACE);
        until(() -> window.part("sized-transformer") != null);
        assertThat(words("sized-transformer")).isEqualTo("63 VA");
        assertThat(((ButtonBase) window.part("sizing-of-T1")).isFocused()).isTrue();
    }

    private static long colours(Node painted) throws Exception {
        Image image =
                WaitForAsyncUtils.asyncFx(() -> painted.snapshot(null, null)).get();
        return IntStream.range(0, (int) image.getWidth())
                .boxed()
                .flatMap(x -> IntStream.range(0, (int) image.getHeight())
                        .mapToObj(y -> image.getPixelReader().getArgb(x, y)))
                .distinct()
                .count();
    }
}
