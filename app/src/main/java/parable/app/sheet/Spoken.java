package parable.app.sheet;

import java.util.List;
import java.util.Optional;
import parable.app.desk.Selection;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Part;

/**
 * The drawing in words, for those who cannot see it.
 *
 * @param run the sheet that is drawn, and its instant
 */
record Spoken(RunModel run) {

    /** What is selected, and if that is one thing, how it is at this instant. */
    String selected(Selection selection) {
        return selection.words()
                + selection
                        .stretchProperty()
                        .get()
                        .filter(stretch -> stretch.first().item() == stretch.last())
                        .flatMap(stretch -> stateAt(stretch.at()))
                        .map(state -> ", now " + state)
                        .orElse("");
    }

    private Optional<String> stateAt(Place place) {
        List<Rung> rungs = run.assembly().sheet().rungs(place.circuit());
        boolean there = place.rung() < rungs.size()
                && place.item() < rungs.get(place.rung()).items().size();
        if (!there || !(rungs.get(place.rung()).items().get(place.item()) instanceof RungItem.Passage passage)) {
            return Optional.empty();
        }
        Part part = run.assembly().part(passage.tag()).orElseThrow();
        Moment moment = run.shownProperty().get();
        return part.contactBetween(passage.from(), passage.to())
                .map(contact -> moment.closed(part.tag(), contact) ? "closed" : "open")
                .or(() -> part.loadBetween(passage.from(), passage.to())
                        .map(load -> moment.energised(part.tag(), load) ? "energised" : "not energised"));
    }
}
