package parable.app.sizing;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.circuit.TableCopy;
import parable.ratings.RatingTable;

/** The tables that a job goes by, to be read and changed; a changed one is kept in the job. */
final class TablesView {

    private static final int LINES = 20;

    private final SizingModel model;
    private final Consumer<String> tell;
    private final ComboBox<String> names = new ComboBox<>();
    private final Label state = SizingPage.words("", "card-words");
    private final TextArea text = new TextArea();
    private final Button keep =
            new ActionButton("table-keep", "Keep in the job", "The job goes by what is written here", this::keep);
    private final Button shipped =
            new ActionButton("table-shipped", "As it ships", "The job goes by the table that ships again", this::ship);
    private final VBox all;

    TablesView(SizingModel model, Consumer<String> tell) {
        this.model = model;
        this.tell = tell;
        names.setId("tables");
        names.setAccessibleText("Which table");
        names.valueProperty().addListener((any, before, now) -> show());
        text.setId("table-text");
        text.setAccessibleText("The table: name, title and source; its columns; its rows");
        text.setPrefRowCount(LINES);
        all = new VBox(
                8,
                SizingPage.words("The tables that this job goes by", "sizing-heading"),
                names,
                state,
                text,
                new HBox(8, keep, shipped),
                SizingPage.words(
                        "The first line is name, title and source, the second the columns, then a row a line, a bar between cells, a hyphen for none. A result that rests on a changed table says so.",
                        "finding-reason"));
    }

    List<Node> content() {
        model.sizedProperty().get().ifPresent(sized -> {
            String before = Optional.ofNullable(names.getValue()).orElse("");
            List<String> now =
                    sized.tables().all().stream().map(RatingTable::name).toList();
            if (!names.getItems().equals(now)) {
                names.getItems().setAll(now);
            }
            names.setValue(now.contains(before) ? before : now.get(0));
            show();
        });
        return List.of(all);
    }

    private Optional<RatingTable> table() {
        return model.sizedProperty().get().flatMap(sized -> sized.tables().all().stream()
                .filter(one -> one.name().equals(names.getValue()))
                .findFirst());
    }

    private void show() {
        table().ifPresent(table -> {
            text.setText(String.join("\n", table.written()));
            state.setText(table.title() + ". " + table.source() + "."
                    + (table.edited() ? " Changed for this job." : " As it ships."));
            shipped.setDisable(!table.edited());
        });
    }

    private void keep() {
        table().ifPresent(table -> tell.accept(
                model.keep(new TableCopy(table.name(), text.getText().lines().toList()))));
    }

    private void ship() {
        table().ifPresent(table -> model.asShipped(table.name()));
    }
}
