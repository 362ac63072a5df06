package parable.network;

import java.util.Arrays;

/**
 * The balance of currents at each group of joined clusters, with the group's own level unknown. Most groups are tied by
 * their loads to earth's group alone and are solved one by one; those that influence each other are solved together. A
 * group is tied to earth by a leakage far weaker than any load besides, so that the equations have one answer.
 */
final class GroupEquations {

    /** The insulation between a group and earth: 1 nS, for AC and DC. */
    private static final double LEAKAGE = 1e-9;

    private static final double[] LEAKAGE_ADMITTANCE = {LEAKAGE, 0, LEAKAGE};
    private static final double[] LEVEL = {0, 0, 0};
    private static final int NONE = -1;

    /** For each group: conductance, susceptance, DC conductance to earth's group; current at level zero, three parts. */
    private static final int SUMS = 6;

    private final int[] groups;
    private final int earth;
    private final Levels offsets;
    private final double[] sums;
    private final int[] between;
    private final CompiledBranches branches;
    private int betweenCount;

    /**
     * Equations for the loads of a network.
     *
     * @param groups for each node the node that stands for its group
     * @param earth the node that stands for earth's group, the one group whose level is known
     * @param offsets for each node its level against the anchor of its group
     */
    GroupEquations(int[] groups, int earth, Levels offsets, CompiledBranches branches) {
        this.groups = groups;
        this.earth = earth;
        this.offsets = offsets;
        this.branches = branches;
        sums = new double[SUMS * groups.length];
        between = new int[branches.loadFrom().length];
    }

    /** Adds a load; one between nodes of one group changes nothing, its voltage is known already. */
    void add(int load) {
        int from = branches.loadFrom()[load];
        int to = branches.loadTo()[load];
        int one = groups[from];
        int other = groups[to];
        if (one == other) {
            return;
        }
        if (one == earth) {
            tieToEarth(other, from, to, branches.loadAdmittance()[load]);
        } else if (other == earth) {
            tieToEarth(one, to, from, branches.loadAdmittance()[load]);
        } else {
            between[betweenCount++] = load;
        }
    }

    private void tieToEarth(int group, int earthEnd, int ownEnd, double[] y) {
        double re = offsets.real()[earthEnd] - offsets.real()[ownEnd];
        double im = offsets.imaginary()[earthEnd] - offsets.imaginary()[ownEnd];
        double dc = offsets.direct()[earthEnd] - offsets.direct()[ownEnd];
        int at = SUMS * group;
        sums[at] += y[0];
        sums[at + 1] += y[1];
        sums[at + 2] += y[2];
        sums[at + 3] += y[0] * re - y[1] * im;
        sums[at + 4] += y[0] * im + y[1] * re;
        sums[at + 5] += y[2] * dc;
    }

    /** Whether a load ties a group to earth's. */
    private boolean isTiedToEarth(int group) {
        return sums[SUMS * group] > 0;
    }

    /**
     * Writes the level of each group's anchor to the place of the node that stands for the group.
     *
     * @param held for each node that stands for a group whether a source holds it, if only by its winding
     * @param stray the level of a group that nothing ties to a source or to earth: real, imaginary and DC part
     */
    void solve(Levels levels, boolean[] held, double[] stray) {
        for (int group = 0; group < groups.length; group++) {
            if (groups[group] == group && group != earth) {
                if (isTiedToEarth(group)) {
                    solveAlone(group, levels);
                } else if (!held[group]) {
                    levels.set(group, stray[0], stray[1], stray[2]);
                }
            }
        }
        if (betweenCount > 0) {
            solveTogether(levels, held, stray);
        }
    }

    /** The one group there is, tied to earth's: the current into it at level zero, over the admittance. */
    private void solveAlone(int group, Levels levels) {
        int at = SUMS * group;
        double conductance = sums[at] + LEAKAGE;
        double susceptance = sums[at + 1];
        double square = conductance * conductance + susceptance * susceptance;
        levels.set(
                group,
                (sums[at + 3] * conductance + sums[at + 4] * susceptance) / square,
                (sums[at + 4] * conductance - sums[at + 3] * susceptance) / square,
                sums[at + 5] / (sums[at + 2] + LEAKAGE));
    }

    /** Sorts the loads between groups by which of them influence each other, and solves each lot. */
    private void solveTogether(Levels levels, boolean[] held, double[] stray) {
        int[] parents = new int[groups.length];
        Arrays.setAll(parents, i -> i);
        for (int t = 0; t < betweenCount; t++) {
            int one = groups[branches.loadFrom()[between[t]]];
            int other = groups[branches.loadTo()[between[t]]];
            parents[root(parents, other)] = root(parents, one);
        }
        int[] row = new int[groups.length];
        Arrays.fill(row, NONE);
        for (int t = 0; t < betweenCount; t++) {
            int one = groups[branches.loadFrom()[between[t]]];
            if (row[one] == NONE) {
                solveIsland(root(parents, one), parents, row, levels, held, stray);
            }
        }
    }

    private static int root(int[] parents, int of) {
        int at = of;
        while (parents[at] != at) {
            parents[at] = parents[parents[at]];
            at = parents[at];
        }
        return at;
    }

    private void solveIsland(int island, int[] parents, int[] row, Levels levels, boolean[] held, double[] stray) {
        int[] members = new int[2 * betweenCount];
        int count = 0;
        for (int t = 0; t < betweenCount; t++) {
            int load = between[t];
            if (root(parents, groups[branches.loadFrom()[load]]) == island) {
                count = number(groups[branches.loadFrom()[load]], row, members, count);
                count = number(groups[branches.loadTo()[load]], row, members, count);
            }
        }
        CurrentBalance balance = new CurrentBalance(count);
        boolean floats = true;
        for (int i = 0; i < count; i++) {
            balance.tie(i, NONE, LEAKAGE_ADMITTANCE, LEVEL);
            balance.tieToKnown(i, sums, SUMS * members[i]);
            floats &= !held[members[i]] && !isTiedToEarth(members[i]);
        }
        for (int t = 0; t < betweenCount; t++) {
            int load = between[t];
            int from = branches.loadFrom()[load];
            int to = branches.loadTo()[load];
            if (root(parents, groups[from]) == island) {
                balance.tie(row[groups[from]], row[groups[to]], branches.loadAdmittance()[load], rise(from, to));
            }
        }
        double[][] solved = balance.solve();
        for (int i = 0; i < count; i++) {
            double lift = floats ? 1 : 0;
            levels.set(
                    members[i],
                    solved[i][0] + lift * stray[0],
                    solved[i][1] + lift * stray[1],
                    solved[i][2] + lift * stray[2]);
        }
    }

    private static int number(int group, int[] row, int[] members, int count) {
        if (row[group] != NONE) {
            return count;
        }
        row[group] = count;
        members[count] = group;
        return count + 1;
    }

    /** By how much a node is above another when their groups are level. */
    private double[] rise(int one, int other) {
        return new double[] {
            offsets.real()[one] - offsets.real()[other],
            offsets.imaginary()[one] - offsets.imaginary()[other],
            offsets.direct()[one] - offsets.direct()[other]
        };
    }
}
