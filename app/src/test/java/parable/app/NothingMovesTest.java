package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobStep;

/** Whatever is pressed in a step: what stays in the window stays where it was. */
@ExtendWith(ApplicationExtension.class)
class NothingMovesTest extends DrivenWindow {

    /** By these one asks for another arrangement of the window, or for another size of everything in it. */
    private static final Set<String> ARRANGE = Set.of(
            "strip-open",
            "view-contrast",
            "view-size-125",
            "view-size-150",
            "view-size-175",
            "view-size-200",
            "view-size-100");

    /** The ordinary run tries one in so many commands of a step, another share in each; the long run tries all. */
    private static final int SHARE = 14;

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    private record Command(String id, Runnable act) {}

    private static Stream<Node> all(Node node) {
        return node instanceof Parent parent
                ? Stream.concat(
                        Stream.of(node),
                        parent.getChildrenUnmodifiable().stream().flatMap(NothingMovesTest::all))
                : Stream.of(node);
    }

    private static boolean isShown(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private static Stream<MenuItem> leaves(MenuItem item) {
        return item instanceof Menu menu ? menu.getItems().stream().flatMap(NothingMovesTest::leaves) : Stream.of(item);
    }

    /** Every button that is shown, and every item of every menu button. */
    private List<Command> commands() {
        List<Command> found = new ArrayList<>();
        all(window.scene().getRoot())
                .filter(NothingMovesTest::isShown)
                .filter(node -> !node.isDisabled())
                .forEach(node -> {
                    if (node instanceof MenuButton menu) {
                        menu.getItems().stream()
                                .flatMap(NothingMovesTest::leaves)
                                .filter(item -> !(item instanceof SeparatorMenuItem) && !item.isDisable())
                                .forEach(item -> found.add(new Command(item.getId(), item::fire)));
                    } else if (node instanceof ButtonBase button && button.getId() != null) {
                        found.add(new Command(button.getId(), () -> fire(button.getId())));
                    }
                });
        return found.stream()
                .filter(command -> command.id() != null && !ARRANGE.contains(command.id()))
                .filter(command ->
                        !command.id().startsWith("sheet-tab") && !command.id().startsWith("step-"))
                .toList();
    }

    /** A row that is not shown any more cannot be clicked. */
    private void fire(String id) {
        all(window.scene().getRoot())
                .filter(node -> id.equals(node.getId()) && isShown(node) && !node.isDisabled())
                .map(ButtonBase.class::cast)
                .findFirst()
                .ifPresent(ButtonBase::fire);
    }

    /** What has a place of its own in every step: header, route card, time, the drawing, and the names of the leaves. */
    private Map<Node, String> places() {
        window.scene().getRoot().applyCss();
        window.scene().getRoot().layout();
        Map<Node, String> places = new LinkedHashMap<>();
        all(window.scene().getRoot())
                .filter(NothingMovesTest::isShown)
                .filter(node -> node.getId() != null)
                .filter(node -> isWatched(node))
                .forEach(node -> {
                    Bounds bounds = node.localToScene(node.getLayoutBounds());
                    places.put(node, Math.rint(bounds.getMinX()) + " " + Math.rint(bounds.getMinY()));
                });
        return places;
    }

    private static boolean isWatched(Node node) {
        String id = node.getId();
        return Set.of(
                                "sheet",
                                "job-menu",
                                "sheet-menu",
                                "view-menu",
                                "paper-menu",
                                "undo",
                                "redo",
                                "save",
                                "all-sheets")
                        .contains(id)
                || Stream.of("step-", "leaf-", "actuator-", "speed-").anyMatch(id::startsWith)
                || node.getParent() != null && node.getParent().getStyleClass().contains("time-bar");
    }

    private void run(Runnable act) throws Exception {
        WaitForAsyncUtils.asyncFx(act).get();
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void goTo(JobStep step) throws Exception {
        run(() -> ((ToggleButton) window.part("step-" + step.name().toLowerCase(Locale.ROOT))).fire());
    }

    /** A step's own share of the commands before the others: some of a share lead away, so that it may take more. */
    private static List<Command> shareFirst(List<Command> commands, int share) {
        return IntStream.range(0, commands.size())
                .boxed()
                .sorted(Comparator.comparingInt(i -> (i - share + SHARE) % SHARE))
                .map(commands::get)
                .toList();
    }

    @ParameterizedTest
    @EnumSource(JobStep.class)
    void underNoCommand(JobStep step) throws Exception {
        String sheet = window.shown();
        goTo(step);
        List<String> moved = new ArrayList<>();
        int tried = 0;
        List<Command> commands = shareFirst(commands(), step.ordinal() % SHARE);
        for (int i = 0; i < commands.size() && (EVERYTHING || i < commands.size() / SHARE || tried < 2); i++) {
            Command command = commands.get(i);
            run(() -> window.showSheet(sheet));
            goTo(step);
            Map<Node, String> before = WaitForAsyncUtils.asyncFx(this::places).get();
            run(command.act());
            if (window.step() == step && window.shown().equals(sheet)) {
                tried++;
                WaitForAsyncUtils.asyncFx(this::places).get().forEach((node, place) -> {
                    if (before.containsKey(node) && !before.get(node).equals(place)) {
                        moved.add(
                                command.id() + " moves " + node.getId() + " from " + before.get(node) + " to " + place);
                    }
                });
            }
            while (jobs.undoableProperty().get()) {
                run(jobs::undo);
            }
        }
        assertThat(moved).isEmpty();
        assertThat(tried).as("commands tried in " + step).isGreaterThan(EVERYTHING ? 20 : 1);
    }
}
