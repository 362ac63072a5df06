package parable.app;

import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import parable.app.look.ActionButton;

/** What there is to tell, on a slip over the lower edge of what is shown; it moves nothing. */
final class MessageSlip extends HBox {

    private final Label words = new Label();
    private final HBox answers = new HBox(8);
    private final ActionButton done;
    private String waiting = "";

    /**
     * An empty slip.
     *
     * @param acknowledge called when the message is put away
     */
    MessageSlip(Runnable acknowledge) {
        super(12);
        done = new ActionButton("notice-done", "Put away", "Esc", () -> {
            acknowledge.run();
            tell("");
        });
        words.setId("notice");
        words.setWrapText(true);
        words.setMaxWidth(Double.MAX_VALUE);
        words.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(words, Priority.ALWAYS);
        getChildren().addAll(words, answers, done);
        answers.setMinWidth(USE_PREF_SIZE);
        done.setMinWidth(USE_PREF_SIZE);
        getStyleClass().add("message-slip");
        setAlignment(Pos.CENTER_LEFT);
        setMaxHeight(USE_PREF_SIZE);
        tell("");
    }

    /** Tells something in the place of what was told before; nothing if empty. While a question is open it waits. */
    void tell(String message) {
        if (answers.getChildren().isEmpty()) {
            show(message);
        } else {
            waiting = message;
        }
    }

    private void show(String message) {
        words.setText(message);
        setVisible(!message.isEmpty());
        done.setVisible(answers.getChildren().isEmpty());
        done.setManaged(done.isVisible());
    }

    /** Puts away what is told, as its button does; returns whether there was anything that can be put away. */
    boolean putAway() {
        boolean there = isVisible() && done.isVisible();
        if (there) {
            done.fire();
        }
        return there;
    }

    /**
     * A way to answer.
     *
     * @param id by which its button can be found in the window
     */
    record Answer(String id, String words, Runnable action) {}

    /** Asks something that need not be answered at once. */
    void offer(String question, Answer... ways) {
        answers.getChildren()
                .setAll(Stream.of(ways)
                        .map(way -> new ActionButton(way.id(), way.words(), question, () -> answer(way.action())))
                        .toList());
        show(question);
    }

    /** Takes the question back, if one is open. */
    void withdraw() {
        if (!answers.getChildren().isEmpty()) {
            answer(() -> {});
        }
    }

    private void answer(Runnable action) {
        String told = waiting;
        waiting = "";
        answers.getChildren().clear();
        show(told);
        action.run();
    }
}
