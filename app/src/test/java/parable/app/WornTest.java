package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.net.URI;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.CompoundSelector;
import javafx.css.CssParser;
import javafx.css.Selector;
import javafx.css.SimpleSelector;
import javafx.css.StyleClass;
import javafx.css.Stylesheet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextInputDialog;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobStep;
import parable.app.look.Theme;

/** The theme of the controls is cut down to what the window wears. What was cut away, nothing in the window would have worn. */
@ExtendWith(ApplicationExtension.class)
class WornTest extends DrivenWindow {

    private final Set<Node> opened = Collections.newSetFromMap(new IdentityHashMap<>());

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    private static Stream<SimpleSelector> parts(Selector selector) {
        return selector instanceof CompoundSelector compound
                ? compound.getSelectors().stream()
                : Stream.of((SimpleSelector) selector);
    }

    private static Set<String> classesOf(Selector selector) {
        return parts(selector)
                .flatMap(part -> part.getStyleClassSet().stream())
                .map(StyleClass::getStyleClassName)
                .collect(Collectors.toSet());
    }

    private static Stream<Selector> selectors(Stylesheet theme) {
        return theme.getRules().stream().flatMap(rule -> rule.getSelectors().stream());
    }

    private static List<String> words(Stylesheet theme) {
        return selectors(theme).map(Selector::toString).toList();
    }

    private static Stylesheet whole(Theme theme) throws IOException {
        String name = (theme == Theme.NIGHT ? new PrimerDark() : new PrimerLight()).getUserAgentStylesheet();
        return new CssParser().parse(WornTest.class.getResource(name));
    }

    private static Stylesheet cut(Theme theme) throws IOException {
        return Stylesheet.loadBinary(URI.create(Wardrobe.controls(theme)).toURL());
    }

    private static void addClasses(Node node, Set<String> worn) {
        worn.addAll(node.getStyleClass());
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> addClasses(child, worn));
        }
    }

    private static void open(Node node) {
        if (node instanceof MenuButton menu) {
            menu.show();
        } else if (node instanceof ComboBoxBase<?> box) {
            box.show();
        } else if (node instanceof ChoiceBox<?> box) {
            box.show();
        }
    }

    private List<Node> openers() {
        return Stream.of(".menu-button", ".combo-box-base", ".choice-box")
                .flatMap(kind -> window.scene().getRoot().lookupAll(kind).stream())
                .toList();
    }

    private Set<String> worn(FxRobot robot) {
        Set<String> worn = new TreeSet<>();
        for (JobStep step : JobStep.values()) {
            robot.interact(() -> window.setStep(step));
            look(robot, worn);
            for (Node leaf : List.copyOf(window.scene().getRoot().lookupAll(".leaf-line .toggle-button"))) {
                fire(robot, leaf);
                look(robot, worn);
            }
        }
        for (List<String> way : List.of(
                List.of("all-sheets"), List.of("all-sheets", "sheets-ask"), List.of("all-sheets", "sheets-learn"))) {
            way.forEach(button -> fire(robot, window.part(button)));
            look(robot, worn);
        }
        robot.interact(() -> addClasses(new TextInputDialog().getDialogPane(), worn));
        return worn;
    }

    private static void fire(FxRobot robot, Node button) {
        robot.interact(() -> ((ButtonBase) button).fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** What is shown, and what opens from it. */
    private void look(FxRobot robot, Set<String> worn) {
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> addClasses(window.scene().getRoot(), worn));
        for (Node control : openers()) {
            if (!opened.add(control)) {
                continue;
            }
            robot.interact(() -> open(control));
            robot.interact(() -> List.copyOf(Window.getWindows()).stream()
                    .filter(shown -> shown != window.scene().getWindow())
                    .forEach(popup -> {
                        addClasses(popup.getScene().getRoot(), worn);
                        popup.hide();
                    }));
        }
    }

    @Test
    void nothingInTheWindowMissesWhatWasCutAway(FxRobot robot) throws Exception {
        Set<String> left = Set.copyOf(words(cut(Theme.DAY)));
        List<Selector> away = selectors(whole(Theme.DAY))
                .filter(selector -> !left.contains(selector.toString()))
                .toList();

        Set<String> worn = worn(robot);

        assertThat(worn).contains("menu-item", "list-cell", "text-field", "table-row-cell", "dialog-pane");
        assertThat(away).noneMatch(selector -> worn.containsAll(classesOf(selector)));
    }

    @ParameterizedTest
    @EnumSource(Theme.class)
    void theRulesThatAreLeftAreThoseOfTheTheme(Theme theme) throws Exception {
        List<String> whole = words(whole(theme));
        List<String> cut = words(cut(theme));

        assertThat(whole).containsSubsequence(cut);
        assertThat(cut).hasSizeBetween(whole.size() / 6, whole.size() / 3);
    }
}
