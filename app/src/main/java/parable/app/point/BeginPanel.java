package parable.app.point;

import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.circuit.Sheet;
import parable.desk.PowerCircuit;
import parable.offer.Spot;

/** What is on a sheet without rungs: the ways to begin. */
final class BeginPanel extends VBox {

    private static final double WIDE = 440;
    private static final double NARROW = 230;

    private final PointModel model;
    private final Runnable questions;

    /**
     * The ways to begin.
     *
     * @param questions opens the page of questions
     */
    BeginPanel(PointModel model, Runnable questions) {
        super(10);
        this.model = model;
        this.questions = questions;
        setId("begin");
        getStyleClass().add("begin");
        setAlignment(Pos.TOP_LEFT);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    }

    /** Shows what can be begun with; nothing on a sheet whose ladder is begun. */
    void show(Sheet sheet) {
        getChildren().clear();
        boolean begun = !sheet.control().isEmpty();
        setVisible(!begun && sheet.rails().size() > 1);
        if (begun) {
            return;
        }
        setPrefWidth(sheet.power().isEmpty() ? WIDE : NARROW);
        if (sheet.power().isEmpty()) {
            getChildren().add(heading("Nothing is drawn yet. Say what the starter is to do, and it is drawn:"));
            getChildren()
                    .add(new ActionButton(
                            "begin-questions",
                            "By questions\u2026",
                            "Asks a few things and proposes a circuit",
                            questions));
            getChildren().add(heading("Or begin with the power circuit:"));
            FlowPane circuits = new FlowPane(6, 6);
            for (PowerCircuit circuit : PowerCircuit.values()) {
                circuits.getChildren()
                        .add(new ActionButton(
                                "begin-"
                                        + circuit.name()
                                                .toLowerCase(Locale.ROOT)
                                                .replace('_', '-'),
                                circuit.words().replace("Power: ", ""),
                                "Draws supply, breaker, contactors, overload and motor",
                                () -> model.drawPower(circuit)));
            }
            getChildren().addAll(circuits, heading("Or with the ladder:"));
        } else {
            getChildren()
                    .add(heading("The ladder is empty. Its first rung begins with what it is for, a coil or a lamp:"));
        }
        ActionButton first =
                new ActionButton("begin-rung", "First rung\u2026", "Space", () -> model.point(new Spot.NewRung(0)));
        getChildren().add(first);
    }

    /** Puts the keyboard on the first way; returns whether any is shown. */
    boolean takeKeyboard() {
        Optional<Node> first = Optional.ofNullable(lookup(".button")).filter(any -> isVisible());
        first.ifPresent(Node::requestFocus);
        return first.isPresent();
    }

    private static Label heading(String words) {
        Label heading = new Label(words);
        heading.setWrapText(true);
        heading.getStyleClass().add("card-words");
        return heading;
    }
}
