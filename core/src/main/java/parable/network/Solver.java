package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Solves a network: groups of nodes with known differences first (contacts and sources), then the voltage of each group
 * from the currents through the loads between groups. Groups that no load ties together are solved apart.
 */
final class Solver {

    /** The stray voltage of a floating wire as a share of the voltage that its neighbours in the duct have. */
    private static final double STRAY = 0.012;

    private static final double SLIGHTLY = 1e-6;

    private final Network network;
    private final CompiledBranches branches;
    private final Switching switching;
    private final double[][] values;
    private final Joints joints;
    private final List<Integer> shorts = new ArrayList<>();

    private Solver(Network network, CompiledBranches branches, Switching switching, double[][] values) {
        this.network = network;
        this.branches = branches;
        this.switching = switching;
        this.values = values;
        this.joints = new Joints(network.nodeCount());
    }

    /**
     * One solution with the sources as they are given.
     *
     * @param values for each source that is on its real, imaginary and DC voltage
     */
    static Solution solve(Network network, CompiledBranches branches, Switching switching, double[][] values) {
        Solver solver = new Solver(network, branches, switching, values);
        int bonds = network.bondCount();
        solver.joinJumpers(0, bonds);
        solver.joinSources();
        solver.joinJumpers(bonds, branches.jumperFrom().length);
        solver.joinContacts();
        return solver.solution();
    }

    /** The groups that a source holds, if only by its winding: those do not pick anything up. */
    private boolean[] held(int[] groups, boolean[] fed) {
        boolean[] held = fed.clone();
        for (int node : branches.sourceTo()) {
            held[groups[node]] = true;
        }
        return held;
    }

    /** A small share of the strongest AC source that is on: what stray capacitance brings across in a shared duct. */
    private double[] stray() {
        double[] strongest = {0, 0, 0};
        BitSet on = switching.on();
        for (int s = on.nextSetBit(0); s >= 0; s = on.nextSetBit(s + 1)) {
            double[] value = values[s];
            if (value[0] * value[0] + value[1] * value[1]
                    > strongest[0] * strongest[0] + strongest[1] * strongest[1] + SLIGHTLY) {
                strongest = value;
            }
        }
        return new double[] {STRAY * strongest[0], STRAY * strongest[1], 0};
    }

    private void joinSources() {
        for (int s = 0; s < branches.sourceFrom().length; s++) {
            if (switching.on().get(s)) {
                double[] value = values[s];
                if (!joints.join(branches.sourceFrom()[s], branches.sourceTo()[s], value[0], value[1], value[2])) {
                    shorts.add(network.contactCount() + s);
                }
            }
        }
    }

    private void joinJumpers(int begin, int end) {
        int first = network.branches().size() - branches.jumperFrom().length;
        for (int j = begin; j < end; j++) {
            if (!joints.join(branches.jumperFrom()[j], branches.jumperTo()[j], 0, 0, 0)) {
                shorts.add(first + j);
            }
        }
    }

    private void joinContacts() {
        BitSet closed = switching.closed();
        for (int c = closed.nextSetBit(0); c >= 0; c = closed.nextSetBit(c + 1)) {
            if (!joints.join(branches.contactFrom()[c], branches.contactTo()[c], 0, 0, 0)) {
                shorts.add(c);
            }
        }
    }

    private Solution solution() {
        BitSet on = switching.on();
        int nodes = network.nodeCount();
        int[] groups = new int[nodes];
        int[] anchors = new int[nodes];
        for (int node = 0; node < nodes; node++) {
            groups[node] = joints.group(node);
            anchors[node] = node;
        }
        boolean[] fed = new boolean[nodes];
        for (int s = on.nextSetBit(0); s >= 0; s = on.nextSetBit(s + 1)) {
            int reference = branches.sourceFrom()[s];
            if (!fed[groups[reference]]) {
                fed[groups[reference]] = true;
                anchors[groups[reference]] = reference;
            }
        }
        anchors[groups[network.earth()]] = network.earth();
        GroupEquations equations = new GroupEquations(
                joints,
                groups,
                anchors,
                groups[network.earth()],
                held(groups, fed),
                stray(),
                branches.loadFrom().length);
        for (int l = 0; l < branches.loadFrom().length; l++) {
            if (!switching.open().get(l)) {
                equations.add(branches.loadFrom()[l], branches.loadTo()[l], branches.loadAdmittance()[l]);
            }
        }
        return new Solution(network, switching, equations.solve(), groups, fed, shorts);
    }
}
