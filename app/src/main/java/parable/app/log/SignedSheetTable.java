package parable.app.log;

import java.util.List;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.logbook.LogEntry;
import parable.logbook.SignedStep;

/** A test sheet as it was signed, all its steps. */
final class SignedSheetTable extends VBox {

    private final Label heading = new Label();
    private final TableView<SignedStep> steps = new TableView<>();

    SignedSheetTable() {
        super(6);
        getStyleClass().add("log-list");
        heading.setId("signed-heading");
        heading.setWrapText(true);
        heading.setMinHeight(Region.USE_PREF_SIZE);
        heading.getStyleClass().add("finding-text");
        steps.setId("signed-steps");
        steps.getColumns()
                .setAll(List.of(
                        column("Step", 420, SignedStep::step),
                        column("Expected", 120, SignedStep::expected),
                        column("Found", 120, SignedStep::found),
                        column("Result", 96, SignedStep::verdict),
                        column("Remark", 120, SignedStep::remark),
                        column("By", 90, SignedStep::by),
                        column("On", 130, SignedStep::on),
                        column("Circuit", 110, SignedStep::revision)));
        VBox.setVgrow(steps, Priority.ALWAYS);
        getChildren().setAll(heading, steps);
    }

    private static TableColumn<SignedStep, String> column(
            String words, double width, Function<SignedStep, String> text) {
        TableColumn<SignedStep, String> column = new TableColumn<>(words);
        column.setSortable(false);
        column.setPrefWidth(width);
        column.setCellValueFactory(row -> new ReadOnlyStringWrapper(text.apply(row.getValue())));
        return column;
    }

    /**
     * Shows what a signature stands for.
     *
     * @param verified whether it is as it was signed, and still of the circuit, in words
     */
    void show(LogEntry signature, String verified) {
        heading.setText("Test sheet of " + signature.signed().size() + " steps, signed by " + signature.by() + " on "
                + signature.on().replace('T', ' ') + ". " + verified);
        steps.setItems(FXCollections.observableArrayList(signature.signed()));
    }
}
