package parable.network;

import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * Nodal analysis for a handful of unknown voltages: the sum of the currents out of each is zero. The AC system is written
 * in real numbers, real parts first, then imaginary parts; DC is a system of its own.
 */
final class CurrentBalance {

    private final int unknowns;
    private final DMatrixRMaj alternating;
    private final DMatrixRMaj alternatingCurrents;
    private final DMatrixRMaj direct;
    private final DMatrixRMaj directCurrents;

    /** A balance for so many unknowns. */
    CurrentBalance(int unknowns) {
        this.unknowns = unknowns;
        alternating = new DMatrixRMaj(2 * unknowns, 2 * unknowns);
        alternatingCurrents = new DMatrixRMaj(2 * unknowns, 1);
        direct = new DMatrixRMaj(unknowns, unknowns);
        directCurrents = new DMatrixRMaj(unknowns, 1);
    }

    /**
     * Ties two unknowns by an admittance, or one of them to what is at zero.
     *
     * @param from the number of an unknown, negative for what is at zero
     * @param to the number of an unknown, negative for what is at zero
     * @param admittance AC conductance, AC susceptance and DC conductance in S
     * @param rise by how much the tie's first end is above its second when both are level: real, imaginary, DC
     */
    void tie(int from, int to, double[] admittance, double[] rise) {
        stamp(from, to, admittance, rise, 1);
        stamp(to, from, admittance, rise, -1);
    }

    /**
     * Ties an unknown to what is known.
     *
     * @param sums from {@code at} on: AC conductance, AC susceptance and DC conductance in S, then the current into it while
     *     it is at zero, in A: real, imaginary, DC
     */
    void tieToKnown(int unknown, double[] sums, int at) {
        addAlternating(unknown, unknown, sums[at], sums[at + 1]);
        direct.add(unknown, unknown, sums[at + 2]);
        alternatingCurrents.add(unknown, 0, sums[at + 3]);
        alternatingCurrents.add(unknowns + unknown, 0, sums[at + 4]);
        directCurrents.add(unknown, 0, sums[at + 5]);
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
        alternatingCurrents.add(unknowns + self, 0, -sign * (y[0] * rise[1] + y[1] * rise[0]));
        directCurrents.add(self, 0, -sign * y[2] * rise[2]);
    }

    private void addAlternating(int i, int j, double conductance, double susceptance) {
        alternating.add(i, j, conductance);
        alternating.add(unknowns + i, unknowns + j, conductance);
        alternating.add(i, unknowns + j, -susceptance);
        alternating.add(unknowns + i, j, susceptance);
    }

    /** For each unknown its real, imaginary and DC voltage in V. */
    double[][] solve() {
        DMatrixRMaj alternatingLevels = new DMatrixRMaj(2 * unknowns, 1);
        DMatrixRMaj directLevels = new DMatrixRMaj(unknowns, 1);
        boolean solved = CommonOps_DDRM.solve(alternating, alternatingCurrents, alternatingLevels)
                && CommonOps_DDRM.solve(direct, directCurrents, directLevels);
        if (!solved) {
            throw new IllegalStateException("the balance of currents has no single answer for " + unknowns + " groups");
        }
        double[][] levels = new double[unknowns][];
        for (int i = 0; i < unknowns; i++) {
            levels[i] = new double[] {
                alternatingLevels.get(i, 0), alternatingLevels.get(unknowns + i, 0), directLevels.get(i, 0)
            };
        }
        return levels;
    }
}
