package parable.app.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.proof.Statement;
import parable.proof.StatementException;

/** Where one claims something of one's own in plain words; what is typed is read back at once. */
final class OwnClaimsView extends VBox {

    private final Supplier<Assembly> assembly;
    private final Consumer<Sheet> edit;
    private final TextField sentence = new TextField();
    private final Label reading = new Label();
    private final ActionButton add;
    private final VBox list = new VBox(4);

    /**
     * The view.
     *
     * @param assembly the sheet that is shown
     * @param edit goes on with a sheet of other claims
     */
    OwnClaimsView(Supplier<Assembly> assembly, Consumer<Sheet> edit) {
        super(4);
        this.assembly = assembly;
        this.edit = edit;
        setId("own-claims");
        sentence.setId("own-claim");
        sentence.setAccessibleText("A claim of your own, in plain words");
        sentence.setOnAction(event -> add());
        sentence.textProperty().addListener((any, before, text) -> readBack());
        HBox.setHgrow(sentence, Priority.ALWAYS);
        add = new ActionButton(
                "add-own-claim", "Claim it", "Adds it to what is proved of this sheet (Enter)", this::add);
        reading.setId("own-claim-reading");
        reading.setWrapText(true);
        reading.setMinHeight(USE_PREF_SIZE);
        reading.getStyleClass().add("finding-reason");
        Label heading = new Label("Claim something of your own");
        heading.getStyleClass().add("plate-name");
        getChildren().addAll(heading, list, new HBox(6, sentence, add), reading);
        show();
    }

    /** Shows what is claimed of the sheet as it is. */
    void show() {
        list.getChildren().clear();
        List<String> claims = assembly.get().sheet().claims();
        for (int i = 0; i < claims.size(); i++) {
            list.getChildren().add(entry(i, claims.get(i)));
        }
        readBack();
    }

    private HBox entry(int index, String claim) {
        Label words = FindingsView.wrapped(claim, "finding-text");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        return new HBox(
                6,
                words,
                new ActionButton(
                        "take-back-claim-" + (index + 1),
                        "Take back",
                        "It is no longer claimed",
                        () -> takeBack(index)));
    }

    private void readBack() {
        String text = sentence.getText();
        add.setDisable(true);
        if (text.isBlank()) {
            List<String> examples = Statement.examples(assembly.get());
            sentence.setPromptText(examples.isEmpty() ? "" : examples.get(0));
            reading.setText("In plain words" + (examples.isEmpty() ? "" : ", such as: " + String.join("; ", examples))
                    + ". Also: exactly while, never while; held, tripped, dark.");
            return;
        }
        try {
            reading.setText(
                    "It is read so: " + Statement.read(text, assembly.get()).reading());
            add.setDisable(false);
        } catch (StatementException trouble) {
            reading.setText(trouble.getMessage());
        }
    }

    private void add() {
        if (!add.isDisabled()) {
            Sheet sheet = assembly.get().sheet();
            List<String> claims = new ArrayList<>(sheet.claims());
            claims.remove(sentence.getText().strip());
            claims.add(sentence.getText().strip());
            sentence.clear();
            edit.accept(sheet.withClaims(claims));
            show();
        }
    }

    private void takeBack(int index) {
        Sheet sheet = assembly.get().sheet();
        List<String> claims = new ArrayList<>(sheet.claims());
        claims.remove(index);
        edit.accept(sheet.withClaims(claims));
        show();
    }
}
