package parable.app.finding;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.finding.LookResult;
import parable.finding.SymptomForm;
import parable.testsheet.Glimpse;
import parable.testsheet.Situation;

/** Where it is told what a machine does: after what was done, and of each device that acts what was seen, by a button each. */
final class SymptomView extends VBox {

    private final DeedsBox done = new DeedsBox("symptom-done", "What was done at the machine");
    private final VBox deeds = new VBox(6);
    private final VBox rows = new VBox(4);
    private final Button tell = new Button("That is what it does");
    private final Map<String, String> seen = new LinkedHashMap<>();
    private Optional<SymptomForm> shown = Optional.empty();
    private boolean filling;

    /**
     * The view.
     *
     * @param after is told what was done, so that the devices can be asked about
     * @param told takes what was seen
     */
    SymptomView(Consumer<Situation> after, Consumer<LookResult> told) {
        super(6);
        done.valueProperty().addListener((any, before, now) -> {
            if (!filling && now != null) {
                after.accept(now);
            }
        });
        tell.setId("symptom-tell");
        tell.getStyleClass().add("next-act");
        tell.setMaxWidth(Double.MAX_VALUE);
        tell.setOnAction(event -> shown.ifPresent(form -> told.accept(form.result(Map.copyOf(seen)))));
        deeds.getChildren().addAll(plain("What was done:"), done);
        getChildren().addAll(deeds, plain("What it does then (leave out what was not seen):"), rows, tell);
        enable();
    }

    private static Label plain(String words) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("finding-reason");
        return label;
    }

    /** What was done is known. */
    void withoutDeeds() {
        getChildren().remove(deeds);
    }

    /** Offers what may have been done. */
    void offer(List<Situation> situations) {
        filling = true;
        done.offer(situations);
        filling = false;
    }

    /** Asks about the devices after something was done. */
    void ask(SymptomForm form) {
        filling = true;
        done.setValue(form.situation());
        filling = false;
        if (shown.filter(form::equals).isEmpty()) {
            shown = Optional.of(form);
            seen.clear();
            rows.getChildren().setAll(form.rows().stream().map(this::row).toList());
            enable();
        }
    }

    /** Forgets what was chosen. */
    void clear() {
        shown = Optional.empty();
        seen.clear();
        rows.getChildren().clear();
        enable();
    }

    private Node row(SymptomForm.Row row) {
        Label name = new Label(title(row));
        name.getStyleClass().add("symptom-name");
        ToggleGroup group = new ToggleGroup();
        FlowPane choices = new FlowPane(4, 4);
        for (String choice : row.choices()) {
            ToggleButton button = new ToggleButton(choice);
            button.setId("symptom-" + row.tag() + "-" + choice.replace(' ', '-'));
            button.setAccessibleText(row.tag() + " " + choice);
            button.setToggleGroup(group);
            button.getStyleClass().add("symptom-choice");
            choices.getChildren().add(button);
        }
        group.selectedToggleProperty().addListener((any, before, now) -> {
            if (now instanceof ToggleButton button) {
                seen.put(row.tag(), button.getText());
            } else {
                seen.remove(row.tag());
            }
            enable();
        });
        Label sound = new Label("should: " + row.sound());
        sound.getStyleClass().add("symptom-sound");
        choices.getChildren().add(sound);
        return new VBox(2, name, choices);
    }

    private static String title(SymptomForm.Row row) {
        if (row.tag().equals(Glimpse.PROTECTION)) {
            return "Fuses and breakers";
        }
        return row.tag() + (row.name().isEmpty() ? "" : "  " + row.name());
    }

    private void enable() {
        tell.setDisable(seen.isEmpty());
    }

    /** Puts the keyboard where it is told. */
    void takeKeyboard() {
        done.requestFocus();
    }
}
