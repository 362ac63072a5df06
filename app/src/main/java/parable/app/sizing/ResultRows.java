package parable.app.sizing;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.sizing.SizingResult;

/** Results below each other: the value, its limit, how it follows, and a field to put another in its place. */
final class ResultRows extends VBox {

    private static final PseudoClass FAILS = PseudoClass.getPseudoClass("fails");
    private static final double NAME = 214;
    private static final double VALUE = 150;
    private static final double OTHER = 82;

    /**
     * The rows.
     *
     * @param state puts a value in the place of a result, by its key; gives why it makes no sense, or nothing
     * @param refused takes that
     */
    ResultRows(List<SizingResult> results, BiFunction<String, String, String> state, Consumer<String> refused) {
        getStyleClass().add("sizing-results");
        results.forEach(result -> getChildren().add(row(result, state, refused)));
    }

    private static VBox row(SizingResult result, BiFunction<String, String, String> state, Consumer<String> refused) {
        Label name = new Label(result.name());
        name.getStyleClass().add("card-name");
        name.setWrapText(true);
        name.setMinWidth(NAME);
        name.setMaxWidth(NAME);
        Label value = new Label(result.written());
        value.setId("sized-" + result.key());
        value.getStyleClass().add("finding-text");
        value.setWrapText(true);
        value.setMinWidth(VALUE);
        value.setMaxWidth(VALUE);
        value.setMinHeight(Region.USE_PREF_SIZE);
        Region space = new Region();
        if (result.verdict().isEmpty()) {
            HBox.setHgrow(space, Priority.ALWAYS);
        }
        HBox line = new HBox(8, name, value);
        result.verdict().ifPresent(verdict -> {
            Label sign = new Label(verdict.met() ? "✓ kept" : "✗ not kept");
            sign.setId("verdict-" + result.key());
            sign.setMinWidth(Region.USE_PREF_SIZE);
            sign.getStyleClass().add("severity");
            sign.pseudoClassStateChanged(FAILS, !verdict.met());
            Label limit = small(verdict.words(), verdict.met() ? "finding-reason" : "card-refusal");
            HBox.setHgrow(limit, Priority.ALWAYS);
            limit.setMaxWidth(Double.MAX_VALUE);
            line.getChildren().addAll(sign, limit);
        });
        Label mark = new Label(result.overridden() ? "yours" : result.ofEditedTable() ? "edited table" : "");
        mark.setId("mark-" + result.key());
        mark.getStyleClass().addAll("sizing-origin", "given");
        line.getChildren().addAll(space, mark, other(result, state, refused));
        line.setAlignment(Pos.CENTER_LEFT);
        VBox row = new VBox(1, line);
        row.getChildren().add(small(how(result), "sizing-how"));
        row.getStyleClass().add("sizing-result");
        return row;
    }

    private static String how(SizingResult result) {
        String row = result.row().isEmpty() ? "" : " (" + result.row() + ")";
        String from = result.inputs().isEmpty() ? "" : ".  From " + String.join(", ", result.inputs());
        return result.formula() + (result.source().isEmpty() ? "" : ".  " + result.source() + row) + from;
    }

    private static Label small(String words, String style) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add(style);
        return label;
    }

    private static TextField other(
            SizingResult result, BiFunction<String, String, String> state, Consumer<String> refused) {
        TextField field = new TextField(result.overridden() ? value(result) : "");
        field.setUserData(field.getText());
        field.setId("other-" + result.key());
        field.setPromptText("another");
        field.setPrefWidth(OTHER);
        field.setMinWidth(OTHER);
        field.setMaxWidth(OTHER);
        field.setAccessibleText("Another value for " + result.name());
        field.setTooltip(new Tooltip("Your own value, such as a data sheet says; empty: as it follows"));
        field.getStyleClass().add("card-field");
        Runnable commit = () -> {
            String before = result.overridden() ? value(result) : "";
            if (!field.getText().strip().equals(before)) {
                refused.accept(state.apply(result.key(), field.getText()));
            }
        };
        field.setOnAction(event -> commit.run());
        field.focusedProperty().addListener((any, before, now) -> {
            if (before && field.getScene() != null) {
                commit.run();
            }
        });
        return field;
    }

    private static String value(SizingResult result) {
        int more = result.written().indexOf(" (");
        int comma = result.written().indexOf(", ");
        int end = more > 0 ? more : comma > 0 ? comma : result.written().length();
        return result.written().substring(0, end);
    }
}
