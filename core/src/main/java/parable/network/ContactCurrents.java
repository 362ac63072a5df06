package parable.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * How the currents of loads spread over the closed contacts that lead to them. Contacts in parallel share in equal parts,
 * as if all had the same small resistance. Where contacts join nodes to a source, the source takes what is left over.
 */
public final class ContactCurrents {

    private final Network network;
    private final Solution solution;
    private final double[][] injected;
    private final Current[] currents;

    private ContactCurrents(Network network, Solution solution, IntToDoubleFunction weight) {
        this.network = network;
        this.solution = solution;
        injected = new double[network.nodeCount()][3];
        currents = new Current[network.branches().size()];
        Arrays.fill(currents, new Current(0, 0, 0));
        for (int load = 0; load < network.loadCount(); load++) {
            double times = weight.applyAsDouble(load);
            if (times != 0) {
                inject(load, times);
            }
        }
        clusters().forEach(this::spread);
    }

    /**
     * The currents that the loads take.
     *
     * @param weight for each load, by its number among all loads, by what its current at rated voltage is multiplied; 0 if
     *     it does not count
     */
    public static ContactCurrents of(Solution solution, IntToDoubleFunction weight) {
        return new ContactCurrents(solution.network(), solution, weight);
    }

    /** The current through a contact from its first terminal to its second, by its number among all contacts. */
    public Current through(int contact) {
        return currents[contact];
    }

    /** The current that leaves a node through contacts and jumpers. */
    public Current outOf(int node) {
        double[] sum = new double[3];
        for (int b : network.branchesAt(node)) {
            Branch branch = network.branches().get(b);
            if (isCopper(branch) && branch.from() != branch.to()) {
                Current current = currents[b];
                int sign = branch.from() == node ? 1 : -1;
                sum[0] += sign * current.real();
                sum[1] += sign * current.imaginary();
                sum[2] += sign * current.direct();
            }
        }
        return new Current(sum[0], sum[1], sum[2]);
    }

    private void inject(int load, double times) {
        Current current = solution.loadCurrent(load);
        Branch branch = network.loadBranch(load);
        double[] values = {times * current.real(), times * current.imaginary(), times * current.direct()};
        for (int k = 0; k < 3; k++) {
            injected[branch.from()][k] -= values[k];
            injected[branch.to()][k] += values[k];
        }
    }

    /** Nodes joined through closed contacts alone, each list with the node first that takes what is left over. */
    private List<List<Integer>> clusters() {
        boolean[] seen = new boolean[network.nodeCount()];
        List<List<Integer>> clusters = new ArrayList<>();
        for (int node = 0; node < network.nodeCount(); node++) {
            if (!seen[node]) {
                List<Integer> cluster = cluster(node, seen);
                if (cluster.size() > 1) {
                    clusters.add(cluster);
                }
            }
        }
        return clusters;
    }

    private List<Integer> cluster(int start, boolean[] seen) {
        List<Integer> cluster = new ArrayList<>(List.of(start));
        seen[start] = true;
        for (int i = 0; i < cluster.size(); i++) {
            for (int b : network.branchesAt(cluster.get(i))) {
                Branch branch = network.branches().get(b);
                int next = branch.otherEnd(cluster.get(i));
                if (isCopper(branch) && solution.conducts(branch) && !seen[next]) {
                    seen[next] = true;
                    cluster.add(next);
                }
            }
        }
        for (int i = 1; i < cluster.size(); i++) {
            if (hasSource(cluster.get(i)) && !hasSource(cluster.get(0))) {
                cluster.add(0, cluster.remove(i));
            }
        }
        return cluster;
    }

    private static boolean isCopper(Branch branch) {
        return branch.sort() == Branch.Sort.CONTACT || branch.sort() == Branch.Sort.JUMPER;
    }

    private boolean hasSource(int node) {
        return Arrays.stream(network.branchesAt(node))
                .mapToObj(network.branches()::get)
                .anyMatch(branch -> branch.sort() == Branch.Sort.SOURCE && solution.conducts(branch));
    }

    private void spread(List<Integer> cluster) {
        int n = cluster.size() - 1;
        int[] row = new int[network.nodeCount()];
        Arrays.fill(row, -1);
        for (int i = 0; i < n; i++) {
            row[cluster.get(i + 1)] = i;
        }
        List<Integer> contacts = contactsOf(cluster);
        DMatrixRMaj conductances = new DMatrixRMaj(n, n);
        for (int c : contacts) {
            stamp(
                    conductances,
                    row[network.branches().get(c).from()],
                    row[network.branches().get(c).to()]);
        }
        DMatrixRMaj sources = new DMatrixRMaj(n, 3);
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < 3; k++) {
                sources.set(i, k, injected[cluster.get(i + 1)][k]);
            }
        }
        DMatrixRMaj levels = new DMatrixRMaj(n, 3);
        if (!CommonOps_DDRM.solve(conductances, sources, levels)) {
            throw new IllegalStateException("currents through " + contacts.size() + " joined contacts have no answer");
        }
        for (int c : contacts) {
            Branch branch = network.branches().get(c);
            currents[c] = difference(levels, row[branch.from()], row[branch.to()]);
        }
    }

    private List<Integer> contactsOf(List<Integer> cluster) {
        return cluster.stream()
                .flatMapToInt(node -> Arrays.stream(network.branchesAt(node)))
                .distinct()
                .filter(b -> isCopper(network.branches().get(b)))
                .filter(b -> solution.conducts(network.branches().get(b)))
                .boxed()
                .toList();
    }

    private static void stamp(DMatrixRMaj conductances, int from, int to) {
        if (from >= 0) {
            conductances.add(from, from, 1);
        }
        if (to >= 0) {
            conductances.add(to, to, 1);
        }
        if (from >= 0 && to >= 0) {
            conductances.add(from, to, -1);
            conductances.add(to, from, -1);
        }
    }

    private static Current difference(DMatrixRMaj levels, int from, int to) {
        double[] values = new double[3];
        for (int k = 0; k < 3; k++) {
            values[k] = (from < 0 ? 0 : levels.get(from, k)) - (to < 0 ? 0 : levels.get(to, k));
        }
        return new Current(values[0], values[1], values[2]);
    }
}
