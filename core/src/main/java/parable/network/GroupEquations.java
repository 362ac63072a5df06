package parable.network;

import java.util.Arrays;

/**
 * The balance of currents at each group of joined nodes, with the group's own voltage unknown. A group that floats is
 * tied to earth by a leakage far weaker than any load, so that it has one voltage and the equations one answer; one that
 * no load ties to another has its anchor at earth potential. Groups that do not influence each other are solved apart.
 */
final class GroupEquations {

    /** The insulation between a floating group and earth: 1 nS, for AC and DC. */
    private static final double[] LEAKAGE_ADMITTANCE = {1e-9, 0, 1e-9};

    private static final double[] LEVEL = {0, 0, 0};
    private static final int NONE = -1;

    private final Joints joints;
    private final int[] groups;
    private final int[] anchors;
    private final int earthGroup;
    private final int[] tieFrom;
    private final int[] tieTo;
    private final double[][] tieAdmittance;
    private final boolean[] held;
    private final double[] stray;
    private int ties;

    /**
     * Equations for these groups.
     *
     * @param groups for each node its group
     * @param anchors for each group the node its level is measured at, and through which it leaks to earth
     * @param earthGroup the one group whose level is known: it is anchored at earth
     * @param held for each group whether a source is in it
     * @param stray the potential of a group that nothing ties to a source or to earth: real, imaginary and DC part
     * @param loads how many loads may be added
     */
    GroupEquations(
            Joints joints, int[] groups, int[] anchors, int earthGroup, boolean[] held, double[] stray, int loads) {
        this.joints = joints;
        this.groups = groups;
        this.anchors = anchors;
        this.earthGroup = earthGroup;
        this.held = held;
        this.stray = stray;
        tieFrom = new int[loads];
        tieTo = new int[loads];
        tieAdmittance = new double[loads][];
    }

    /** Adds a load; one between nodes of one group changes nothing, its voltage is known already. */
    void add(int from, int to, double[] admittance) {
        if (groups[from] != groups[to]) {
            tieFrom[ties] = from;
            tieTo[ties] = to;
            tieAdmittance[ties] = admittance;
            ties++;
        }
    }

    /** The potentials of all nodes against earth: real, imaginary and DC part for each node, in V. */
    double[][] solve() {
        int nodes = groups.length;
        double[][] levels = new double[nodes][];
        Arrays.fill(levels, LEVEL);
        solveIslands(levels);
        double[][] potentials = new double[nodes][];
        for (int node = 0; node < nodes; node++) {
            double[] level = levels[groups[node]];
            double[] offsets = offsetsOf(node);
            potentials[node] = new double[] {level[0] + offsets[0], level[1] + offsets[1], level[2] + offsets[2]};
        }
        return potentials;
    }

    /** Sorts the loads by which of them influence each other through groups of unknown voltage, and solves each lot. */
    private void solveIslands(double[][] levels) {
        int[] parents = islands();
        int[] first = new int[groups.length];
        int[] last = new int[groups.length];
        int[] next = new int[ties];
        Arrays.fill(first, NONE);
        Arrays.fill(next, NONE);
        for (int t = 0; t < ties; t++) {
            int island = root(parents, unknownEnd(t));
            if (first[island] == NONE) {
                first[island] = t;
            } else {
                next[last[island]] = t;
            }
            last[island] = t;
        }
        int[] row = new int[groups.length];
        Arrays.fill(row, NONE);
        for (int t = 0; t < ties; t++) {
            if (first[root(parents, unknownEnd(t))] == t) {
                solveIsland(t, next, row, levels);
            }
        }
        liftStrays(parents, levels);
    }

    /** What nothing ties to a source or to earth lies in the electric field of its live neighbours in the duct. */
    private void liftStrays(int[] parents, double[][] levels) {
        boolean[] tied = new boolean[groups.length];
        tied[earthGroup] = true;
        for (int t = 0; t < ties; t++) {
            boolean toEarth = groups[tieFrom[t]] == earthGroup || groups[tieTo[t]] == earthGroup;
            tied[root(parents, unknownEnd(t))] |= toEarth;
        }
        for (int group = 0; group < held.length; group++) {
            tied[root(parents, group)] |= held[group];
        }
        for (int node = 0; node < groups.length; node++) {
            if (groups[node] == node && !tied[root(parents, node)]) {
                double[] level = levels[node];
                levels[node] = new double[] {level[0] + stray[0], level[1] + stray[1], level[2] + stray[2]};
            }
        }
    }

    private int[] islands() {
        int[] parents = new int[groups.length];
        for (int i = 0; i < parents.length; i++) {
            parents[i] = i;
        }
        for (int t = 0; t < ties; t++) {
            if (groups[tieFrom[t]] != earthGroup && groups[tieTo[t]] != earthGroup) {
                parents[root(parents, groups[tieTo[t]])] = root(parents, groups[tieFrom[t]]);
            }
        }
        return parents;
    }

    private int unknownEnd(int tie) {
        return groups[tieFrom[tie]] != earthGroup ? groups[tieFrom[tie]] : groups[tieTo[tie]];
    }

    private static int root(int[] parents, int of) {
        int at = of;
        while (parents[at] != at) {
            parents[at] = parents[parents[at]];
            at = parents[at];
        }
        return at;
    }

    private void solveIsland(int firstTie, int[] next, int[] row, double[][] levels) {
        int[] unknowns = new int[ties + 1];
        int count = 0;
        for (int t = firstTie; t != NONE; t = next[t]) {
            count = number(groups[tieFrom[t]], row, unknowns, count);
            count = number(groups[tieTo[t]], row, unknowns, count);
        }
        if (count == 1) {
            levels[unknowns[0]] = single(firstTie, next, unknowns[0]);
        } else {
            CurrentBalance balance = new CurrentBalance(count);
            for (int i = 0; i < count; i++) {
                balance.tie(i, NONE, LEAKAGE_ADMITTANCE, LEVEL);
            }
            for (int t = firstTie; t != NONE; t = next[t]) {
                double[] rise = rise(tieFrom[t], tieTo[t]);
                balance.tie(row[groups[tieFrom[t]]], row[groups[tieTo[t]]], tieAdmittance[t], rise);
            }
            double[][] solved = balance.solve();
            for (int i = 0; i < count; i++) {
                levels[unknowns[i]] = solved[i];
            }
        }
        for (int i = 0; i < count; i++) {
            row[unknowns[i]] = NONE;
        }
    }

    private int number(int group, int[] row, int[] unknowns, int count) {
        if (group == earthGroup || row[group] != NONE) {
            return count;
        }
        row[group] = count;
        unknowns[count] = group;
        return count + 1;
    }

    /** The one group there is, tied to earth alone: the current into it at level zero, over the admittance. */
    private double[] single(int firstTie, int[] next, int group) {
        double conductance = LEAKAGE_ADMITTANCE[0];
        double susceptance = 0;
        double directConductance = LEAKAGE_ADMITTANCE[2];
        double real = 0;
        double imaginary = 0;
        double direct = 0;
        for (int t = firstTie; t != NONE; t = next[t]) {
            boolean outward = groups[tieFrom[t]] == group;
            double[] rise = outward ? rise(tieTo[t], tieFrom[t]) : rise(tieFrom[t], tieTo[t]);
            double[] y = tieAdmittance[t];
            conductance += y[0];
            susceptance += y[1];
            directConductance += y[2];
            real += y[0] * rise[0] - y[1] * rise[1];
            imaginary += y[0] * rise[1] + y[1] * rise[0];
            direct += y[2] * rise[2];
        }
        double square = conductance * conductance + susceptance * susceptance;
        return new double[] {
            (real * conductance + imaginary * susceptance) / square,
            (imaginary * conductance - real * susceptance) / square,
            direct / directConductance
        };
    }

    /** By how much a node is above another when their groups are level. */
    private double[] rise(int one, int other) {
        double[] first = offsetsOf(one);
        double[] second = offsetsOf(other);
        return new double[] {first[0] - second[0], first[1] - second[1], first[2] - second[2]};
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
}
