package parable.network;

import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import parable.parts.CurrentKind;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * Sources that follow an input of their own device: transformers, DC supplies, rectifiers. They begin dead and are brought
 * up round by round, each by the input it had in the round before, until none changes; so a transformer behind a
 * transformer takes two rounds. Feeding back from secondary to primary is not modelled.
 */
final class Followers {

    private static final double ENOUGH_FOR_REGULATION = 0.8;
    private static final double RECTIFIED = 0.9;
    private static final double DEAD = 1e-3;

    private final Network network;
    private final CompiledBranches branches;
    private final BitSet followers;

    Followers(Network network, CompiledBranches branches, BitSet followers) {
        this.network = network;
        this.branches = branches;
        this.followers = followers;
    }

    Solution solve(BitSet closed, BitSet on, BitSet open) {
        double[][] values = branches.sourceValue().clone();
        BitSet live = (BitSet) on.clone();
        live.andNot(followers);
        Solution solution = Solver.solve(network, branches, new Switching(closed, live, open), values);
        for (int round = 0; round < followers.cardinality(); round++) {
            boolean changed = false;
            for (int s = followers.nextSetBit(0); s >= 0; s = followers.nextSetBit(s + 1)) {
                changed |= bringUp(s, solution, values, live);
            }
            if (!changed) {
                break;
            }
            solution = Solver.solve(network, branches, new Switching(closed, live, open), values);
        }
        return solution.shorts().isEmpty() ? solution : outdone(solution, values, closed, live, open);
    }

    /**
     * What is left of a short circuit once DC supplies give nothing against a higher voltage that is put on their output: their diodes block.
     * The lowest gives way first.
     */
    private Solution outdone(Solution shorted, double[][] values, BitSet closed, BitSet live, BitSet open) {
        List<Integer> regulated = live.stream()
                .filter(source -> branches.following()
                        .get(source)
                        .filter(following -> following.law() == Source.Law.REGULATED)
                        .isPresent())
                .boxed()
                .sorted(Comparator.comparingDouble(source -> values[source][2]))
                .toList();
        Solution solution = shorted;
        for (int source : regulated) {
            BitSet others = (BitSet) live.clone();
            others.clear(source);
            Solution without = Solver.solve(network, branches, new Switching(closed, others, open), values);
            int minus = branches.sourceFrom()[source];
            int plus = branches.sourceTo()[source];
            Potential imposed = without.voltage(minus, plus);
            boolean blocks = without.joined(minus, plus)
                    && imposed.direct() - Math.sqrt(2) * imposed.alternating() >= values[source][2] - Joints.SAME;
            if (blocks) {
                live.clear(source);
                solution = without;
            }
        }
        return solution;
    }

    private boolean bringUp(int source, Solution solution, double[][] values, BitSet live) {
        double[] value = output(source, solution.loadVoltage(branches.followed()[source]));
        boolean alive = Math.abs(value[0]) + Math.abs(value[1]) + Math.abs(value[2]) > DEAD;
        boolean same = alive == live.get(source) && (!alive || isSame(value, values[source]));
        live.set(source, alive);
        values[source] = value;
        return !same;
    }

    private static boolean isSame(double[] one, double[] other) {
        boolean same = one.length == other.length;
        for (int i = 0; same && i < one.length; i++) {
            same = Math.abs(one[i] - other[i]) < Joints.SAME;
        }
        return same;
    }

    private double[] output(int source, Potential input) {
        Branch branch = network.branches().get(network.contactCount() + source);
        Part part = network.assembly().parts().get(branch.part());
        Source of = part.sources().get(branch.index());
        Load primary = part.loads().get(of.following().orElseThrow().load());
        double share = branches.sourceShare()[source];
        double ratio = share * of.rated().volts() / primary.rated().volts();
        double direct = primary.rated().kind() == CurrentKind.DC ? Math.abs(input.direct()) : input.alternating();
        return switch (of.following().orElseThrow().law()) {
            case IN_PROPORTION -> new double[] {ratio * input.real(), ratio * input.imaginary(), 0};
            case REGULATED -> new double[] {
                0,
                0,
                direct >= ENOUGH_FOR_REGULATION * primary.rated().volts()
                        ? share * of.rated().volts()
                        : 0
            };
            case RECTIFIED -> RectifierTie.values(input.real(), input.imaginary(), share * RECTIFIED * direct);
        };
    }
}
