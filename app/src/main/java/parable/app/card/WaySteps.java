package parable.app.card;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.parts.Contact;
import parable.reason.Why;

/** The contacts of the sentence in its order; what the pointer or the keyboard is on is pointed out on the drawing. */
final class WaySteps extends FlowPane {

    WaySteps(RunModel run, CardModel model, String tag) {
        super(4, 4);
        Moment moment = run.shownProperty().get();
        List<Why.WayStep> steps = new Why(moment).steps(tag);
        for (int i = 0; i < steps.size(); i++) {
            Why.WayStep step = steps.get(i);
            Contact contact =
                    moment.assembly().part(step.tag()).orElseThrow().contacts().get(step.contact());
            List<Terminal> ends =
                    List.of(new Terminal(step.tag(), contact.from()), new Terminal(step.tag(), contact.to()));
            Button button = CardParts.link(
                    "card-way-" + (i + 1),
                    (i + 1) + "  " + step.tag() + " " + contact.marking() + (step.conducts() ? "" : ", open"),
                    "Points it out on the drawing",
                    () -> model.point(ends));
            button.addEventHandler(MouseEvent.MOUSE_ENTERED, event -> model.point(ends));
            button.addEventHandler(MouseEvent.MOUSE_EXITED, event -> model.point(List.of()));
            button.focusedProperty().addListener((any, had, has) -> model.point(has ? ends : List.of()));
            getChildren().add(button);
        }
    }
}
