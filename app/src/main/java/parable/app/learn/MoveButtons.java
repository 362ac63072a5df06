package parable.app.learn;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.training.Exercise;
import parable.training.MoveOffer;

/** The moves of a task as buttons, with two places that are filled by pointing at the drawing, or typed. */
final class MoveButtons extends VBox {

    private final LearnModel model;
    private final TextField one = place("learn-one", "red probe, or from");
    private final TextField other = place("learn-other", "black probe, or to");
    private final ComboBox<String> fault = new ComboBox<>();
    private final HBox places;
    private boolean otherNext;

    MoveButtons(LearnModel model) {
        super(6);
        this.model = model;
        fault.setId("learn-fault");
        fault.setAccessibleText("What is wrong there");
        fault.setPromptText("what is wrong there");
        fault.setMaxWidth(Double.MAX_VALUE);
        places = new HBox(6, one, other);
        places.setAlignment(Pos.CENTER_LEFT);
        one.textProperty().addListener((any, before, now) -> offerFaults());
    }

    private static TextField place(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        HBox.setHgrow(field, Priority.ALWAYS);
        field.setPrefColumnCount(8);
        return field;
    }

    /** Shows the moves of a task. */
    void show(Exercise exercise) {
        one.clear();
        other.clear();
        getChildren().clear();
        List<MoveOffer> offers = exercise.offers();
        if (offers.stream().anyMatch(offer -> offer.places() > 0 || offer.asksForFault())) {
            getChildren()
                    .addAll(
                            heading(
                                    "Where: click a wire or device of the drawing, a terminal of the panel, or type K1:A1"),
                            places);
        }
        other.setVisible(offers.stream().anyMatch(offer -> offer.places() > 1));
        Map<String, FlowPane> groups = new LinkedHashMap<>();
        for (MoveOffer offer : offers) {
            FlowPane group = groups.get(offer.group());
            if (group == null) {
                group = new FlowPane(4, 4);
                groups.put(offer.group(), group);
                getChildren().addAll(heading(offer.group()), group);
            }
            if (offer.asksForFault()) {
                getChildren().add(getChildren().size() - 1, fault);
            }
            group.getChildren().add(button(offer));
        }
    }

    private static Label heading(String words) {
        Label heading = new Label(words);
        heading.setWrapText(true);
        heading.setMinHeight(Region.USE_PREF_SIZE);
        heading.getStyleClass().add("symptom-name");
        return heading;
    }

    private Node button(MoveOffer offer) {
        Button button = new Button(offer.words());
        button.setId("move-" + offer.move().replaceAll("[^A-Za-z0-9]+", "-"));
        button.getStyleClass().add("symptom-choice");
        button.setOnAction(event -> model.move(offer.at(
                one.getText().strip(), other.getText().strip(), fault.getValue() == null ? "" : fault.getValue())));
        return button;
    }

    private void offerFaults() {
        model.workProperty()
                .get()
                .ifPresent(work -> fault.setItems(
                        FXCollections.observableArrayList(work.exercise().faultsOf(one.getText()))));
    }

    /** Somebody pointed at a terminal or a device of the panel. */
    void putPlace(String place) {
        if (place.indexOf(':') > 0) {
            put(place);
        } else {
            putDevice(place);
        }
    }

    /** Somebody pointed at a wire or a terminal: it goes into the one place, then into the other. */
    void put(String place) {
        (otherNext && other.isVisible() ? other : one).setText(place);
        otherNext = !otherNext;
    }

    /** Somebody pointed at a device: what is done there goes into the first place. */
    void putDevice(String tag) {
        one.setText(tag);
        otherNext = false;
    }
}
