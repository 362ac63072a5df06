package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobStep;
import parable.app.look.Theme;
import parable.circuit.Extras;
import parable.circuit.Reading;
import parable.circuit.Sheet;

/** All that is written can be read by tired eyes in a bright workshop: WCAG 2.1, 1.4.3 asks for 4.5 to 1. What cannot be used now is excepted there too. */
@ExtendWith(ApplicationExtension.class)
class ContrastTest extends DrivenWindow {

    private static final double LEAST = 4.5;

    /** The steps of the ordinary run, those with the most kinds of things; the long run takes all. */
    private static final Set<JobStep> MOST_WRITTEN = EnumSet.of(JobStep.TRY, JobStep.CHECK, JobStep.TEST, JobStep.LOG);

    @Start
    private void start(Stage stage) throws Exception {
        open(stage);
    }

    @ParameterizedTest
    @EnumSource(Theme.class)
    void whatIsWrittenStandsOutFromWhatItIsWrittenOn(Theme theme, FxRobot robot) {
        robot.interact(() -> {
            jobs.edit(read(jobs.jobProperty().get().sheets().get(0)));
            jobs.edit(read(jobs.jobProperty().get().sheets().get(1)));
            window.look().themeProperty().set(theme);
        });
        List<String> faint = new ArrayList<>();
        for (JobStep step : EVERYTHING ? EnumSet.allOf(JobStep.class) : MOST_WRITTEN) {
            robot.interact(() -> window.setStep(step));
            WaitForAsyncUtils.waitForFxEvents();
            robot.interact(() -> texts(window.scene().getRoot()).forEach(text -> {
                double contrast = contrast((Color) text.getFill(), behind(text));
                if (contrast < LEAST) {
                    faint.add("%s: '%s' %.1f in %s".formatted(step, text.getText(), contrast, text.getParent()));
                }
            }));
        }
        assertThat(faint).isEmpty();
    }

    /** With a reading, so that its tab says how far it is. */
    private static Sheet read(Sheet sheet) {
        Reading reading = new Reading("dial", "4.9 A", "", "R. Alder", "2026-01-01 00:00", "", "", Extras.NONE);
        return sheet.withFieldwork(sheet.fieldwork().with(reading));
    }

    /** Text that is shown and can be used. */
    private static List<Text> texts(Node node) {
        if (!node.isVisible() || node.isDisabled() || node.getOpacity() == 0) {
            return List.of();
        }
        List<Text> found = new ArrayList<>();
        if (node instanceof Text text
                && !text.getText().isBlank()
                && text.getFill() instanceof Color colour
                && colour.getOpacity() > 0) {
            found.add(text);
        } else if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> found.addAll(texts(child)));
        }
        return found;
    }

    /** The nearest surface behind something that lets nothing through. */
    private static Color behind(Node node) {
        for (Node at = node.getParent(); at != null; at = at.getParent()) {
            Optional<Color> surface = surface(at);
            if (surface.isPresent()) {
                return surface.get();
            }
        }
        return Color.WHITE;
    }

    private static Optional<Color> surface(Node node) {
        if (!(node instanceof Region region) || region.getBackground() == null) {
            return Optional.empty();
        }
        List<BackgroundFill> fills = region.getBackground().getFills();
        return fills.stream()
                .map(BackgroundFill::getFill)
                .filter(Color.class::isInstance)
                .map(Color.class::cast)
                .filter(colour -> colour.getOpacity() == 1)
                .reduce((below, above) -> above);
    }

    private static double contrast(Color one, Color other) {
        double brighter = Math.max(luminance(one), luminance(other));
        double darker = Math.min(luminance(one), luminance(other));
        return (brighter + 0.05) / (darker + 0.05);
    }

    /** Relative luminance as WCAG 2.1 defines it. */
    private static double luminance(Color colour) {
        return 0.2126 * linear(colour.getRed())
                + 0.7152 * linear(colour.getGreen())
                + 0.0722 * linear(colour.getBlue());
    }

    private static double linear(double channel) {
        return channel <= 0.03928 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
    }
}
