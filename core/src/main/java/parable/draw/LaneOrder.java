package parable.draw;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
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
    private final Successors after = new Successors();
    private final BitSet comesAfterAny = new BitSet();

    /** What a search has been to, and where it has still to go; kept because there are so many. */
    private final Set<Integer> seen = new HashSet<>();

    private final List<Integer> waiting = new ArrayList<>();

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
        if (!comesAfterAny.get(to.id()) || !after.has(from.id())) {
            return false;
        }
        seen.clear();
        waiting.clear();
        waiting.add(from.id());
        while (!waiting.isEmpty()) {
            int item = waiting.remove(waiting.size() - 1);
            if (item == to.id()) {
                return true;
            }
            if (seen.add(item)) {
                after.addTo(waiting, item);
            }
        }
        return false;
    }

    private void addOrder(List<LaneItem> items) {
        for (int i = 0; i + 1 < items.size(); i++) {
            after.add(items.get(i).id(), items.get(i + 1).id());
            comesAfterAny.set(items.get(i + 1).id());
        }
    }

    /** What comes next after each item, as chains in arrays. */
    private static final class Successors {
        private static final int NONE = -1;

        private int[] last = new int[0];
        private int[] item = new int[16];
        private int[] before = new int[16];
        private int count;

        boolean has(int id) {
            return id < last.length && last[id] != NONE;
        }

        void add(int id, int next) {
            if (id >= last.length) {
                int known = last.length;
                last = Arrays.copyOf(last, Math.max(16, 2 * id + 1));
                Arrays.fill(last, known, last.length, NONE);
            }
            if (last[id] != NONE && item[last[id]] == next) {
                return;
            }
            if (count == item.length) {
                item = Arrays.copyOf(item, 2 * count);
                before = Arrays.copyOf(before, 2 * count);
            }
            item[count] = next;
            before[count] = last[id];
            last[id] = count++;
        }

        void addTo(List<Integer> all, int id) {
            for (int at = has(id) ? last[id] : NONE; at != NONE; at = before[at]) {
                all.add(item[at]);
            }
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
