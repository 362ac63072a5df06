package parable.draw;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.circuit.RungItem;

/**
 * Settles in which direction each rung is drawn. A rung that runs against the others, as one that leads from a later
 * node back to an earlier, is drawn the other way round; one that contradicts them both ways keeps only its first node in
 * line with theirs.
 */
final class LaneOrder {

    /**
     * An item of a rung with what it is in the layout; nodes that only this rung uses are not in the layout.
     *
     * @param index its position on the rung
     * @param reversed whether the rung is drawn the other way round
     */
    record Placed(RungItem item, int index, List<LaneLayout.Item> inLayout, boolean reversed) {}

    private final Map<LaneLayout.Item, Set<LaneLayout.Item>> after = new HashMap<>();
    private final Set<LaneLayout.Item> afterAny = new HashSet<>();

    /** Below all that the diagrams give. */
    private int lastAlone;

    /** The rung in the direction in which it fits those settled before. */
    List<Placed> settle(List<Placed> rung) {
        return fits(rung) ? rung : settleBackwards(rung);
    }

    private List<Placed> settleBackwards(List<Placed> rung) {
        List<Placed> backwards = backwards(rung);
        return fits(backwards) ? backwards : detached(rung);
    }

    private static List<Placed> backwards(List<Placed> rung) {
        List<Placed> backwards = new ArrayList<>();
        for (int i = rung.size() - 1; i >= 0; i--) {
            Placed placed = rung.get(i);
            backwards.add(new Placed(placed.item, placed.index, placed.inLayout, true));
        }
        return backwards;
    }

    /** What of a rung is in the layout, in its order. */
    static List<LaneLayout.Item> items(List<Placed> rung) {
        List<LaneLayout.Item> items = new ArrayList<>(rung.size());
        for (Placed placed : rung) {
            items.addAll(placed.inLayout);
        }
        return items;
    }

    /** What of a rung may be on others as well, in its order. */
    private static List<LaneLayout.Item> shared(List<Placed> rung) {
        List<LaneLayout.Item> shared = new ArrayList<>(rung.size());
        for (Placed placed : rung) {
            for (LaneLayout.Item item : placed.inLayout) {
                if (item.shared()) {
                    shared.add(item);
                }
            }
        }
        return shared;
    }

    /** Whether a rung agrees with those settled before; if it does, it is settled. */
    private boolean fits(List<Placed> rung) {
        List<LaneLayout.Item> items = shared(rung);
        for (int i = 0; i < items.size(); i++) {
            for (int j = i + 1; j < items.size(); j++) {
                if (items.get(i).equals(items.get(j)) || leads(items.get(j), items.get(i))) {
                    return false;
                }
            }
        }
        addOrder(items);
        return true;
    }

    private boolean leads(LaneLayout.Item from, LaneLayout.Item to) {
        if (!afterAny.contains(to) || !after.containsKey(from)) {
            return false;
        }
        Set<LaneLayout.Item> seen = new HashSet<>();
        List<LaneLayout.Item> waiting = new ArrayList<>(List.of(from));
        while (!waiting.isEmpty()) {
            LaneLayout.Item item = waiting.remove(waiting.size() - 1);
            if (item.equals(to)) {
                return true;
            }
            if (seen.add(item)) {
                waiting.addAll(after.getOrDefault(item, Collections.emptySet()));
            }
        }
        return false;
    }

    private void addOrder(List<LaneLayout.Item> items) {
        for (int i = 0; i + 1 < items.size(); i++) {
            after.computeIfAbsent(items.get(i), any -> new HashSet<>(2)).add(items.get(i + 1));
            afterAny.add(items.get(i + 1));
        }
    }

    /** The rung with only its first node in line with those settled before. */
    List<Placed> detached(List<Placed> rung) {
        List<Placed> detached = new ArrayList<>();
        for (int i = 0; i < rung.size(); i++) {
            Placed placed = rung.get(i);
            detached.add(new Placed(placed.item, placed.index, i == 0 ? placed.inLayout : alone(placed), false));
        }
        addOrder(shared(detached));
        return detached;
    }

    private List<LaneLayout.Item> alone(Placed placed) {
        return placed.item instanceof RungItem.NamedPoint
                ? List.of()
                : List.of(new LaneLayout.DeviceItem(new LaneLayout.Alone(--lastAlone)));
    }
}
