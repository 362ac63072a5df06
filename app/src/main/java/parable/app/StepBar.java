package parable.app;

import java.util.Locale;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.JobStep;

/** The steps of the work, the one that is shown selected. */
final class StepBar extends VBox {

    private final Checking checking;

    /**
     * The bar.
     *
     * @param shown the step that is shown
     * @param recipes what is beside the steps while one tries
     * @param choose goes to another step
     */
    StepBar(JobStep shown, Checking checking, Node recipes, Consumer<JobStep> choose) {
        this.checking = checking;
        HBox drawn = new HBox();
        HBox built = new HBox();
        for (JobStep one : JobStep.values()) {
            ToggleButton button = button(one, choose);
            button.setSelected(one == shown);
            (one.isAtThePanel() ? built : drawn).getChildren().add(button);
        }
        if (shown == JobStep.TRY) {
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            built.getChildren().addAll(gap, recipes);
        }
        drawn.getStyleClass().add("steps");
        built.getStyleClass().add("steps");
        getChildren().addAll(drawn, built);
    }

    private ToggleButton button(JobStep step, Consumer<JobStep> choose) {
        ToggleButton button = new ToggleButton(step.words());
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setId("step-" + step.name().toLowerCase(Locale.ROOT));
        button.setOnAction(event -> choose.accept(step));
        if (step == JobStep.CHECK) {
            button.textProperty().bind(Bindings.createStringBinding(this::checkWords, checking.findingsProperty()));
        }
        return button;
    }

    private String checkWords() {
        long open = checking.open();
        return JobStep.CHECK.words() + (open == 0 ? "" : "  (" + open + ")");
    }
}
