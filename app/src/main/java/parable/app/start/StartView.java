package parable.app.start;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import parable.app.look.DirectScroll;
import parable.circuit.Sheet;
import parable.starters.Choice;
import parable.starters.Question;

/** A page of questions about a starter, with the reason for each answer, that ends in an ordinary sheet. */
public final class StartView extends BorderPane {

    private final StartModel start;
    private final VBox reasons = new VBox(8);
    private final Label trouble = new Label();
    private final Button draw = new Button("Draw this starter");
    private final GridPane questions = new GridPane();

    /**
     * The page.
     *
     * @param done takes the sheet
     * @param cancel called if no sheet is wanted
     */
    public StartView(StartModel start, Consumer<Sheet> done, Runnable cancel) {
        this.start = start;
        setId("start");
        getStyleClass().add("start");
        Label heading = new Label("What is the starter to do?");
        heading.getStyleClass().add("start-heading");
        setTop(heading);
        questions.setHgap(12);
        questions.setVgap(2);
        text(0, "Name of the sheet", "start-name", "New starter", start::name);
        text(1, "What the motor drives", "start-driven", "Motor", start::driven);
        text(
                2,
                "Power of the motor",
                "start-power",
                start.wishProperty().get().motor().power(),
                start::power);
        ChoiceBox<Integer> stations = new ChoiceBox<>();
        stations.setId("start-stations");
        stations.getItems().addAll(1, 2, 3, 4);
        stations.setValue(1);
        stations.setOnAction(event -> start.stations(stations.getValue()));
        row(3, "Started and stopped from how many places?", stations);
        int row = 4;
        for (Question question : Question.all()) {
            row(row, question.words(), answers(question, row));
            row++;
        }
        draw.setId("start-draw");
        draw.setDefaultButton(true);
        draw.setOnAction(event -> done.accept(start.starter().sheet()));
        Button leave = new Button("Back without drawing");
        leave.setId("start-cancel");
        leave.setCancelButton(true);
        leave.setOnAction(event -> cancel.run());
        trouble.setId("start-trouble");
        trouble.setWrapText(true);
        HBox buttons = new HBox(10, draw, leave);
        buttons.setAlignment(Pos.CENTER_LEFT);
        setLeft(new VBox(12, questions, trouble, buttons));
        DirectScroll why = new DirectScroll(reasons);
        why.setFitToWidth(true);
        why.getStyleClass().add("start-reasons");
        setCenter(why);
        start.wishProperty().addListener((any, before, wish) -> show());
        show();
    }

    private void row(int row, String words, Node answer) {
        questions.add(new Label(words), 0, row);
        questions.add(answer, 1, row);
    }

    private void text(int row, String words, String id, String given, Consumer<String> told) {
        TextField field = new TextField(given);
        field.setId(id);
        field.textProperty().addListener((any, before, text) -> told.accept(text));
        row(row, words, field);
    }

    private ChoiceBox<Choice> answers(Question question, int row) {
        ChoiceBox<Choice> box = new ChoiceBox<>();
        box.setId("start-question-" + row);
        box.getItems().addAll(question.answers());
        box.setValue(start.wishProperty().get().answer(question));
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(Choice answer) {
                return answer == null ? "" : answer.words();
            }

            @Override
            public Choice fromString(String words) {
                return question.answers().stream()
                        .filter(answer -> answer.words().equals(words))
                        .findFirst()
                        .orElseThrow();
            }
        });
        box.setOnAction(event -> start.answer(question, box.getValue()));
        return box;
    }

    private void show() {
        Optional<String> wrong = start.trouble();
        trouble.setText(wrong.orElse(""));
        draw.setDisable(wrong.isPresent());
        List<Label> sentences =
                start.reasons().stream().map(StartView::sentence).toList();
        reasons.getChildren().setAll(sentences);
        reasons.getChildren()
                .add(sentence("It is an ordinary sheet then, to be changed at will. "
                        + "It advises and does not certify: the nameplate, local code and licensed practice decide."));
    }

    private static Label sentence(String words) {
        Label label = new Label(words);
        label.setWrapText(true);
        return label;
    }
}
