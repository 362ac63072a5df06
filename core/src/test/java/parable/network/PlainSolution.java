package parable.network;

import java.util.ArrayDeque;
import java.util.BitSet;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import parable.parts.Load;
import parable.parts.Source;

/**
 * The textbook way: a search for what is joined, and one dense nodal system in which a closed contact is a very good
 * conductor, a source a current through one, and every node leaks a little to earth. All loads here are resistive.
 */
final class PlainSolution {

    private static final double CONDUCTOR = 1e6;
    private static final double LEAKAGE = 1e-9;

    private final Network network;
    private final BitSet closed;
    private final BitSet on;
    private final double[][] volts = new double[2][];

    PlainSolution(Network network, BitSet closed, BitSet on) {
        this.network = network;
        this.closed = closed;
        this.on = on;
        for (int part = 0; part < 2; part++) {
            volts[part] = solve(part);
        }
    }

    private List<Branch> branches(Branch.Sort sort) {
        return network.branches().stream()
                .filter(branch -> branch.sort() == sort)
                .toList();
    }

    private boolean isClosed(Branch branch) {
        return closed.get(network.contact(branch.part(), branch.index()));
    }

    private boolean isOn(Branch branch) {
        return on.get(network.source(branch.part(), branch.index()));
    }

    boolean joinedByContacts(int one, int other) {
        boolean[] seen = new boolean[network.nodeCount()];
        ArrayDeque<Integer> waiting = new ArrayDeque<>(List.of(one));
        while (!waiting.isEmpty()) {
            int node = waiting.remove();
            if (seen[node]) {
                continue;
            }
            seen[node] = true;
            for (Branch branch : branches(Branch.Sort.CONTACT)) {
                if (isClosed(branch) && (branch.from() == node || branch.to() == node)) {
                    waiting.add(branch.from() == node ? branch.to() : branch.from());
                }
            }
        }
        return seen[other];
    }

    /** A short: a live terminal joined to its neutral or to another live terminal of the one supply there is. */
    boolean hasShort() {
        List<Branch> live =
                branches(Branch.Sort.SOURCE).stream().filter(this::isOn).toList();
        for (Branch source : live) {
            if (joinedByContacts(source.from(), source.to())) {
                return true;
            }
            for (Branch other : live) {
                if (other != source && joinedByContacts(source.to(), other.to())) {
                    return true;
                }
            }
        }
        return false;
    }

    private double[] solve(int part) {
        int n = network.nodeCount();
        DMatrixRMaj conductances = new DMatrixRMaj(n, n);
        DMatrixRMaj currents = new DMatrixRMaj(n, 1);
        for (int node = 0; node < n; node++) {
            conductances.add(node, node, LEAKAGE);
        }
        conductances.add(network.earth(), network.earth(), CONDUCTOR);
        for (Branch branch : branches(Branch.Sort.CONTACT)) {
            if (isClosed(branch)) {
                stamp(conductances, branch.from(), branch.to(), CONDUCTOR);
            }
        }
        for (Branch branch : branches(Branch.Sort.LOAD)) {
            Load load = network.assembly().parts().get(branch.part()).loads().get(branch.index());
            stamp(conductances, branch.from(), branch.to(), 1 / load.ohms());
        }
        for (Branch branch : branches(Branch.Sort.SOURCE)) {
            Source source =
                    network.assembly().parts().get(branch.part()).sources().get(branch.index());
            stamp(conductances, network.earth(), branch.from(), CONDUCTOR);
            if (isOn(branch)) {
                double angle = Math.toRadians(source.degrees());
                double volt = source.rated().volts() * (part == 0 ? Math.cos(angle) : Math.sin(angle));
                stamp(conductances, branch.from(), branch.to(), CONDUCTOR);
                currents.add(branch.to(), 0, CONDUCTOR * volt);
                currents.add(branch.from(), 0, -CONDUCTOR * volt);
            }
        }
        DMatrixRMaj potentials = new DMatrixRMaj(n, 1);
        assertSolved(CommonOps_DDRM.solve(conductances, currents, potentials));
        return potentials.getData();
    }

    private static void assertSolved(boolean solved) {
        if (!solved) {
            throw new AssertionError("the plain system is singular");
        }
    }

    private static void stamp(DMatrixRMaj conductances, int one, int other, double conductance) {
        conductances.add(one, one, conductance);
        conductances.add(other, other, conductance);
        conductances.add(one, other, -conductance);
        conductances.add(other, one, -conductance);
    }

    double[] loadVoltage(int load) {
        Branch branch = network.loadBranch(load);
        return new double[] {
            volts[0][branch.from()] - volts[0][branch.to()], volts[1][branch.from()] - volts[1][branch.to()]
        };
    }
}
