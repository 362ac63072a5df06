package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Finds the branches that close a short circuit: those that join two points which bonds, sources, jumpers and contacts
 * before them, in this order, hold at different voltages. Only asked when there is one.
 */
final class ShortSearch {

    private ShortSearch() {}

    /** The positions of the closing branches among all branches of the network. */
    static List<Integer> closing(
            Network network, CompiledBranches branches, Switching switching, double[][] sourceValues) {
        Joints joints = new Joints(network.nodeCount());
        List<Integer> closing = new ArrayList<>();
        int bonds = network.bondCount();
        joinJumpers(0, bonds, network, branches, joints, closing);
        BitSet on = switching.on();
        for (int s = on.nextSetBit(0); s >= 0; s = on.nextSetBit(s + 1)) {
            double[] value = sourceValues[s];
            if (!joints.join(branches.sourceFrom()[s], branches.sourceTo()[s], value[0], value[1], value[2])) {
                closing.add(network.contactCount() + s);
            }
            if (branches.tiedTo()[s] >= 0) {
                double[] rise = RectifierTie.rise(value);
                joints.join(branches.tiedTo()[s], branches.sourceFrom()[s], rise[0], rise[1], rise[2]);
            }
        }
        joinJumpers(bonds, branches.jumperFrom().length, network, branches, joints, closing);
        BitSet closed = switching.closed();
        for (int c = closed.nextSetBit(0); c >= 0; c = closed.nextSetBit(c + 1)) {
            if (!joints.join(branches.contactFrom()[c], branches.contactTo()[c], 0, 0, 0)) {
                closing.add(c);
            }
        }
        return closing;
    }

    private static void joinJumpers(
            int begin, int end, Network network, CompiledBranches branches, Joints joints, List<Integer> closing) {
        int first = network.branches().size() - branches.jumperFrom().length;
        for (int j = begin; j < end; j++) {
            if (!joints.join(branches.jumperFrom()[j], branches.jumperTo()[j], 0, 0, 0)) {
                closing.add(first + j);
            }
        }
    }
}
