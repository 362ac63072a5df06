package parable.app.program;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.job.Latest;
import parable.app.look.DirectScroll;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.plc.SealIn;
import parable.plc.Split;
import parable.plc.Translation;
import parable.plc.TranslationChoices;
import parable.plc.TranslationException;

/** On a relay sheet: what would go into a program and what stays in copper, each with its reason and to be decided otherwise. */
final class TranslateView extends VBox {

    private final Supplier<Assembly> shown;
    private final Supplier<Practice> practice;
    private final ChoiceBox<String> sealIn = new ChoiceBox<>();
    private final CheckBox transistor = new CheckBox("transistor outputs, suppressors on their coils");
    private final Map<String, Boolean> copper = new HashMap<>();
    private final VBox rows = new VBox(6);
    private final Button draw = new Button("Draw the sheet of the controller");
    private final Latest latest = new Latest("translation");
    private Optional<Translation> translation = Optional.empty();

    /**
     * The view.
     *
     * @param done takes the new sheet
     */
    TranslateView(Supplier<Assembly> shown, Supplier<Practice> practice, Consumer<Sheet> done) {
        super(8);
        this.shown = shown;
        this.practice = practice;
        setId("translate");
        getStyleClass().add("findings");
        for (SealIn one : SealIn.values()) {
            sealIn.getItems().add(one.words());
        }
        sealIn.setId("translate-seal-in");
        sealIn.setAccessibleText("How what holds itself in is programmed");
        sealIn.setValue(SealIn.AUXILIARY_WITH_ALARM.words());
        sealIn.setOnAction(event -> show());
        transistor.setId("translate-transistor");
        transistor.setOnAction(event -> show());
        draw.setId("translate-draw");
        draw.setOnAction(event -> translation.ifPresent(one -> done.accept(one.sheet())));
        GridPane choices = new GridPane();
        choices.setHgap(8);
        choices.setVgap(6);
        choices.add(new Label("How the program knows that a contactor is in:"), 0, 0);
        choices.add(sealIn, 0, 1);
        choices.add(transistor, 0, 2);
        Label heading = new Label("From relays to a controller");
        heading.getStyleClass().add("plate-name");
        DirectScroll scrolled = new DirectScroll(rows);
        scrolled.setFitToWidth(true);
        VBox.setVgrow(scrolled, Priority.ALWAYS);
        getChildren().addAll(heading, choices, draw, scrolled);
    }

    /** Looks at the sheet anew, beside the window; what was shown stays until then. */
    void show() {
        Assembly sheet = shown.get();
        Practice practised = practice.get();
        TranslationChoices chosen = new TranslationChoices(
                SealIn.ofWords(sealIn.getValue()).orElse(SealIn.AUXILIARY_WITH_ALARM),
                transistor.isSelected(),
                TranslationChoices.PROPOSED.alarmMillis(),
                Map.copyOf(copper));
        draw.setDisable(true);
        latest.ask(() -> Answer.of(sheet, practised, chosen), this::show);
    }

    /** The translation, or why there is none. */
    private record Answer(Optional<Translation> translation, String refusal) {

        static Answer of(Assembly sheet, Practice practice, TranslationChoices chosen) {
            try {
                return new Answer(Optional.of(Translation.of(sheet, practice, chosen)), "");
            } catch (TranslationException untranslatable) {
                return new Answer(Optional.empty(), untranslatable.getMessage());
            }
        }
    }

    private void show(Answer answer) {
        translation = answer.translation();
        draw.setDisable(translation.isEmpty());
        rows.getChildren().clear();
        translation.ifPresent(
                one -> one.splits().forEach(split -> rows.getChildren().add(row(split))));
        if (translation.isEmpty()) {
            rows.getChildren().add(wrapped(answer.refusal()));
        }
    }

    private VBox row(Split split) {
        Label what = new Label(split.what());
        what.getStyleClass().add("finding-text");
        what.setWrapText(true);
        HBox head = new HBox(10, what);
        boolean contact = split.changeable() && split.what().contains("-");
        if (contact) {
            CheckBox keep = new CheckBox("in copper");
            keep.setId("copper-" + split.what().replace(' ', '-'));
            keep.setSelected(split.inCopper());
            keep.setOnAction(event -> {
                copper.put(split.what(), keep.isSelected());
                show();
            });
            head.getChildren().add(keep);
        }
        VBox row = new VBox(3, head, wrapped(split.why()));
        row.getStyleClass().add("finding");
        return row;
    }

    private static Label wrapped(String words) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.getStyleClass().add("finding-reason");
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }
}
