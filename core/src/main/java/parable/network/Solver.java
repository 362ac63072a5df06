package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Solves a network: groups of nodes with known differences first (contacts and sources), then the voltage of each group
 * from the currents through the loads between groups. Groups that no load ties together are solved apart.
 */
final class Solver {

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
        solver.joinSources();
        solver.joinContacts();
        return solver.solution();
    }

    private void joinSources() {
        for (int s = 0; s < branches.sourceFrom().length; s++) {
            if (branches.grounded()[s]) {
                joints.join(network.earth(), branches.sourceFrom()[s], 0, 0, 0);
            }
            if (switching.on().get(s)) {
                double[] value = values[s];
                if (!joints.join(branches.sourceFrom()[s], branches.sourceTo()[s], value[0], value[1], value[2])) {
                    shorts.add(network.contactCount() + s);
                }
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
        GroupEquations equations =
                new GroupEquations(joints, groups, anchors, groups[network.earth()], branches.loadFrom().length);
        for (int l = 0; l < branches.loadFrom().length; l++) {
            if (!switching.open().get(l)) {
                equations.add(branches.loadFrom()[l], branches.loadTo()[l], branches.loadAdmittance()[l]);
            }
        }
        return new Solution(network, switching, equations.solve(), groups, fed, shorts);
    }
}
