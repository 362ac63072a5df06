package parable.app.keys;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import parable.app.InterfaceThread;
import parable.app.job.JobStep;

/** The page of keys: every step is on it, and no letter means two things. */
class KeysViewTest {

    private static final Pattern LETTER = Pattern.compile("Ctrl\\+[A-Z]\\b");

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    private static void letters(Node node, List<String> found) {
        if (node instanceof Label label && label.getStyleClass().contains("key")) {
            LETTER.matcher(label.getText()).results().map(MatchResult::group).forEach(found::add);
        }
        if (node instanceof ScrollPane scroll) {
            letters(scroll.getContent(), found);
        } else if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> letters(child, found));
        }
    }

    @Test
    void noLetterMeansTwoThings() throws Exception {
        List<String> found = new ArrayList<>();
        InterfaceThread.run(() -> letters(new KeysView(() -> {}), found));

        assertThat(found).hasSizeGreaterThan(15).doesNotHaveDuplicates();
        for (JobStep step : JobStep.values()) {
            assertThat(found).contains(step.key());
        }
    }
}
