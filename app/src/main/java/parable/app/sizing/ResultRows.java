package parable.app.sizing;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.Hint;
import parable.sizing.SizingResult;

/** Results below each other: the value, its limit, how it follows, and a field to put another in its place. */
final class ResultRows extends VBox {

    private static final PseudoClass FAILS = PseudoClass.getPseudoClass("fails");
    private static final double NAME = 214;
    private static final double VALUE = 150;
    private static final double NARROW_NAME = 140;
    private static final double NARROW_VALUE = 104;
    private static final double OTHER = 82;

    private final boolean narrow;

    /**
     * The rows.
     *
     * @param narrow whether there is little room
     * @param state puts a value in the place of a result, by its key; gives why it makes no sense, or nothing
     * @param refused takes that
     */
    ResultRows(
            List<SizingResult> results,
            boolean narrow,
            BiFunction<String, String, String> state,
            Consumer<String> refused) {
        this.narrow = narrow;
        getStyleClass().add("sizing-results");
        results.forEach(result -> getChildren().add(row(result, state, refused)));
    }

    private VBox row(SizingResult result, BiFunction<String, String, String> state, Consumer<String> refused) {
        Label name = fixed(result.name(), narrow ? NARROW_NAME : NAME);
        name.getStyleClass().add("card-name");
        Label value = fixed(result.written(), narrow ? NARROW_VALUE : VALUE);
        value.setId("sized-" + result.key());
        value.getStyleClass().add("finding-text");
        HBox line = new HBox(8, name, value);
        HBox below = new HBox(8);
        verdict(result, narrow ? below : line);
        if (narrow || result.verdict().isEmpty()) {
            Region space = new Region();
            HBox.setHgrow(space, Priority.ALWAYS);
            line.getChildren().add(space);
        }
        Label mark = new Label(mark(result));
        mark.setId("mark-" + result.key());
        mark.setMinWidth(Region.USE_PREF_SIZE);
        mark.getStyleClass().addAll("sizing-origin", "given");
        line.getChildren().addAll(mark, other(result, state, refused));
        line.setAlignment(Pos.CENTER_LEFT);
        VBox row = new VBox(1, line);
        if (!below.getChildren().isEmpty()) {
            row.getChildren().add(below);
        }
        row.getChildren().add(small(how(result), "sizing-how"));
        row.getStyleClass().add("sizing-result");
        return row;
    }

    private static String mark(SizingResult result) {
        return Stream.of(result.overridden() ? "yours" : "", result.ofEditedTable() ? "edited table" : "")
                .filter(word -> !word.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private static Label fixed(String words, double width) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.setMinWidth(width);
        label.setMaxWidth(width);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private static void verdict(SizingResult result, HBox line) {
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
    }

    private static String how(SizingResult result) {
        String row = result.row().isEmpty() ? "" : " (" + result.row() + ")";
        String from = result.inputs().isEmpty() ? "" : ".  From " + String.join(", ", result.inputs());
        return result.formula() + (result.source().isEmpty() ? "" : ".  " + result.source() + row) + from;
    }

    private static Label small(String words, String style) {
        return SizingPage.words(words, style);
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
        Hint.on(field, "Your own value, such as a data sheet says; empty: as it follows");
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
