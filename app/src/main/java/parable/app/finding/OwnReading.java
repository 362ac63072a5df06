package parable.app.finding;

import java.util.List;
import javafx.collections.FXCollections;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import parable.testsheet.Situation;

/** Something else that was measured: after what was done, with what, between which places, and what it showed. */
final class OwnReading extends VBox {

    /** What is measured with. */
    private enum Kind {
        VOLTS("Volts between"),
        OHMS("Ohms between, dead"),
        CLAMP("Clamp around");

        private final String words;

        Kind(String words) {
            this.words = words;
        }
    }

    private final FindModel model;
    private final DeedsBox done = new DeedsBox("own-done", "What was done before");
    private final ComboBox<Kind> kind = new ComboBox<>(FXCollections.observableArrayList(Kind.values()));
    private final TextField red = field("own-red", "wire or terminal");
    private final TextField black = field("own-black", "wire or terminal");
    private final TextField found = field("own-found", "such as 230 V, 0.4 ohm, open");
    private final Label trouble = new Label();

    OwnReading(FindModel model) {
        super(6);
        this.model = model;
        getStyleClass().add("findings");
        fill();
        Label hint = new Label(
                "What you measured yourself, without being told to. A click on a wire of the drawing, or on a terminal of the panel, puts it into the next empty place.");
        hint.setWrapText(true);
        hint.setMinHeight(Region.USE_PREF_SIZE);
        hint.getStyleClass().add("finding-reason");
        Button add = new Button("Enter it");
        add.setId("own-add");
        add.setOnAction(event -> enter());
        found.setOnAction(event -> enter());
        trouble.setId("own-trouble");
        trouble.setWrapText(true);
        trouble.setMinHeight(Region.USE_PREF_SIZE);
        getChildren().addAll(hint, grid(), add, trouble);
    }

    private void fill() {
        kind.setId("own-kind");
        kind.setAccessibleText("What it was measured with");
        kind.setMaxWidth(Double.MAX_VALUE);
        kind.setConverter(new StringConverter<>() {
            @Override
            public String toString(Kind one) {
                return one == null ? "" : one.words;
            }

            @Override
            public Kind fromString(String words) {
                return kind.getValue();
            }
        });
        kind.setValue(Kind.VOLTS);
        kind.valueProperty().addListener((any, before, now) -> {
            black.setDisable(now == Kind.CLAMP);
            done.setDisable(now == Kind.OHMS);
        });
    }

    private GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(6);
        List<String> words = List.of("After", "With", "Red", "Black", "Found");
        List<Control> fields = List.of(done, kind, red, black, found);
        for (int i = 0; i < words.size(); i++) {
            Label label = new Label(words.get(i));
            label.setLabelFor(fields.get(i));
            label.setMinWidth(Region.USE_PREF_SIZE);
            grid.addRow(i, label, fields.get(i));
            GridPane.setHgrow(fields.get(i), Priority.ALWAYS);
        }
        return grid;
    }

    private static TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        field.setMaxWidth(Double.MAX_VALUE);
        return field;
    }

    /** Offers what may have been done. */
    void offer(List<Situation> situations) {
        if (done.offer(situations)) {
            done.setValue(situations.get(0));
        }
    }

    /** Puts a wire that was pointed at into the next empty place. */
    void put(String wire) {
        (red.getText().isBlank() || kind.getValue() == Kind.CLAMP ? red : black).setText(wire);
    }

    private void enter() {
        String what =
                switch (kind.getValue()) {
                    case VOLTS -> "volts " + red.getText().strip() + " to "
                            + black.getText().strip();
                    case OHMS -> "ohms " + red.getText().strip() + " to "
                            + black.getText().strip();
                    case CLAMP -> "clamp " + red.getText().strip();
                };
        String deeds = kind.getValue() == Kind.OHMS ? "dead" : deeds(done.getValue());
        String senseless =
                model.read(deeds + "; " + what + " = " + found.getText().strip());
        trouble.setText(senseless);
        if (senseless.isEmpty()) {
            List.of(red, black, found).forEach(TextField::clear);
        }
    }

    private static String deeds(Situation situation) {
        return String.join(
                ", ", situation.hands().stream().map(Object::toString).toList());
    }
}
