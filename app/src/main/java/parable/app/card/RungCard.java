package parable.app.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import parable.app.run.RunModel;
import parable.card.Pick;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;

/** The card of a rung: its remark, how it is written, and what is on it. */
final class RungCard extends VBox {

    /** The card of a rung of the running sheet. */
    RungCard(RunModel run, CardDesk desk, Pick.OfRung at) {
        super(6);
        Rung rung = run.assembly().sheet().rungs(at.circuit()).get(at.rung());
        Label title = CardParts.title(
                "Rung " + (at.rung() + 1) + " of the " + at.circuit().words());
        title.setId("card-title");
        List<Node> items = new ArrayList<>();
        for (int i = 0; i < rung.items().size(); i++) {
            if (rung.items().get(i) instanceof RungItem.Passage passage) {
                Place place = new Place(at.circuit(), at.rung(), i);
                items.add(CardParts.link(
                        "card-item-" + i,
                        passage.text() + words(run, passage),
                        "Shows it on the drawing",
                        () -> desk.goTo(place)));
            }
        }
        getChildren()
                .addAll(
                        title,
                        CardParts.line(
                                "Remark",
                                CardParts.field(
                                        "card-remark",
                                        "Remark of the rung",
                                        rung.remark(),
                                        typed -> {
                                            desk.remark(at, typed);
                                            return Optional.empty();
                                        },
                                        words -> {})),
                        CardParts.section("On it, from the line to the return", items),
                        CardParts.section("Typed", List.of(CardParts.words(rung.text()))));
    }

    private static String words(RunModel run, RungItem.Passage passage) {
        return run.assembly()
                .part(passage.tag())
                .map(part -> "  "
                        + (part.device().label().isEmpty()
                                ? part.family().words()
                                : part.device().label()))
                .orElse("");
    }
}
