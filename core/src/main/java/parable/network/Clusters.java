package parable.network;

import java.util.Arrays;
import java.util.BitSet;

/** Nodes joined by copper alone, that is, by closed contacts and jumpers: a union-find. */
final class Clusters {

    private final int[] parents;

    private Clusters(int[] parents) {
        this.parents = parents;
    }

    /** The clusters that jumpers alone make. */
    static int[] ofJumpers(int nodes, int[] from, int[] to) {
        Clusters clusters = new Clusters(new int[nodes]);
        Arrays.setAll(clusters.parents, node -> node);
        for (int j = 0; j < from.length; j++) {
            clusters.join(from[j], to[j]);
        }
        clusters.flatten();
        return clusters.parents;
    }

    /** The clusters of a network in which these contacts are closed. */
    static Clusters of(CompiledBranches branches, BitSet closed) {
        Clusters clusters = new Clusters(branches.jumperClusters().clone());
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

    /** Makes every node point at its cluster. */
    void flatten() {
        for (int node = 0; node < parents.length; node++) {
            parents[node] = of(node);
        }
    }

    /**
     * Turns flat clusters into groups and gives them away.
     *
     * @param sources which clusters make one group
     * @return for each node the node that stands for its group
     */
    int[] intoGroups(SourceGroups sources) {
        sources.nameGroups(parents);
        for (int node = 0; node < parents.length; node++) {
            parents[node] = parents[parents[node]];
        }
        return parents;
    }

    private void join(int one, int other) {
        parents[of(other)] = of(one);
    }
}
