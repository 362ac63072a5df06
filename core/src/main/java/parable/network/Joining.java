package parable.network;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How closed contacts join the points of a network that matter: those of loads, sources and earth. Contacts that join these in the same way
 * make the same of the network, unless something is shorted: then it matters on which way.
 */
public final class Joining {

    private final CompiledBranches branches;
    private final int[] points;
    private final int nodes;

    /** The way in which the points are joined; two are equal if each point is joined to the same others. */
    public record Way(int[] firsts) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Way that && Arrays.equals(firsts, that.firsts);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(firsts);
        }
    }

    /**
     * Nothing joined yet.
     *
     * @param further points that matter besides, by their nodes
     */
    public Joining(Network network, IntStream further) {
        branches = network.compiled();
        nodes = network.nodeCount();
        points = Stream.of(
                        IntStream.of(branches.loadFrom()),
                        IntStream.of(branches.loadTo()),
                        IntStream.of(branches.sourceFrom()),
                        IntStream.of(branches.sourceTo()),
                        IntStream.of(network.earth()),
                        further)
                .flatMapToInt(Function.identity())
                .distinct()
                .toArray();
    }

    /** How these contacts join the points; the set is not modified. */
    public Way of(BitSet closed) {
        Clusters clusters = Clusters.of(branches, closed);
        int[] first = new int[nodes];
        int[] firsts = new int[points.length];
        for (int i = 0; i < points.length; i++) {
            int cluster = clusters.of(points[i]);
            if (first[cluster] == 0) {
                first[cluster] = i + 1;
            }
            firsts[i] = first[cluster];
        }
        return new Way(firsts);
    }
}
