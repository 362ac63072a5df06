package parable.app.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import parable.sizing.Origin;
import parable.sizing.SizingInputs;
import parable.sizing.SizingQuestion;

/** The inputs of a sizing in two columns, or in one where there is less room, each with a field and where it is from. */
final class InputGrid extends GridPane {

    private static final double FIELD = 120;
    private static final double WIDEST = 940;
    private static final int COLUMNS = 3;

    private final List<Control> fields = new ArrayList<>();

    /**
     * A grid.
     *
     * @param asked the questions that are shown, in their order
     * @param inputs what is answered
     * @param narrow whether there is room for one column only
     * @param state states an answer by the key of its question; gives why it makes no sense, or nothing
     * @param refused takes that
     */
    InputGrid(
            List<? extends SizingQuestion> asked,
            SizingInputs inputs,
            boolean narrow,
            BiFunction<String, String, String> state,
            Consumer<String> refused) {
        setHgap(8);
        setVgap(3);
        setMaxWidth(WIDEST);
        int side = narrow ? 1 : 2;
        for (int beside = 0; beside < side; beside++) {
            ColumnConstraints name = new ColumnConstraints();
            name.setHgrow(Priority.SOMETIMES);
            name.setMinWidth(narrow ? 90 : 120);
            ColumnConstraints field = new ColumnConstraints(FIELD);
            ColumnConstraints origin = new ColumnConstraints(78);
            getColumnConstraints().addAll(name, field, origin);
        }
        int rows = (asked.size() + side - 1) / side;
        for (int i = 0; i < asked.size(); i++) {
            add(asked.get(i), inputs, state, refused, i % rows, i / rows * COLUMNS);
        }
    }

    private void add(
            SizingQuestion asked,
            SizingInputs inputs,
            BiFunction<String, String, String> state,
            Consumer<String> refused,
            int row,
            int column) {
        String value = inputs.said(asked).orElse("");
        Origin origin = inputs.origin(asked);
        Label name = new Label(asked.label());
        name.getStyleClass().add("card-name");
        name.setWrapText(true);
        Control field = asked.words().isEmpty() ? text(asked, value) : words(asked, value);
        field.setId("sizing-" + asked.key());
        field.setAccessibleText(asked.label() + ", " + origin.words());
        field.getStyleClass().add("card-field");
        if (field instanceof TextField typed) {
            Runnable commit = () -> {
                if (!typed.getText().strip().equals(value)) {
                    refused.accept(state.apply(asked.key(), typed.getText()));
                }
            };
            typed.setOnAction(event -> commit.run());
            typed.focusedProperty().addListener((any, before, now) -> {
                if (before && getScene() != null) {
                    commit.run();
                }
            });
        } else if (field instanceof ComboBox<?> chosen) {
            chosen.valueProperty()
                    .addListener((any, before, now) -> refused.accept(state.apply(asked.key(), String.valueOf(now))));
        }
        name.setLabelFor(field);
        fields.add(field);
        Label from = new Label(value.isEmpty() ? "not known" : origin == Origin.DRAWN ? "drawn" : origin.words());
        from.setId("sizing-origin-" + asked.key());
        from.getStyleClass().addAll("sizing-origin", origin.name().toLowerCase(Locale.ROOT));
        GridPane.setConstraints(name, column, row);
        GridPane.setConstraints(field, column + 1, row);
        GridPane.setConstraints(from, column + 2, row);
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(name, field, from);
    }

    private static TextField text(SizingQuestion asked, String value) {
        TextField field = new TextField(value);
        field.setUserData(value);
        field.setPromptText(asked.measure().map(measure -> measure.unit()).orElse(""));
        return field;
    }

    private static ComboBox<String> words(SizingQuestion asked, String value) {
        ComboBox<String> box = new ComboBox<>();
        box.getItems().setAll(asked.words());
        box.setValue(value.isEmpty() ? null : value);
        box.setMaxWidth(Double.MAX_VALUE);
        return box;
    }

    /** Puts the keyboard into the first field. */
    void takeKeyboard() {
        fields.stream().findFirst().ifPresent(Control::requestFocus);
    }
}
