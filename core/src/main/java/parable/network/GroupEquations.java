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

    /** For each row: conductance, susceptance, DC conductance to earth's group; current at level zero, three parts. */
    private static final int SUMS = 6;

    private final int[] groups;
    private final int earth;
    private final Levels levels;
    private final CompiledBranches branches;
    private final double[] sums;
    private final double[] solved;
    private final int[] rows;
    private final int[] between;
    private int rowCount;
    private int betweenCount;

    /**
     * Equations for the loads of a network.
     *
     * @param groups for each node the node that stands for its group
     * @param earth the node that stands for earth's group, the one group whose level is known
     * @param levels for each node its level against the anchor of its group
     */
    GroupEquations(int[] groups, int earth, Levels levels, CompiledBranches branches) {
        this.groups = groups;
        this.earth = earth;
        this.levels = levels;
        this.branches = branches;
        int loads = branches.loadFrom().length;
        rows = new int[groups.length];
        sums = new double[SUMS * 2 * loads];
        solved = new double[3 * 2 * loads];
        between = new int[loads];
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
            tieToEarth(row(other), from, to, branches.loadAdmittance()[load]);
        } else if (other == earth) {
            tieToEarth(row(one), to, from, branches.loadAdmittance()[load]);
        } else {
            row(one);
            row(other);
            between[betweenCount++] = load;
        }
    }

    /** The row of a group, a new one if it has none; rows are kept one higher, so that 0 means none. */
    private int row(int group) {
        if (rows[group] == 0) {
            rowCount++;
            rows[group] = rowCount;
        }
        return rows[group] - 1;
    }

    private void tieToEarth(int row, int earthEnd, int ownEnd, double[] y) {
        double re = levels.real(earthEnd) - levels.real(ownEnd);
        double im = levels.imaginary(earthEnd) - levels.imaginary(ownEnd);
        double dc = levels.direct(earthEnd) - levels.direct(ownEnd);
        int at = SUMS * row;
        sums[at] += y[0];
        sums[at + 1] += y[1];
        sums[at + 2] += y[2];
        sums[at + 3] += y[0] * re - y[1] * im;
        sums[at + 4] += y[0] * im + y[1] * re;
        sums[at + 5] += y[2] * dc;
    }

    /** Whether a load ties a group to earth's. */
    private boolean isTiedToEarth(int row) {
        return sums[SUMS * row] > 0;
    }

    /**
     * Lifts every node from its level against the anchor of its group to that against earth.
     *
     * @param held for each node that stands for a group whether a source holds it, if only by its winding
     * @param stray the level of a group that nothing ties to a source or to earth: real, imaginary and DC part
     */
    void solve(boolean[] held, double[] stray) {
        for (int row = 0; row < rowCount; row++) {
            solveAlone(row);
        }
        if (betweenCount > 0) {
            solveTogether(held, stray);
        }
        for (int node = 0; node < groups.length; node++) {
            int group = groups[node];
            if (rows[group] > 0) {
                levels.lift(node, solved, 3 * (rows[group] - 1));
            } else if (group != earth && !held[group]) {
                levels.lift(node, stray, 0);
            }
        }
    }

    private void settle(int row, double re, double im, double dc) {
        solved[3 * row] = re;
        solved[3 * row + 1] = im;
        solved[3 * row + 2] = dc;
    }

    /** As if the group were tied to earth's alone: the current into it at level zero, over the admittance. */
    private void solveAlone(int row) {
        int at = SUMS * row;
        double conductance = sums[at] + LEAKAGE;
        double susceptance = sums[at + 1];
        double square = conductance * conductance + susceptance * susceptance;
        settle(
                row,
                (sums[at + 3] * conductance + sums[at + 4] * susceptance) / square,
                (sums[at + 4] * conductance - sums[at + 3] * susceptance) / square,
                sums[at + 5] / (sums[at + 2] + LEAKAGE));
    }

    /** Sorts the loads between groups by which of them influence each other, and solves each lot. */
    private void solveTogether(boolean[] held, double[] stray) {
        int[] parents = new int[rowCount];
        Arrays.setAll(parents, i -> i);
        int[] groupOf = new int[rowCount];
        for (int t = 0; t < betweenCount; t++) {
            int one = groups[branches.loadFrom()[between[t]]];
            int other = groups[branches.loadTo()[between[t]]];
            groupOf[row(one)] = one;
            groupOf[row(other)] = other;
            parents[root(parents, row(other))] = root(parents, row(one));
        }
        boolean[] done = new boolean[rowCount];
        for (int t = 0; t < betweenCount; t++) {
            int island = root(parents, row(groups[branches.loadFrom()[between[t]]]));
            if (!done[island]) {
                done[island] = true;
                solveIsland(island, parents, groupOf, held, stray);
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

    private void solveIsland(int island, int[] parents, int[] groupOf, boolean[] held, double[] stray) {
        int[] unknowns = new int[rowCount];
        int count = 0;
        boolean floats = true;
        for (int row = 0; row < rowCount; row++) {
            if (root(parents, row) == island) {
                unknowns[row] = count++;
                floats &= !held[groupOf[row]] && !isTiedToEarth(row);
            }
        }
        CurrentBalance balance = new CurrentBalance(count);
        for (int row = 0; row < rowCount; row++) {
            if (root(parents, row) == island) {
                balance.tie(unknowns[row], NONE, LEAKAGE_ADMITTANCE, LEVEL);
                balance.tieToKnown(unknowns[row], sums, SUMS * row);
            }
        }
        for (int t = 0; t < betweenCount; t++) {
            int from = branches.loadFrom()[between[t]];
            int to = branches.loadTo()[between[t]];
            if (root(parents, row(groups[from])) == island) {
                balance.tie(
                        unknowns[row(groups[from])],
                        unknowns[row(groups[to])],
                        branches.loadAdmittance()[between[t]],
                        rise(from, to));
            }
        }
        double[][] answers = balance.solve();
        double lift = floats ? 1 : 0;
        for (int row = 0; row < rowCount; row++) {
            if (root(parents, row) == island) {
                double[] answer = answers[unknowns[row]];
                settle(row, answer[0] + lift * stray[0], answer[1] + lift * stray[1], answer[2] + lift * stray[2]);
            }
        }
    }

    /** By how much a node is above another when their groups are level. */
    private double[] rise(int one, int other) {
        return new double[] {
            levels.real(one) - levels.real(other),
            levels.imaginary(one) - levels.imaginary(other),
            levels.direct(one) - levels.direct(other)
        };
    }
}
