package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Short circuits through the diodes of converters that give no voltage of their own: a rectifier without input, a DC supply that is off. Two
 * points of which the first is ever above the second, joined by copper and diodes that all point from the first to the second, are a dead
 * short for as long as that lasts: for half of every cycle with alternating voltage.
 */
final class DiodeShorts {

    private static final List<Integer> NONE = List.of();

    private DiodeShorts() {}

    /**
     * The diodes that close a short circuit, one for each, by their positions among all branches.
     *
     * @param groups for each node the node that stands for its group, within which levels compare
     * @param levels the level of each node
     */
    static List<Integer> closing(
            Network network, CompiledBranches branches, Switching switching, int[] groups, Levels levels) {
        if (branches.diodeFrom().length == 0) {
            return NONE;
        }
        List<Integer> idle = new ArrayList<>();
        for (int d = 0; d < branches.diodeFrom().length; d++) {
            if (!switching.on().get(branches.diodeSource()[d])) {
                idle.add(d);
            }
        }
        if (idle.isEmpty()) {
            return NONE;
        }
        Clusters clusters = Clusters.of(branches, switching.closed());
        List<Integer> closing = new ArrayList<>();
        for (int first : idle) {
            int anode = branches.diodeFrom()[first];
            BitSet reached = reached(clusters.of(branches.diodeTo()[first]), idle, branches, clusters);
            boolean shorts =
                    reached.stream().anyMatch(end -> groups[end] == groups[anode] && isEverAbove(anode, end, levels));
            if (shorts) {
                closing.add(network.contactCount() + network.sourceCount() + network.loadCount() + first);
            }
        }
        return closing;
    }

    private static BitSet reached(int start, List<Integer> idle, CompiledBranches branches, Clusters clusters) {
        BitSet reached = new BitSet();
        reached.set(start);
        boolean more = true;
        while (more) {
            more = false;
            for (int d : idle) {
                int to = clusters.of(branches.diodeTo()[d]);
                if (reached.get(clusters.of(branches.diodeFrom()[d])) && !reached.get(to)) {
                    reached.set(to);
                    more = true;
                }
            }
        }
        return reached;
    }

    private static boolean isEverAbove(int one, int other, Levels levels) {
        double alternating =
                Math.hypot(levels.real(one) - levels.real(other), levels.imaginary(one) - levels.imaginary(other));
        double direct = levels.direct(one) - levels.direct(other);
        return direct + Math.sqrt(2) * alternating > Joints.SAME;
    }
}
