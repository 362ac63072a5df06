package parable.network;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/** The resistance that the loads between two groups of joined nodes make together for an ohmmeter. */
final class LoadResistance {

    private LoadResistance() {}

    /** In ohms, infinite if no loads but open ones lead from one group to the other. */
    static double between(Network network, BitSet open, int[] groups, int from, int to) {
        int[] row = new int[groups.length];
        Arrays.fill(row, -1);
        int count = reach(network, open, groups, from, row);
        if (row[to] < 0) {
            return Double.POSITIVE_INFINITY;
        }
        DMatrixRMaj conductances = new DMatrixRMaj(count, count);
        for (int load = open.nextClearBit(0); load < network.loadCount(); load = open.nextClearBit(load + 1)) {
            Branch branch = network.loadBranch(load);
            int one = row[groups[branch.from()]];
            int other = row[groups[branch.to()]];
            if (one >= 0 && one != other) {
                double conductance = network.loadAdmittance(load)[3];
                conductances.add(one, one, conductance);
                conductances.add(other, other, conductance);
                conductances.add(one, other, -conductance);
                conductances.add(other, one, -conductance);
            }
        }
        return solve(conductances, row[from], row[to]);
    }

    /** Numbers the groups that loads lead to, and says how many there are. */
    private static int reach(Network network, BitSet open, int[] groups, int start, int[] row) {
        int count = 0;
        ArrayDeque<Integer> waiting = new ArrayDeque<>(List.of(start));
        row[start] = count++;
        while (!waiting.isEmpty()) {
            int group = waiting.remove();
            for (int load = open.nextClearBit(0); load < network.loadCount(); load = open.nextClearBit(load + 1)) {
                Branch branch = network.loadBranch(load);
                int one = groups[branch.from()];
                int other = groups[branch.to()];
                int next = one == group ? other : other == group ? one : group;
                if (row[next] < 0) {
                    row[next] = count++;
                    waiting.add(next);
                }
            }
        }
        return count;
    }

    /** One ampere in at one end and out at the other, which is held at zero. */
    private static double solve(DMatrixRMaj conductances, int from, int to) {
        int n = conductances.numRows;
        DMatrixRMaj currents = new DMatrixRMaj(n, 1);
        currents.set(from, 0, 1);
        for (int i = 0; i < n; i++) {
            conductances.set(to, i, i == to ? 1 : 0);
        }
        DMatrixRMaj volts = new DMatrixRMaj(n, 1);
        if (!CommonOps_DDRM.solve(conductances, currents, volts)) {
            throw new IllegalStateException("the resistance between two groups that loads join has no answer");
        }
        return volts.get(from, 0);
    }
}
