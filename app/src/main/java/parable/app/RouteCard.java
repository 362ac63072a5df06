package parable.app;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableStringValue;
import javafx.css.PseudoClass;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import parable.app.job.JobStep;
import parable.app.look.Hint;

/** The steps of the job from top to bottom, each with how far it is; the one that is shown is selected. */
final class RouteCard extends VBox {

    private static final double WIDTH = 84;
    private static final PseudoClass TIGHT = PseudoClass.getPseudoClass("tight");

    private final Map<JobStep, Line> lines = new EnumMap<>(JobStep.class);
    private double roomy;
    private boolean tight;

    /** A step on the card. */
    private static final class Line extends ToggleButton {
        private final JobStep step;
        private final Label state = new Label();

        Line(JobStep step) {
            this.step = step;
            Label name = new Label(step.words());
            name.getStyleClass().add("route-step");
            state.getStyleClass().add("route-state");
            setGraphic(new VBox(name, state));
            setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            setId("step-" + step.name().toLowerCase(Locale.ROOT));
            Hint.on(this, step.purpose() + "  " + step.key());
            setMaxWidth(Double.MAX_VALUE);
        }

        /** Leaves out how far the step is, which is still told by its hint. */
        void tighten(boolean tight) {
            state.setVisible(!tight);
            state.setManaged(!tight);
            pseudoClassStateChanged(TIGHT, tight);
        }

        void follow(ObservableStringValue words) {
            state.textProperty().bind(words);
            accessibleHelpProperty()
                    .bind(Bindings.createStringBinding(
                            () -> step.purpose() + "  " + step.key() + "\n" + words.get(), words));
            accessibleTextProperty()
                    .bind(Bindings.createStringBinding(
                            () -> step.words() + ", " + words.get() + ". " + step.purpose(), words));
        }
    }

    /**
     * The card.
     *
     * @param choose goes to a step
     */
    RouteCard(Consumer<JobStep> choose) {
        setId("route-card");
        getStyleClass().add("route-card");
        setMinWidth(WIDTH);
        setPrefWidth(WIDTH);
        setMaxWidth(WIDTH);
        for (JobStep step : JobStep.values()) {
            Line line = new Line(step);
            line.setOnAction(event -> choose.accept(step));
            lines.put(step, line);
            getChildren().add(line);
        }
        setMinHeight(0);
        heightProperty().addListener((any, before, now) -> fit(now.doubleValue()));
    }

    /** Where the window is too low for two lines a step, as a magnified one is, each has one. */
    private void fit(double height) {
        if (!tight) {
            roomy = prefHeight(WIDTH);
        }
        tight = height < roomy;
        lines.values().forEach(line -> line.tighten(tight));
    }

    /** Selects the step that is shown. */
    void select(JobStep shown) {
        lines.forEach((step, line) -> line.setSelected(step == shown));
    }

    /** Says from now on how far these steps are. */
    void follow(Map<JobStep, ObservableStringValue> states) {
        states.forEach((step, words) -> lines.get(step).follow(words));
    }
}
