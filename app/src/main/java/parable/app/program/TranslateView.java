package parable.app.program;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
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
    private final AtomicLong asked = new AtomicLong();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "translation");
        thread.setDaemon(true);
        return thread;
    });
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
        ScrollPane scrolled = new ScrollPane(rows);
        scrolled.setFitToWidth(true);
        VBox.setVgrow(scrolled, Priority.ALWAYS);
        getChildren().addAll(heading, choices, draw, scrolled);
    }

    /** Looks at the sheet anew, beside the window; what was shown stays until then. */
    void show() {
        long mine = asked.incrementAndGet();
        Assembly sheet = shown.get();
        Practice practised = practice.get();
        TranslationChoices chosen = new TranslationChoices(
                SealIn.ofWords(sealIn.getValue()).orElse(SealIn.AUXILIARY_WITH_ALARM),
                transistor.isSelected(),
                TranslationChoices.PROPOSED.alarmMillis(),
                Map.copyOf(copper));
        draw.setDisable(true);
        worker.execute(() -> {
            if (asked.get() != mine) {
                return;
            }
            try {
                Translation made = Translation.of(sheet, practised, chosen);
                Platform.runLater(() -> show(mine, Optional.of(made), ""));
            } catch (TranslationException untranslatable) {
                Platform.runLater(() -> show(mine, Optional.empty(), untranslatable.getMessage()));
            }
        });
    }

    private void show(long answered, Optional<Translation> made, String refusal) {
        if (asked.get() != answered) {
            return;
        }
        translation = made;
        draw.setDisable(made.isEmpty());
        rows.getChildren().clear();
        made.ifPresent(one -> one.splits().forEach(split -> rows.getChildren().add(row(split))));
        if (made.isEmpty()) {
            rows.getChildren().add(wrapped(refusal));
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
