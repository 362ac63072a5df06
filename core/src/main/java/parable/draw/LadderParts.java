package parable.draw;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import parable.circuit.DisjointSets;
import parable.circuit.Rung;
import parable.circuit.RungItem;

/**
 * The parts of a ladder, one below the other, each with rails of its own: where the supply changes from one rung to the next a part ends, unless a wire leads on
 * into a later one. So no rung is drawn through the rails of another supply.
 */
final class LadderParts {

    private final int[] parts;

    private LadderParts(int[] parts) {
        this.parts = parts;
    }

    /**
     * The parts of a ladder.
     *
     * @param node the node that a point of a rung is on
     */
    static LadderParts of(List<Rung> rungs, ToIntFunction<RungItem.NamedPoint> node) {
        DisjointSets supply = new DisjointSets(rungs.size());
        Map<Integer, Integer> groupOf = new HashMap<>();
        Map<Integer, Integer> lastRungOn = new HashMap<>();
        int[][] nodes = new int[rungs.size()][];
        for (int rung = 0; rung < rungs.size(); rung++) {
            int here = rung;
            nodes[rung] = rungs.get(rung).points().mapToInt(node).toArray();
            rungs.get(rung)
                    .points()
                    .filter(point -> !point.rail())
                    .forEach(point -> lastRungOn.put(node.applyAsInt(point), here));
            for (int one : nodes[rung]) {
                Integer before = groupOf.putIfAbsent(one, here);
                if (before != null) {
                    supply.join(before, here);
                }
            }
        }
        int[] parts = new int[rungs.size()];
        int openUntil = 0;
        for (int rung = 0; rung < parts.length; rung++) {
            boolean another = rung > 0 && !supply.areJoined(rung, rung - 1) && openUntil < rung;
            parts[rung] = rung == 0 ? 0 : parts[rung - 1] + (another ? 1 : 0);
            for (int one : nodes[rung]) {
                openUntil = Math.max(openUntil, lastRungOn.getOrDefault(one, 0));
            }
        }
        return new LadderParts(parts);
    }

    /** The part that a rung is in, 0 for the first. */
    int of(int rung) {
        return parts[rung];
    }

    /** How many parts there are; 0 for a ladder without rungs. */
    int count() {
        return parts.length == 0 ? 0 : parts[parts.length - 1] + 1;
    }

    /** Whether a part other than the first begins with this rung. */
    boolean beginsWith(int rung) {
        return rung > 0 && parts[rung] != parts[rung - 1];
    }
}
