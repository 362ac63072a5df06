package parable.draw;

import java.util.Arrays;
import java.util.List;
import parable.circuit.DisjointSets;
import parable.circuit.Rung;
import parable.circuit.RungItem;

/**
 * The parts of a ladder, one below the other, each with rails of its own: where the supply changes from one rung to the next a part ends, unless a wire leads on
 * into a later one. So no rung is drawn through the rails of another supply.
 */
final class LadderParts {

    private static final int NONE = -1;

    private final int[] parts;

    private LadderParts(int[] parts) {
        this.parts = parts;
    }

    /** The parts of the ladder of a sheet. */
    static LadderParts of(LanePlan ladder) {
        List<Rung> rungs = ladder.rungs;
        int nodes = ladder.assembly.nodes().all().size();
        DisjointSets supply = new DisjointSets(rungs.size());
        int[] groupOf = new int[nodes];
        Arrays.fill(groupOf, NONE);
        int[] lastRungOn = new int[nodes];
        for (int rung = 0; rung < rungs.size(); rung++) {
            List<RungItem> items = rungs.get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                if (items.get(item) instanceof RungItem.NamedPoint point) {
                    int node = ladder.nodeAlong(rung, item);
                    if (groupOf[node] == NONE) {
                        groupOf[node] = rung;
                    } else {
                        supply.join(groupOf[node], rung);
                    }
                    lastRungOn[node] = point.rail() ? lastRungOn[node] : rung;
                }
            }
        }
        return new LadderParts(parts(ladder, supply, lastRungOn));
    }

    private static int[] parts(LanePlan ladder, DisjointSets supply, int[] lastRungOn) {
        int[] parts = new int[ladder.rungs.size()];
        int openUntil = 0;
        for (int rung = 0; rung < parts.length; rung++) {
            boolean another = rung > 0 && !supply.areJoined(rung, rung - 1) && openUntil < rung;
            parts[rung] = rung == 0 ? 0 : parts[rung - 1] + (another ? 1 : 0);
            List<RungItem> items = ladder.rungs.get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                if (items.get(item) instanceof RungItem.NamedPoint) {
                    openUntil = Math.max(openUntil, lastRungOn[ladder.nodeAlong(rung, item)]);
                }
            }
        }
        return parts;
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
