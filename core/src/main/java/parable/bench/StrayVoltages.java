package parable.bench;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import parable.circuit.Places;
import parable.network.NodeState;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/**
 * What a meter of 10 megohms finds on a wire that is joined to nothing: live cores of the same cable bring it across by their capacitance, the more the longer they lie side
 * by side. Taken as 20 pF a metre to live cores and 80 pF a metre to all else, at 50 Hz: 18 % of the voltage after 6 m, at most 20 % (practice: 20 to 100 V on
 * long cables). A motor's winding has so much capacitance to its frame that nothing is found on its leads. Such a voltage falls to nothing under any load.
 */
final class StrayVoltages {

    /** Times 2 pi f times the meter's resistance: for each metre what live cores, and what all neighbours together, make of it. */
    private static final double FROM_LIVE = 0.0628;

    private static final double TO_ALL = 0.314;

    /** What the network's solution takes for the wires of one duct, as a share. */
    private static final double IN_A_DUCT = 0.012;

    /** Less, in V, is no voltage that strays: the node is tied to something. */
    private static final double NOTHING = 0.05;

    private final Assembly assembly;
    private final Solution solution;
    private final Map<Integer, Potential> known = new HashMap<>();

    StrayVoltages(Solution solution) {
        this.solution = solution;
        assembly = solution.network().assembly();
    }

    /** The potential that a meter finds at a node. */
    Potential potential(int node) {
        return known.computeIfAbsent(node, this::workedOut);
    }

    private Potential workedOut(int node) {
        Potential solved = solution.potential(node);
        if (solution.state(node) != NodeState.DEAD || solved.alternating() < NOTHING) {
            return solved;
        }
        double times = Math.max(1, share(metres(node)) / IN_A_DUCT);
        return new Potential(times * solved.real(), times * solved.imaginary(), solved.direct());
    }

    private static double share(double metres) {
        return FROM_LIVE * metres / Math.hypot(1, TO_ALL * metres);
    }

    /** The cables that a node, and what it is joined to in any way, runs through; 0 if a motor is there. */
    private double metres(int node) {
        Set<String> places = new TreeSet<>();
        for (int p = 0; p < assembly.parts().size(); p++) {
            Part part = assembly.parts().get(p);
            boolean there = nodesOf(p).anyMatch(other -> isJoined(node, other));
            if (there && part.family() == Family.MOTOR) {
                return 0;
            }
            if (there) {
                places.add(part.device().place());
            }
        }
        return places.stream()
                .filter(this::hasLiveCores)
                .mapToDouble(Places::metresTo)
                .sum();
    }

    private boolean hasLiveCores(String place) {
        return IntStream.range(0, assembly.parts().size())
                .filter(part -> assembly.parts().get(part).device().place().equals(place))
                .flatMap(this::nodesOf)
                .mapToObj(solution::state)
                .anyMatch(state -> state == NodeState.LIVE || state == NodeState.LIVE_THROUGH_LOAD);
    }

    /** The nodes of the terminals of a part. */
    private IntStream nodesOf(int part) {
        return IntStream.range(0, assembly.terminals(part).screws())
                .map(terminal -> solution.network().node(part, terminal));
    }

    private boolean isJoined(int node, int other) {
        return node == other
                || solution.state(other) == NodeState.DEAD && Double.isFinite(solution.resistance(node, other));
    }
}
