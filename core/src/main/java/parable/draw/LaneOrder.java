package parable.draw;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import parable.circuit.RungItem;

/**
 * Settles in which direction each rung is drawn. A rung that runs against the others, as one that leads from a later
 * node back to an earlier, is drawn the other way round; one that contradicts them both ways keeps only its first node in
 * line with theirs.
 */
final class LaneOrder {

    /**
     * An item of a rung with what it is in the layout; nodes that only this rung uses are not in the layout, and so empty.
     *
     * @param index its position on the rung
     * @param reversed whether the rung is drawn the other way round
     */
    record Placed(RungItem item, int index, Optional<LaneItem> inLayout, boolean reversed) {}

    private final LaneItems all;
    private final Map<LaneItem, Set<LaneItem>> after = new HashMap<>();
    private final Set<LaneItem> afterAny = new HashSet<>();

    /** An order in which nothing is settled. */
    LaneOrder(LaneItems all) {
        this.all = all;
    }

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

    /** What of a rung may be on others as well, in its order. */
    private static List<LaneItem> shared(List<Placed> rung) {
        List<LaneItem> shared = new ArrayList<>(rung.size());
        for (Placed placed : rung) {
            if (placed.inLayout.isPresent() && placed.inLayout.get().isShared()) {
                shared.add(placed.inLayout.get());
            }
        }
        return shared;
    }

    /** Whether a rung agrees with those settled before; if it does, it is settled. */
    private boolean fits(List<Placed> rung) {
        List<LaneItem> items = shared(rung);
        for (int i = 0; i < items.size(); i++) {
            for (int j = i + 1; j < items.size(); j++) {
                if (items.get(i) == items.get(j) || leads(items.get(j), items.get(i))) {
                    return false;
                }
            }
        }
        addOrder(items);
        return true;
    }

    private boolean leads(LaneItem from, LaneItem to) {
        if (!afterAny.contains(to) || !after.containsKey(from)) {
            return false;
        }
        Set<LaneItem> seen = new HashSet<>();
        List<LaneItem> waiting = new ArrayList<>(List.of(from));
        while (!waiting.isEmpty()) {
            LaneItem item = waiting.remove(waiting.size() - 1);
            if (item.equals(to)) {
                return true;
            }
            if (seen.add(item)) {
                waiting.addAll(after.getOrDefault(item, Collections.emptySet()));
            }
        }
        return false;
    }

    private void addOrder(List<LaneItem> items) {
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

    private Optional<LaneItem> alone(Placed placed) {
        return placed.item instanceof RungItem.NamedPoint ? Optional.empty() : Optional.of(all.alone());
    }
}
