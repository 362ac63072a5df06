package parable.app.program;

import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.Hint;
import parable.app.look.WhileShown;
import parable.desk.ProgramLine;
import parable.desk.ProgramStroke;

/** The line in which a program is typed, and what is done with it. */
final class ProgramDesk extends VBox {

    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final ProgramModel model;
    private final TextField line = new TextField();
    private final Label selected = new Label();
    private final Label preview = new Label();

    ProgramDesk(JobModel jobs, ProgramModel model) {
        super(4);
        this.model = model;
        getStyleClass().add("desk");
        writeLine();
        selected.getStyleClass().add("plate-name");
        preview.setId("program-preview");
        preview.setWrapText(true);
        preview.getStyleClass().add("preview");
        getChildren().addAll(selected, actions(), line, preview);
        model.lineProperty().addListener((any, before, now) -> show());
        model.selectedProperty().addListener((any, before, now) -> show());
        model.troubleProperty().addListener((any, before, now) -> show());
        WhileShown.follow(this, this::show, jobs.jobProperty());
        show();
    }

    /** What is done with the line, and with what is selected. */
    private FlowPane actions() {
        FlowPane actions = new FlowPane(4, 4);
        ToggleGroup group = new ToggleGroup();
        int key = 1;
        for (ProgramStroke way : ProgramStroke.values()) {
            ToggleButton button = new ToggleButton(way.words() + "  Ctrl+" + key);
            button.setId("program-" + way.name().toLowerCase(Locale.ROOT));
            button.getStyleClass().add("latch");
            button.setToggleGroup(group);
            Hint.on(button, "What is typed goes there: " + way.help());
            button.setOnAction(event -> choose(way));
            button.setSelected(way == model.wayProperty().get());
            model.wayProperty().addListener((any, before, now) -> button.setSelected(now == way));
            actions.getChildren().add(button);
            key++;
        }
        actions.getChildren()
                .addAll(
                        action("program-take", "Take away  Delete", model::take),
                        action("program-invert", "Open \u2194 closed  Ctrl+6", model::invert),
                        action("program-up", "Network up  Ctrl+Up", () -> model.move(-1)),
                        action("program-down", "down  Ctrl+Down", () -> model.move(1)));
        return actions;
    }

    private void writeLine() {
        line.setId("program-line");
        line.setAccessibleText("The statement, contact or variable to be typed");
        line.textProperty().bindBidirectional(model.lineProperty());
        line.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                model.commit();
                event.consume();
            }
        });
    }

    private static Button action(String id, String words, Runnable action) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add("latch");
        button.setOnAction(event -> action.run());
        return button;
    }

    /** Chooses what the next line does, and puts the cursor into it. */
    void choose(ProgramStroke way) {
        model.choose(way);
        line.requestFocus();
        line.end();
    }

    boolean isTyping() {
        return line.isFocused();
    }

    private void show() {
        selected.setText(model.words());
        ProgramLine.Result seen = model.preview();
        boolean refused =
                seen.program().isEmpty() && !model.lineProperty().get().isBlank();
        preview.setText(
                model.troubleProperty().get().isEmpty()
                        ? seen.words()
                        : model.troubleProperty().get());
        preview.pseudoClassStateChanged(REFUSED, refused);
    }
}
