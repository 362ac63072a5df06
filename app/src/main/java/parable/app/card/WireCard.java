package parable.app.card;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.card.Pick;
import parable.card.WireFacts;
import parable.circuit.Terminal;

/** The card of a wire number: how it is, and every terminal on it. */
final class WireCard extends VBox {

    private final RunModel run;
    private final CardModel model;
    private final String number;
    private final Label state = CardParts.words("");
    private final VBox terminals = new VBox(2);

    /** The card of a wire number of the running sheet. */
    WireCard(RunModel run, CardModel model, String number) {
        super(6);
        this.run = run;
        this.model = model;
        this.number = number;
        Label title = CardParts.title("Wire " + number);
        title.setId("card-title");
        state.setId("card-state");
        getChildren().addAll(title, state, CardParts.section("On it are", List.of(terminals)));
        WireFacts.of(run.assembly(), run.shownProperty().get(), number)
                .ifPresent(facts -> facts.terminals().forEach(this::add));
        show();
    }

    private void add(Terminal terminal) {
        String words = run.assembly()
                .part(terminal.tag())
                .map(part -> part.device().label().isEmpty()
                        ? part.family().words()
                        : part.device().label())
                .orElse("");
        terminals
                .getChildren()
                .add(CardParts.link(
                        "card-on-" + terminal.tag() + "-" + terminal.marking(),
                        terminal.tag() + " " + terminal.marking() + (words.isEmpty() ? "" : "  " + words),
                        "Shows the card of " + terminal.tag(),
                        () -> model.select(new Pick.OfDevice(terminal.tag()))));
    }

    /** Shows the wire as it is at the instant that is looked at. */
    void show() {
        Moment moment = run.shownProperty().get();
        if (moment.assembly() == run.assembly()) {
            WireFacts.of(run.assembly(), moment, number)
                    .ifPresent(facts -> state.setText("It is " + facts.state().words() + "."));
        }
    }
}
