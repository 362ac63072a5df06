package parable.testsheet;

import java.util.List;
import java.util.Optional;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Assembly;
import parable.parts.CurrentKind;

/** How the probe of a meter is taken along the rungs of a sheet. */
public final class ProbedRungs {

    private final Assembly assembly;

    /** The rungs of a sheet. */
    public ProbedRungs(Assembly assembly) {
        this.assembly = assembly;
    }

    /** Whether anything on a rung is made for direct voltage; what a relay's coil is made for says nothing of its contacts. */
    public boolean isDirect(Rung rung) {
        return rung.items().stream()
                .filter(RungItem.Passage.class::isInstance)
                .map(RungItem.Passage.class::cast)
                .flatMap(passage -> assembly.part(passage.tag()).stream()
                        .flatMap(part -> part.loadBetween(passage.from(), passage.to()).stream()
                                .map(load -> part.loads().get(load))))
                .anyMatch(load -> load.rated().kind() == CurrentKind.DC);
    }

    /** Where the other probe is parked: the wire number of the rail that a rung ends on, of the last rail if it ends on none; empty without rails. */
    public Optional<String> returnOf(Rung rung) {
        List<Rail> rails = assembly.sheet().rails();
        List<RungItem> items = rung.items();
        if (!items.isEmpty() && items.get(items.size() - 1) instanceof RungItem.NamedPoint point) {
            Optional<Rail> ends = rails.stream()
                    .filter(rail -> rail.name().equals(point.name()))
                    .findFirst();
            if (ends.isPresent()) {
                return ends.map(Rail::number);
            }
        }
        return rails.isEmpty()
                ? Optional.empty()
                : Optional.of(rails.get(rails.size() - 1).number());
    }
}
