package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.WritableImage;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.PickResult;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.look.Theme;
import parable.app.sheet.Legend;
import parable.app.sheet.SheetView;
import parable.app.sheet.Stamp;
import parable.bench.Action;
import parable.bench.Condition;
import parable.circuit.Circuit;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.TitleBlock;
import parable.network.NodeState;
import parable.parts.Verb;
import parable.starters.Library;

/** Size, colours, dress, paper, keys, and what is offered while one types and draws, in the real window. */
@ExtendWith(ApplicationExtension.class)
class LookTest {

    @TempDir
    private static Path folder;

    private MainWindow window;
    private JobModel jobs;

    @Start
    private void start(Stage stage) {
        ParableApp.prepare();
        jobs = new JobModel(Library.jobs().get(0), Optional.empty());
        window = new MainWindow(jobs, new Answers().into(folder).named("loading bay"));
        stage.setScene(window.scene());
        stage.show();
        stage.requestFocus();
    }

    private Sheet sheet() {
        return jobs.jobProperty().get().sheets().get(0);
    }

    private void choose(FxRobot robot, String menu, String id) {
        MenuItem chosen = ((MenuButton) window.part(menu))
                .getItems().stream()
                        .filter(item -> id.equals(item.getId()))
                        .findFirst()
                        .orElseThrow();
        robot.interact(chosen::fire);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void key(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Waits until something is so, asked on the thread of the window. */
    private static void until(FxRobot robot, BooleanSupplier reached) throws InterruptedException {
        AtomicBoolean is = new AtomicBoolean();
        for (int i = 0; i < 200 && !is.get(); i++) {
            robot.interact(() -> is.set(reached.getAsBoolean()));
            Thread.sleep(100);
        }
        assertThat(is).isTrue();
    }

    /** Fires a button as soon as it is there; looked for and fired in one, for a list may be shown anew in between. */
    private void fire(FxRobot robot, String id) throws InterruptedException {
        until(robot, () -> {
            Button button = (Button) window.part(id);
            if (button != null) {
                button.fire();
            }
            return button != null;
        });
    }

    private double shownWidth() {
        SheetView view = (SheetView) window.part("sheet");
        return view.onScreen(100, 0).getX() - view.onScreen(0, 0).getX();
    }

    @Test
    void aRunGoesOnInTheOtherDressAndUndoGivesTheFirstBack(FxRobot robot) {
        robot.interact(() -> window.run().act(new Action(Verb.CLOSE, "Q1")));
        robot.interact(() -> window.run().act(new Action(Verb.PRESS, "S1")));
        robot.interact(() -> window.run().tick(0.5));
        choose(robot, "view-menu", "dress-north-american");

        assertThat(jobs.jobProperty().get().practice()).isEqualTo(Practice.NORTH_AMERICAN);
        assertThat(window.run().shownProperty().get().condition("M")).isEqualTo(Condition.IN);
        assertThat(robot.lookup("#door-PB2").tryQuery()).isPresent();
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(jobs.jobProperty().get()).isEqualTo(Library.jobs().get(0));
        assertThat(window.run().shownProperty().get().condition("K1")).isEqualTo(Condition.IN);
    }

    @Test
    void drawingsGrowShrinkAndFitAndColoursChange(FxRobot robot) {
        double fitted = shownWidth();
        key(robot, KeyCode.CONTROL, KeyCode.EQUALS);
        key(robot, KeyCode.CONTROL, KeyCode.EQUALS);
        assertThat(shownWidth()).isGreaterThan(1.3 * fitted);
        choose(robot, "view-menu", "view-fit");
        assertThat(shownWidth()).as("all of it").isLessThan(fitted);
        choose(robot, "view-menu", "view-fit");
        assertThat(shownWidth()).as("as it opened").isEqualTo(fitted);
        choose(robot, "view-menu", "view-night");
        assertThat(window.look().themeProperty().get()).isEqualTo(Theme.NIGHT);
        assertThat(window.scene().getStylesheets()).anyMatch(sheet -> sheet.endsWith("parable-night.css"));
        choose(robot, "view-menu", "view-night");
        assertThat(window.scene().getStylesheets()).noneMatch(sheet -> sheet.endsWith("parable-night.css"));
    }

    @Test
    void allKeysStandOnAPageThatEscapeLeaves(FxRobot robot) {
        key(robot, KeyCode.F1);
        assertThat(robot.lookup("#keys").tryQuery()).isPresent();
        key(robot, KeyCode.ESCAPE);
        assertThat(robot.lookup("#keys").tryQuery()).isEmpty();
        assertThat(robot.lookup("#sheet").tryQuery()).isPresent();
    }

    @Test
    void theTitleBlockIsFilledInAndTakenBack(FxRobot robot) {
        choose(robot, "paper-menu", "paper-title");
        robot.clickOn("#title-revision").write("B");
        robot.clickOn("#title-drawn").write("R. Vane of the night shift at the press house");
        key(robot, KeyCode.ESCAPE);
        assertThat(robot.lookup("#sheet").tryQuery()).isPresent();
        assertThat(title()).isEqualTo(new TitleBlock("", "B", "", "R. Vane of the night shi", ""));

        choose(robot, "paper-menu", "paper-title");
        assertThat(robot.lookup("#title-revision").<TextField>query().getText()).isEqualTo("B");
        key(robot, KeyCode.ESCAPE);
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(title().drawn()).isEmpty();
    }

    private TitleBlock title() {
        return jobs.jobProperty().get().conventions().title();
    }

    @Test
    void drawingsAreWrittenAsFiles(FxRobot robot) throws Exception {
        choose(robot, "paper-menu", "paper-pdf");
        choose(robot, "paper-menu", "paper-sheet-pdf");
        choose(robot, "paper-menu", "paper-svg");

        assertThat(robot.lookup("#notice").<Label>query().getText()).isEqualTo("Written to wash-pump.svg.");
        assertThat(Files.readString(folder.resolve("wash-pump.svg"))).contains("<svg", "K1");
        assertThat(Files.size(folder.resolve("wash-pump.pdf"))).isGreaterThan(1_000);
        assertThat(Files.size(folder.resolve("tern-hollow-press-house.pdf")))
                .isGreaterThan(Files.size(folder.resolve("wash-pump.pdf")));

        choose(robot, "paper-menu", "paper-wires");
        choose(robot, "paper-menu", "paper-parts");
        choose(robot, "paper-menu", "paper-labels");
        assertThat(folder.resolve("wash-pump-wires.csv")).content().contains("3,F2:96,X1:");
        assertThat(folder.resolve("wash-pump-parts.csv"))
                .content()
                .contains("1,contactor,\"coil 230 V AC, rated 9 A, AC-3 for M1 2.2 kW 4.9 A\",K1");
        assertThat(folder.resolve("wash-pump-labels.csv")).content().contains("K1,device,Motor contactor,panel");
    }

    @Test
    void theSelectedDeviceSaysWhyItIsOffAndTheRulesAndTheProofStandBesideIt(FxRobot robot) throws Exception {
        key(robot, KeyCode.CONTROL, KeyCode.D);
        key(robot, KeyCode.DOWN);
        for (int i = 0; i < 5; i++) {
            key(robot, KeyCode.RIGHT);
        }
        key(robot, KeyCode.CONTROL, KeyCode.I);
        assertThat(robot.lookup("#card-state").<Label>query().getText())
                .startsWith("K1 is off. Open in its way: S1 13-14")
                .contains("T1 is off. Open in its way: Q1 1-2");

        robot.interact(() -> jobs.edit(jobs.jobProperty()
                .get()
                .with(sheet().withRungs(Circuit.CONTROL, sheet().control().subList(0, 2)))));
        key(robot, KeyCode.CONTROL, KeyCode.K);
        until(robot, () -> window.part("finding-start-does-not-hold-S1") != null);
        robot.clickOn("#prove");
        until(robot, () -> ((Label) window.part("proof-state")).getText().endsWith("claims hold."));
        fire(robot, "accept-start-does-not-hold-S1-M1");
        until(robot, () -> window.part("withdraw-start-does-not-hold-S1-M1") != null);
        assertThat(sheet().accepted()).singleElement().satisfies(accepted -> {
            assertThat(accepted.by()).isEqualTo("loading bay");
            assertThat(accepted.remark()).isEqualTo("loading bay");
        });
        fire(robot, "withdraw-start-does-not-hold-S1-M1");
        until(robot, () -> window.part("accept-start-does-not-hold-S1-M1") != null);
        assertThat(sheet().accepted()).isEmpty();
        until(robot, () -> window.part("repair-start-does-not-hold-S1-M1") != null);
        fire(robot, "repair-start-does-not-hold-S1-M1");
        until(robot, () -> sheet().control().size() == 3);
        robot.interact(() -> jobs.undo());
        until(robot, () -> window.part("finding-start-does-not-hold-S1") != null);
        robot.interact(() -> ((Button) window.part("try-faults")).fire());
        until(robot, () -> ((Label) window.part("faults-state")).getText().contains("one at a time"));
        robot.clickOn("#finding-start-does-not-hold-S1");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#card-title").<Label>query().getText()).isEqualTo("S1");
    }

    @Test
    void aClaimOfOnesOwnIsReadBackKeptAndProved(FxRobot robot) throws InterruptedException {
        key(robot, KeyCode.CONTROL, KeyCode.K);
        robot.interact(() -> window.part("own-claim").requestFocus());
        robot.write("K1 never lit", 0);
        WaitForAsyncUtils.waitForFxEvents();
        Label reading = (Label) window.part("own-claim-reading");
        assertThat(reading.getText()).isEqualTo("K1: \"lit\" cannot be said of it; expected one of in, out.");
        assertThat(window.part("add-own-claim").isDisabled()).isTrue();
        robot.interact(() -> ((TextField) window.part("own-claim")).setText("K1 in only while S0 is held"));
        assertThat(reading.getText()).isEqualTo("It is read so: Once all has settled, if K1 is in, then S0 is held.");
        key(robot, KeyCode.ENTER);
        assertThat(sheet().claims()).containsExactly("K1 in only while S0 is held");
        robot.interact(() -> ((Button) window.part("prove")).fire());
        until(robot, () -> window.part("replay-own-K1-in-only-while-S0-is-held") != null);
        robot.interact(() -> jobs.undo());
        assertThat(sheet().claims()).isEmpty();
    }

    @Test
    void theFirstWordOfferedIsTakenByTab(FxRobot robot) {
        key(robot, KeyCode.CONTROL, KeyCode.D);
        key(robot, KeyCode.INSERT);
        robot.write("@7 /K", 0);
        key(robot, KeyCode.TAB);
        robot.write("(P9) N", 0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#line").<TextField>query().getText()).isEqualTo("@7 /K1 (P9) N");
        key(robot, KeyCode.ENTER);
        assertThat(sheet().control().get(sheet().control().size() - 1).text()).startsWith("@7 K1[");
    }

    @Test
    void aStretchIsWrappedMovedInvertedAndTakenAway(FxRobot robot) {
        String first = sheet().control().get(0).text();
        key(robot, KeyCode.CONTROL, KeyCode.D);
        key(robot, KeyCode.DOWN);
        assertThat(window.part("sheet").getAccessibleText()).isEqualTo("Rung 1 of the ladder: F2[95-96], now closed");
        key(robot, KeyCode.SHIFT, KeyCode.RIGHT);
        key(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
        robot.write("S9", 0);
        key(robot, KeyCode.ENTER);
        assertThat(sheet().control().get(1).text()).isEqualTo("L S9[13-14] @4");
        key(robot, KeyCode.ESCAPE);
        key(robot, KeyCode.DOWN);
        key(robot, KeyCode.CONTROL, KeyCode.DIGIT6);
        assertThat(sheet().control().get(1).text()).isEqualTo("L S9[21-22] @4");
        key(robot, KeyCode.CONTROL, KeyCode.UP);
        assertThat(sheet().control().get(0).text()).isEqualTo("L S9[21-22] @4");
        key(robot, KeyCode.DELETE);
        assertThat(sheet().control().get(0).text()).isEqualTo(first);
        key(robot, KeyCode.CONTROL, KeyCode.J);
        assertThat(robot.lookup("#selected").<Label>query().getText()).isNotEmpty();
    }

    @Test
    void anOperatorIsMountedElsewhere(FxRobot robot) {
        key(robot, KeyCode.CONTROL, KeyCode.D);
        Node device = window.part("door-S1");
        robot.interact(() -> Event.fireEvent(
                device,
                new ContextMenuEvent(
                        ContextMenuEvent.CONTEXT_MENU_REQUESTED, 5, 5, 900, 200, false, new PickResult(device, 5, 5))));
        robot.clickOn("Mount in another place\u2026");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sheet().device("S1").orElseThrow().place()).isEqualTo("loading bay");
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(sheet().device("S1").orElseThrow().place()).isEqualTo("door");
    }

    /** Magnified, the drawing has as many more pixels as it is larger, and menus are written larger too. */
    @Test
    void whatIsMagnifiedIsPaintedSharpAndItsMenusGrow(FxRobot robot) throws Exception {
        double menu = menuHeight(robot);
        double pixels = pixelsOfPatches();
        robot.interact(() -> window.look().magnificationProperty().set(1.5));
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(pixelsOfPatches()).isEqualTo(1.5 * pixels);
        assertThat(menuHeight(robot)).isBetween(1.2 * menu, 1.8 * menu);
        robot.interact(() -> window.look().magnificationProperty().set(1));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(menuHeight(robot)).isEqualTo(menu);
    }

    @Test
    void thePicturesOfSheetsArePaintedAsSharpAsTheyAreMagnified(FxRobot robot) {
        robot.interact(() -> window.look().magnificationProperty().set(1.5));
        key(robot, KeyCode.CONTROL, KeyCode.N);
        WaitForAsyncUtils.waitForFxEvents();
        Stamp stamp = robot.lookup(node -> node instanceof Stamp).query();
        Canvas canvas = (Canvas) stamp.lookup("Canvas");
        assertThat(canvas.getWidth()).isEqualTo(Math.ceil(1.5 * stamp.getWidth()));
        assertThat(painted(canvas)).isNotEmpty();
        robot.interact(() -> window.look().magnificationProperty().set(2));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(canvas.getWidth()).isEqualTo(2 * stamp.getWidth());
        assertThat(painted(canvas)).isNotEmpty();
    }

    /** The colours of a canvas that are not those of its corner. */
    private static List<Integer> painted(Canvas canvas) {
        WritableImage image =
                WaitForAsyncUtils.waitForAsyncFx(5_000, () -> canvas.snapshot(new SnapshotParameters(), null));
        int corner = image.getPixelReader().getArgb(0, 0);
        return IntStream.range(0, (int) (image.getWidth() * image.getHeight()))
                .map(at -> image.getPixelReader().getArgb(at % (int) image.getWidth(), at / (int) image.getWidth()))
                .filter(colour -> colour != corner)
                .distinct()
                .boxed()
                .toList();
    }

    /** The width of the canvases that the drawing is painted on, in pixels. */
    private double pixelsOfPatches() {
        Node paper = window.part("sheet").lookup("Canvas");
        return ((Canvas) paper).getWidth();
    }

    private double menuHeight(FxRobot robot) {
        MenuButton view = (MenuButton) window.part("view-menu");
        robot.interact(view::show);
        WaitForAsyncUtils.waitForFxEvents();
        double height = view.getItems().get(0).getParentPopup().getHeight();
        robot.interact(view::hide);
        return height;
    }

    /** Magnified by a half at 1280 by 800, every step, the line of time and all that is beside the drawing are within the window, or a bar away. */
    @Test
    void nothingIsBelowTheEdgeOfAMagnifiedWindow(FxRobot robot) {
        List<String> below = new ArrayList<>();
        robot.interact(() -> window.look().magnificationProperty().set(1.5));
        for (JobStep step : JobStep.values()) {
            robot.interact(() -> window.setStep(step));
            WaitForAsyncUtils.waitForFxEvents();
            List<Node> leaves = List.copyOf(robot.lookup(node -> node instanceof ToggleButton button
                            && String.valueOf(button.getId()).startsWith("leaf-"))
                    .queryAll());
            for (int leaf = 0; leaf < Math.max(1, leaves.size()); leaf++) {
                if (leaf < leaves.size()) {
                    ToggleButton button = (ToggleButton) leaves.get(leaf);
                    robot.interact(button::fire);
                }
                String where = step + ", leaf " + leaf;
                robot.interact(() -> reachable(window.scene().getRoot())
                        .filter(shown -> bottom(shown) > window.scene().getHeight() + 1)
                        .forEach(shown -> below.add(where + ": " + shown)));
            }
        }
        assertThat(below).isEmpty();
        robot.interact(() -> window.look().magnificationProperty().set(1));
    }

    private static double bottom(Node shown) {
        return shown.localToScene(shown.getLayoutBounds()).getMaxY();
    }

    /** What one acts on or reads, but for what is inside of something that has bars of its own. */
    private static Stream<Node> reachable(Node node) {
        if (!node.isVisible()) {
            return Stream.empty();
        }
        boolean scrolls = node instanceof ScrollPane
                || node instanceof ListView
                || node instanceof TableView
                || node instanceof SheetView;
        return Stream.concat(
                node instanceof Control ? Stream.of(node) : Stream.empty(),
                node instanceof Parent parent && !scrolls
                        ? parent.getChildrenUnmodifiable().stream().flatMap(LookTest::reachable)
                        : Stream.empty());
    }

    /** At twice the size on 1280 by 800 not all fits side by side: the rest is a bar away, and comes by itself with the keyboard. */
    @Test
    void whatDoesNotFitSideBySideIsWithinReach(FxRobot robot) {
        robot.interact(() -> window.look().magnificationProperty().set(2));
        ScrollBar across = robot.lookup("#magnified-across").query();
        assertThat(across.isVisible()).isTrue();
        for (String part : List.of("save", "door-S1")) {
            Node shown = window.part(part);
            robot.interact(() -> across.setValue(0));
            assertThat(rightEdge(shown)).as(part).isGreaterThan(0);
            robot.interact(() -> across.setValue(across.getMax()));
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(rightEdge(shown)).as(part).isLessThanOrEqualTo(0);
        }
        robot.interact(() -> across.setValue(0));
        robot.interact(window.part("save")::requestFocus);
        assertThat(rightEdge(window.part("save"))).isLessThanOrEqualTo(0);
        robot.interact(window.part("step-draw")::requestFocus);
        assertThat(across.getValue()).isLessThan(10);
        robot.interact(() -> window.look().magnificationProperty().set(1));
        assertThat(across.isVisible()).isFalse();
    }

    /** How far something reaches beyond the right edge of the window, in pixels. */
    private double rightEdge(Node part) {
        return part.localToScene(part.getBoundsInLocal()).getMaxX()
                - window.scene().getWidth();
    }

    @Test
    void theLegendIsWholeAndHidesNoOverviewHoweverLargeItIs(FxRobot robot) {
        for (double factor : new double[] {1, 1.5, 2}) {
            robot.interact(() -> window.look().magnificationProperty().set(factor));
            WaitForAsyncUtils.waitForFxEvents();
            Legend legend = robot.lookup(node -> node instanceof Legend).query();
            Bounds drawing = legend.getParent().localToScene(legend.getParent().getLayoutBounds());
            assertThat(legend.lookupAll(".label").stream()
                            .filter(Node::isVisible)
                            .map(Label.class::cast)
                            .filter(label -> !label.getText().isEmpty()))
                    .as("at %s", factor)
                    .hasSizeGreaterThanOrEqualTo(NodeState.values().length)
                    .allSatisfy(label -> {
                        assertThat(drawing.contains(label.localToScene(label.getLayoutBounds())))
                                .as(label.getText())
                                .isTrue();
                        assertThat(label.getWidth()).isGreaterThanOrEqualTo(label.prefWidth(-1));
                    });
            Node overview = window.part("overview");
            assertThat(overview.isVisible()
                            && overview.localToScene(overview.getLayoutBounds())
                                    .intersects(legend.localToScene(legend.getLayoutBounds())))
                    .as("overlap at %s", factor)
                    .isFalse();
        }
    }
}
