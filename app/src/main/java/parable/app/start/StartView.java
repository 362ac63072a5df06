package parable.app.start;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import parable.app.look.DirectScroll;
import parable.circuit.Practice;
import parable.starters.Choice;
import parable.starters.Lamp;
import parable.starters.Question;
import parable.starters.Supply;

/** A page of questions about a starter, with the reason for each answer, that ends in an ordinary sheet. */
public final class StartView extends BorderPane {

    /** The room for the lamps, in pixels. */
    private static final double LAMPS = 330;

    /** The room for what feeds it, in pixels, for its answers change with the practice. */
    private static final double SUPPLY = 180;

    private final StartModel start;
    private final VBox reasons = new VBox(8);
    private final Label trouble = new Label();
    private final Button draw = new Button("Draw this starter  Enter");
    private final GridPane questions = new GridPane();
    private final ChoiceBox<Supply> supply = new ChoiceBox<>();
    private final Map<Question, ChoiceBox<Choice>> boxes = new LinkedHashMap<>();
    private boolean showing;

    /**
     * The page.
     *
     * @param done takes what was wished for, once there is no trouble with it
     * @param cancel called if no sheet is wanted
     */
    public StartView(StartModel start, Consumer<StartModel> done, Runnable cancel) {
        this.start = start;
        setId("start");
        getStyleClass().add("start");
        Label heading = new Label("What is the starter to do?");
        heading.getStyleClass().add("start-heading");
        setTop(heading);
        questions.setHgap(12);
        questions.setVgap(2);
        ask();
        draw.setId("start-draw");
        draw.setDefaultButton(true);
        draw.setOnAction(event -> done.accept(start));
        trouble.setId("start-trouble");
        trouble.setWrapText(true);
        HBox buttons = new HBox(10, draw, leave(cancel));
        buttons.setAlignment(Pos.CENTER_LEFT);
        setLeft(new VBox(12, questions, trouble, buttons));
        setCenter(why());
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        start.wishProperty().addListener((any, before, wish) -> show());
        show();
    }

    /** All questions, one below the other. */
    private void ask() {
        TextField first = text(0, "Name of the sheet", "start-name", "New starter", start::name);
        sceneProperty()
                .addListener((any, before, scene) -> Platform.runLater(() -> {
                    first.requestFocus();
                    first.selectAll();
                }));
        text(1, "What the motor drives", "start-driven", "Motor", start::driven);
        text(
                2,
                "Power of the motor",
                "start-power",
                start.wishProperty().get().motor().power(),
                start::power);
        row(3, "What feeds it?", supply());
        row(4, "Symbols and tags of the job", practice());
        row(5, "Started and stopped from how many places?", stations());
        row(6, "Which lamps are on the door?", lamps());
        int row = 7;
        for (Question question : Question.all()) {
            row(row, question.words(), answers(question));
            row++;
        }
    }

    private Node stations() {
        ChoiceBox<Integer> stations = new ChoiceBox<>();
        stations.setId("start-stations");
        stations.getItems().addAll(1, 2, 3, 4);
        stations.setValue(1);
        stations.setOnAction(event -> start.stations(stations.getValue()));
        return stations;
    }

    private Node supply() {
        supply.setId("start-supply");
        supply.setPrefWidth(SUPPLY);
        supply.setConverter(words());
        supply.setOnAction(event -> say(() -> start.supply(supply.getValue())));
        return supply;
    }

    private Node practice() {
        ChoiceBox<Practice> practice = new ChoiceBox<>();
        practice.setId("start-practice");
        practice.getItems().setAll(Practice.values());
        practice.setConverter(written(Practice::words));
        practice.setValue(start.wishProperty().get().practice());
        practice.setOnAction(event -> start.practice(practice.getValue()));
        return practice;
    }

    private static Button leave(Runnable cancel) {
        Button leave = new Button("Back without drawing  Esc");
        leave.setId("start-cancel");
        leave.setCancelButton(true);
        leave.setOnAction(event -> cancel.run());
        return leave;
    }

    private Node why() {
        DirectScroll why = new DirectScroll(reasons);
        why.setFitToWidth(true);
        why.getStyleClass().add("start-reasons");
        return why;
    }

    /** Enter draws wherever the focus is; Down opens the answers, where the toolkit would go on to the next question as well. */
    private void key(KeyEvent event) {
        if (event.getCode() == KeyCode.ENTER && !(event.getTarget() instanceof Button)) {
            draw.fire();
            event.consume();
        } else if (event.getTarget() instanceof ChoiceBox<?> && event.getCode() == KeyCode.DOWN) {
            event.consume();
        }
    }

    private void row(int row, String words, Node answer) {
        questions.add(new Label(words), 0, row);
        questions.add(answer, 1, row);
    }

    private TextField text(int row, String words, String id, String given, Consumer<String> told) {
        TextField field = new TextField(given);
        field.setId(id);
        field.textProperty().addListener((any, before, text) -> told.accept(text));
        row(row, words, field);
        return field;
    }

    private ChoiceBox<Choice> answers(Question question) {
        ChoiceBox<Choice> box = new ChoiceBox<>();
        box.setId("start-question-" + (boxes.size() + 1));
        box.getItems().addAll(question.answers());
        box.setConverter(words());
        box.setOnAction(event -> say(() -> start.answer(question, box.getValue())));
        boxes.put(question, box);
        return box;
    }

    private Node lamps() {
        FlowPane lamps = new FlowPane(14, 4);
        lamps.setPrefWrapLength(LAMPS);
        for (Lamp lamp : Lamp.values()) {
            CheckBox box = new CheckBox(lamp.words());
            box.setId("start-lamp-" + lamp.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            box.setSelected(start.wishProperty().get().lamps().contains(lamp));
            box.setOnAction(event -> start.lamp(lamp, box.isSelected()));
            lamps.getChildren().add(box);
        }
        return lamps;
    }

    private static <C extends Choice> StringConverter<C> words() {
        return written(Choice::words);
    }

    private static <T> StringConverter<T> written(Function<T, String> words) {
        return new StringConverter<>() {
            @Override
            public String toString(T answer) {
                return answer == null ? "" : words.apply(answer);
            }

            @Override
            public T fromString(String typed) {
                throw new IllegalStateException("answers are chosen, not typed");
            }
        };
    }

    /** Takes an answer over that somebody has given; one that is only shown is none. */
    private void say(Runnable answer) {
        if (!showing) {
            answer.run();
        }
    }

    /** Shows the answers as they stand; what nobody has said is as the practice has it. */
    private void showAnswers() {
        showing = true;
        List<Supply> usual = Supply.in(start.wishProperty().get().practice());
        if (!supply.getItems().equals(usual)) {
            supply.getItems().setAll(usual);
        }
        supply.setValue(start.supply());
        boxes.forEach((question, box) -> box.setValue(start.wishProperty().get().answer(question)));
        showing = false;
    }

    private void show() {
        showAnswers();
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
