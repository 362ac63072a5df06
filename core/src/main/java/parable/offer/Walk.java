package parable.offer;

import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Assembly;

/**
 * The way along a rung on which one draws it.
 *
 * @param assembly the sheet
 * @param rung the position of the rung in the ladder
 */
record Walk(Assembly assembly, int rung) {

    /** Before the load as long as nothing starts it; then around what starts it; empty if something is there, or there is no load. */
    Optional<Spot> next() {
        List<RungItem> items = assembly.sheet().control().get(rung).items();
        RungView view = new RungView(assembly, rung);
        int start = -1;
        int load = -1;
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof RungItem.Passage passage) {
                start = view.isStart(i) ? i : start;
                load = RungView.isLoad(assembly, passage) ? i : load;
            }
        }
        if (start >= 0 && !isBridged(items, start)) {
            return Optional.of(new Spot.Around(new Place(Circuit.CONTROL, rung, start), start));
        }
        return start < 0 && load > 0
                ? Optional.of(new Spot.InSeries(new Place(Circuit.CONTROL, rung, load), false))
                : Optional.empty();
    }

    /** Whether another rung goes from one side of something to the other. */
    private boolean isBridged(List<RungItem> items, int item) {
        return assembly.sheet().control().stream()
                .map(Rung::items)
                .filter(others -> others != items)
                .anyMatch(others -> others.get(0).equals(items.get(item - 1))
                        && others.get(others.size() - 1).equals(items.get(item + 1)));
    }
}
