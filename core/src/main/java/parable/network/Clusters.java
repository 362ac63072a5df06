package parable.network;

import java.util.BitSet;

/** Nodes joined by copper alone, that is, by closed contacts and jumpers: a union-find. */
final class Clusters {

    private final int[] parents;

    private Clusters(int[] parents) {
        this.parents = parents;
    }

    /** The clusters of a network in which these contacts are closed. */
    static Clusters of(int nodes, CompiledBranches branches, BitSet closed) {
        int[] parents = new int[nodes];
        for (int i = 0; i < nodes; i++) {
            parents[i] = i;
        }
        Clusters clusters = new Clusters(parents);
        for (int j = 0; j < branches.jumperFrom().length; j++) {
            clusters.join(branches.jumperFrom()[j], branches.jumperTo()[j]);
        }
        for (int c = closed.nextSetBit(0); c >= 0; c = closed.nextSetBit(c + 1)) {
            clusters.join(branches.contactFrom()[c], branches.contactTo()[c]);
        }
        return clusters;
    }

    /** The cluster of a node: one of the nodes in it, the same for all of them. */
    int of(int node) {
        int at = node;
        while (parents[at] != at) {
            parents[at] = parents[parents[at]];
            at = parents[at];
        }
        return at;
    }

    private void join(int one, int other) {
        parents[of(other)] = of(one);
    }
}
