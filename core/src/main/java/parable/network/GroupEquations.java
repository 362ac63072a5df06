package parable.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The balance of currents at each group of joined nodes, with the group's own voltage unknown. A group that floats is
 * tied to earth by a leakage far weaker than any load, so that it has one voltage and the equations one answer; one that
 * no load ties to another has its anchor at earth potential.
 */
final class GroupEquations {

    /** The insulation between a floating group and earth: 1 nS, for AC and DC. */
    private static final double[] LEAKAGE_ADMITTANCE = {1e-9, 0, 1e-9};

    private static final double[] LEVEL = {0, 0, 0};

    private final Joints joints;
    private final int[] groups;
    private final int[] anchors;
    private final int earthGroup;
    private final List<Tie> ties = new ArrayList<>();

    /** A load between two groups. */
    private record Tie(int from, int to, double[] admittance) {}

    /**
     * Equations for these groups.
     *
     * @param groups for each node its group
     * @param anchors for each group the node its level is measured at, and through which it leaks to earth
     * @param earthGroup the one group whose level is known: it is anchored at earth
     */
    GroupEquations(Joints joints, int[] groups, int[] anchors, int earthGroup) {
        this.joints = joints;
        this.groups = groups;
        this.anchors = anchors;
        this.earthGroup = earthGroup;
    }

    /** Adds a load; one between nodes of one group changes nothing, its voltage is known already. */
    void add(int from, int to, double[] admittance) {
        if (groups[from] != groups[to]) {
            ties.add(new Tie(from, to, admittance));
        }
    }

    /** The potentials of all nodes against earth: real, imaginary and DC part for each node, in V. */
    double[][] solve() {
        int nodes = groups.length;
        double[][] levels = new double[nodes][3];
        for (List<Tie> island : islands()) {
            solveIsland(island, levels);
        }
        double[][] potentials = new double[nodes][];
        for (int node = 0; node < nodes; node++) {
            double[] level = levels[groups[node]];
            double[] offsets = offsetsOf(node);
            potentials[node] = new double[] {level[0] + offsets[0], level[1] + offsets[1], level[2] + offsets[2]};
        }
        return potentials;
    }

    /** The loads sorted by which of them influence each other through groups of unknown voltage. */
    private List<List<Tie>> islands() {
        int[] parents = new int[groups.length];
        Arrays.setAll(parents, i -> i);
        for (Tie tie : ties) {
            if (groups[tie.from] != earthGroup && groups[tie.to] != earthGroup) {
                parents[root(parents, groups[tie.to])] = root(parents, groups[tie.from]);
            }
        }
        List<List<Tie>> islands = new ArrayList<>();
        int[] islandOf = new int[groups.length];
        Arrays.fill(islandOf, -1);
        for (Tie tie : ties) {
            int unknown = groups[tie.from] != earthGroup ? groups[tie.from] : groups[tie.to];
            int root = root(parents, unknown);
            if (islandOf[root] < 0) {
                islandOf[root] = islands.size();
                islands.add(new ArrayList<>());
            }
            islands.get(islandOf[root]).add(tie);
        }
        return islands;
    }

    private static int root(int[] parents, int of) {
        int at = of;
        while (parents[at] != at) {
            parents[at] = parents[parents[at]];
            at = parents[at];
        }
        return at;
    }

    private void solveIsland(List<Tie> island, double[][] levels) {
        int[] unknowns = island.stream()
                .flatMapToInt(tie -> Arrays.stream(new int[] {groups[tie.from], groups[tie.to]}))
                .filter(group -> group != earthGroup)
                .distinct()
                .toArray();
        CurrentBalance balance = new CurrentBalance(unknowns, groups.length);
        for (int unknown : unknowns) {
            balance.tie(unknown, earthGroup, LEAKAGE_ADMITTANCE, LEVEL);
        }
        for (Tie tie : island) {
            double[] rise = difference(offsetsOf(tie.from), offsetsOf(tie.to));
            balance.tie(groups[tie.from], groups[tie.to], tie.admittance, rise);
        }
        balance.solveInto(levels);
    }

    /** By how much a node is above the anchor of its group. */
    private double[] offsetsOf(int node) {
        int anchor = anchors[groups[node]];
        return new double[] {
            joints.real(node) - joints.real(anchor),
            joints.imaginary(node) - joints.imaginary(anchor),
            joints.direct(node) - joints.direct(anchor)
        };
    }

    private static double[] difference(double[] one, double[] other) {
        return new double[] {one[0] - other[0], one[1] - other[1], one[2] - other[2]};
    }
}
