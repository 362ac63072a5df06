package parable.app.card;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.Hint;

/** The parts that cards are made of. */
final class CardParts {

    private static final double NAMES = 118;

    private CardParts() {}

    static Label title(String words) {
        return styled(new Label(words), "card-title");
    }

    static Label words(String words) {
        Label label = styled(new Label(words), "card-words");
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** A part of a card under a heading. */
    static VBox section(String heading, List<? extends Node> lines) {
        VBox section = new VBox(3, styled(new Label(heading), "card-heading"));
        section.getChildren().addAll(lines);
        section.getStyleClass().add("card-section");
        return section;
    }

    /** A name and what stands beside it. */
    static HBox line(String name, Node value) {
        Label label = styled(new Label(name), "card-name");
        label.setMinWidth(NAMES);
        label.setPrefWidth(NAMES);
        label.setLabelFor(value);
        HBox line = new HBox(4, label, value);
        line.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(value, Priority.ALWAYS);
        return line;
    }

    /** A quiet button that leads somewhere. */
    static Button link(String id, String words, String hint, Runnable action) {
        Button link = new Button(words);
        link.setId(id);
        link.getStyleClass().add("card-link");
        Hint.on(link, hint);
        link.setOnAction(event -> action.run());
        return link;
    }

    /**
     * A field that takes what is typed by Enter or by leaving it; what is there is selected, to be typed over. What cannot be stays to be mended, with the reason told.
     *
     * @param take takes what was typed; returns why not
     * @param tell takes the reason, empty if there is none
     */
    static TextField field(
            String id, String accessible, String text, Function<String, Optional<String>> take, Consumer<String> tell) {
        TextField field = new TextField(text);
        field.setId(id);
        field.setAccessibleText(accessible);
        field.getStyleClass().add("card-field");
        Runnable taking = () -> {
            if (!field.getText().equals(text)) {
                tell.accept(take.apply(field.getText()).orElse(""));
            }
        };
        field.setOnAction(event -> taking.run());
        field.focusedProperty().addListener((any, had, has) -> {
            if (has) {
                Platform.runLater(field::selectAll);
            } else if (field.getScene() != null) {
                taking.run();
            }
        });
        return field;
    }

    private static Label styled(Label label, String style) {
        label.getStyleClass().add(style);
        return label;
    }
}
