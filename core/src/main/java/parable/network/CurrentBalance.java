package parable.network;

import java.util.Arrays;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * Nodal analysis for a handful of groups of unknown voltage: the sum of the currents out of each is zero. The AC system
 * is written in real numbers, real parts first, then imaginary parts; DC is a system of its own.
 */
final class CurrentBalance {

    private final int[] unknowns;
    private final int[] row;
    private final DMatrixRMaj alternating;
    private final DMatrixRMaj alternatingCurrents;
    private final DMatrixRMaj direct;
    private final DMatrixRMaj directCurrents;

    /** A balance for these groups out of so many. */
    CurrentBalance(int[] unknowns, int groups) {
        int n = unknowns.length;
        this.unknowns = unknowns;
        row = new int[groups];
        Arrays.fill(row, -1);
        for (int i = 0; i < n; i++) {
            row[unknowns[i]] = i;
        }
        alternating = new DMatrixRMaj(2 * n, 2 * n);
        alternatingCurrents = new DMatrixRMaj(2 * n, 1);
        direct = new DMatrixRMaj(n, n);
        directCurrents = new DMatrixRMaj(n, 1);
    }

    /**
     * Ties two groups by an admittance. A group that is not unknown counts as being at zero.
     *
     * @param admittance AC conductance, AC susceptance and DC conductance in S
     * @param rise by how much the tie's first end is above its second when both groups are level: real, imaginary, DC
     */
    void tie(int from, int to, double[] admittance, double[] rise) {
        stamp(row[from], row[to], admittance, rise, 1);
        stamp(row[to], row[from], admittance, rise, -1);
    }

    private void stamp(int self, int other, double[] y, double[] rise, int sign) {
        if (self < 0) {
            return;
        }
        addAlternating(self, self, y[0], y[1]);
        direct.add(self, self, y[2]);
        if (other >= 0) {
            addAlternating(self, other, -y[0], -y[1]);
            direct.add(self, other, -y[2]);
        }
        alternatingCurrents.add(self, 0, -sign * (y[0] * rise[0] - y[1] * rise[1]));
        alternatingCurrents.add(unknowns.length + self, 0, -sign * (y[0] * rise[1] + y[1] * rise[0]));
        directCurrents.add(self, 0, -sign * y[2] * rise[2]);
    }

    private void addAlternating(int i, int j, double conductance, double susceptance) {
        int n = unknowns.length;
        alternating.add(i, j, conductance);
        alternating.add(n + i, n + j, conductance);
        alternating.add(i, n + j, -susceptance);
        alternating.add(n + i, j, susceptance);
    }

    /** Solves, and writes for each unknown group its real, imaginary and DC voltage in V. */
    void solveInto(double[][] levels) {
        int n = unknowns.length;
        DMatrixRMaj alternatingLevels = new DMatrixRMaj(2 * n, 1);
        DMatrixRMaj directLevels = new DMatrixRMaj(n, 1);
        boolean solved = CommonOps_DDRM.solve(alternating, alternatingCurrents, alternatingLevels)
                && CommonOps_DDRM.solve(direct, directCurrents, directLevels);
        if (!solved) {
            throw new IllegalStateException("the balance of currents has no single answer for " + n + " groups");
        }
        for (int i = 0; i < n; i++) {
            levels[unknowns[i]] =
                    new double[] {alternatingLevels.get(i, 0), alternatingLevels.get(n + i, 0), directLevels.get(i, 0)};
        }
    }
}
