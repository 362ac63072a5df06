package parable.network;

import java.util.BitSet;
import java.util.List;

/**
 * Solves a network in four steps: clusters of nodes that copper joins; groups of clusters that sources hold at known
 * differences; the level of each group from the currents through the loads; and the voltage of each node from those. If
 * sources contradict each other there is a short circuit, and the branches that close it are searched for besides.
 */
final class Solver {

    /** The stray voltage of a floating wire as a share of the voltage that its neighbours in the duct have. */
    private static final double STRAY = 0.012;

    private static final double SLIGHTLY = 1e-6;

    private final Network network;
    private final CompiledBranches branches;
    private final Switching switching;
    private final double[][] values;
    private final int nodes;
    private int[] groups;
    private final boolean[] fed;

    private Solver(Network network, CompiledBranches branches, Switching switching, double[][] values) {
        this.network = network;
        this.branches = branches;
        this.switching = switching;
        this.values = values;
        nodes = network.nodeCount();
        fed = new boolean[nodes];
    }

    /**
     * One solution with the sources as they are given.
     *
     * @param values for each source that is on its real, imaginary and DC voltage; for a rectifier besides by how much its reference is above
     *     the input that its diodes tie it to
     */
    static Solution solve(Network network, CompiledBranches branches, Switching switching, double[][] values) {
        return new Solver(network, branches, switching, values).solution();
    }

    private Solution solution() {
        Clusters clusters = Clusters.of(branches, switching.closed());
        clusters.flatten();
        SourceGroups sources = groups(clusters);
        Levels levels = Levels.zero(nodes);
        sources.put(levels);
        for (int node = 0; node < nodes; node++) {
            int cluster = clusters.of(node);
            if (cluster != node) {
                levels.copy(cluster, node);
            }
        }
        groups = clusters.intoGroups(sources);
        equations(levels).solve(held(), stray());
        List<Integer> shorts = sources.isContradictory()
                ? ShortSearch.closing(network, branches, switching, values)
                : DiodeShorts.closing(network, branches, switching, groups, levels);
        return new Solution(network, switching, levels, groups, fed, shorts);
    }

    private SourceGroups groups(Clusters clusters) {
        BitSet on = switching.on();
        SourceGroups sources = new SourceGroups(clusters.of(network.earth()), 2 * branches.sourceFrom().length);
        for (int s = on.nextSetBit(0); s >= 0; s = on.nextSetBit(s + 1)) {
            sources.join(clusters.of(branches.sourceFrom()[s]), clusters.of(branches.sourceTo()[s]), values[s]);
            if (branches.tiedTo()[s] >= 0) {
                sources.join(
                        clusters.of(branches.tiedTo()[s]),
                        clusters.of(branches.sourceFrom()[s]),
                        RectifierTie.rise(values[s]));
            }
        }
        return sources;
    }

    private GroupEquations equations(Levels levels) {
        BitSet on = switching.on();
        for (int s = on.nextSetBit(0); s >= 0; s = on.nextSetBit(s + 1)) {
            fed[groups[branches.sourceFrom()[s]]] = true;
        }
        GroupEquations equations = new GroupEquations(groups, groups[network.earth()], levels, branches);
        for (int l = 0; l < branches.loadFrom().length; l++) {
            if (!switching.open().get(l)) {
                equations.add(l);
            }
        }
        return equations;
    }

    /** The groups that a source holds, if only by its winding: those do not pick anything up. */
    private boolean[] held() {
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
}
