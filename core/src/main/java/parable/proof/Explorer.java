package parable.proof;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Goes breadth first through every state that can be reached when every change may take any time, so that the way to a state is a
 * shortest one. A state with a short circuit leads nowhere: the breaker opens.
 */
final class Explorer {

    private static final int LOOK_UP = 0xfff;
    private static final int NOWHERE = -1;

    private final Machine machine;
    private final Progress progress;
    private final States states;
    private final BitSet settled = new BitSet();
    private final BitSet driven = new BitSet();
    private Optional<Integer> firstShort = Optional.empty();
    private final BitSet shorted = new BitSet();
    private int[] oneStep = {};
    private final BitSet met = new BitSet();
    private boolean complete;
    private boolean restlessSought;
    private Optional<Integer> restless = Optional.empty();

    Explorer(Machine machine, Progress progress) {
        this.machine = machine;
        this.progress = progress;
        states = new States(machine.handBits());
    }

    void explore() {
        states.add(machine.initial(), -1);
        for (int i = 0; i < states.size(); i++) {
            if (states.size() > Proof.MOST_STATES || (i & LOOK_UP) == LOOK_UP && progress.isCancelled(states.size())) {
                return;
            }
            visit(i);
        }
        complete = true;
    }

    private void visit(int index) {
        if (index >= oneStep.length) {
            oneStep = Arrays.copyOf(oneStep, index + (index >> 1) + 1);
        }
        oneStep[index] = NOWHERE;
        long state = states.key(index);
        Conduction conduction = machine.conduction(state);
        met.set(conduction.number());
        if (conduction.shorted()) {
            shorted.set(index);
            firstShort = firstShort.or(() -> Optional.of(index));
            return;
        }
        driven.set(index, conduction.driven() != 0);
        boolean moves = machine.eachOwn(state, conduction, found -> oneStep[index] = states.add(found, index));
        settled.set(index, !moves);
        machine.eachByHand(state, found -> states.add(found, index));
    }

    States states() {
        return states;
    }

    boolean isComplete() {
        return complete;
    }

    /** Whether nothing moves any more in a state unless a hand moves it. */
    boolean isSettled(int index) {
        return settled.get(index);
    }

    /** The positions of the settled states, in order. */
    List<Integer> settled() {
        return settled.stream().boxed().toList();
    }

    /** Answers from which states the circuit may come to one of a kind by itself. */
    Leading leadingTo(IntPredicate kind) {
        return new Leading(machine, states, kind, index -> index < oneStep.length ? oneStep[index] : NOWHERE);
    }

    /** Whether all states are known and from each the circuit can come to rest, so that looking at states of rest says everything. */
    boolean decidesByRest() {
        return complete && !machine.mayNeverSettle() && firstRestless().isEmpty();
    }

    /** The first state from which the circuit cannot come to rest by itself, nor to a short circuit; empty if there is none. */
    Optional<Integer> firstRestless() {
        if (complete && !restlessSought) {
            restlessSought = true;
            restless = findRestless();
        }
        return restless;
    }

    private Optional<Integer> findRestless() {
        Leading resting = leadingTo(index -> isSettled(index) || shorted.get(index));
        return IntStream.range(0, states.size())
                .filter(index -> !resting.from(index))
                .boxed()
                .findFirst();
    }

    /** The positions of the settled states in which any motor is driven, in order. */
    IntStream settledAndDriven() {
        BitSet both = (BitSet) settled.clone();
        both.and(driven);
        return both.stream();
    }

    /** Whether any motor is driven in a state. */
    boolean isDriven(int index) {
        return driven.get(index);
    }

    /** The first state with a short circuit, empty if there is none. */
    Optional<Integer> firstShort() {
        return firstShort;
    }

    /** What is made of the circuit in any of the states. */
    List<Conduction> conductions() {
        return met.stream().mapToObj(machine::conduction).toList();
    }

    /** The moves that lead to a state from the beginning. */
    List<Machine.Move> wayTo(int index) {
        Deque<Machine.Move> way = new ArrayDeque<>();
        for (int at = index; states.parent(at) >= 0; at = states.parent(at)) {
            way.addFirst(between(states.key(states.parent(at)), states.key(at)));
        }
        return new ArrayList<>(way);
    }

    private Machine.Move between(long from, long to) {
        List<Machine.Move> moves = new ArrayList<>(machine.ownMoves(from, machine.conduction(from)));
        moves.addAll(machine.handMoves(from));
        return moves.stream()
                .filter(move -> machine.with(from, move) == to)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("a state was found from one that does not lead to it"));
    }

    /** The settled states that the circuit may come to by itself from a state; where something is shorted it ends. */
    List<Long> ends(long from) {
        List<Long> ends = new ArrayList<>();
        Set<Long> seen = new TreeSet<>(List.of(from));
        Deque<Long> waiting = new ArrayDeque<>(seen);
        while (!waiting.isEmpty()) {
            long state = waiting.poll();
            Conduction conduction = machine.conduction(state);
            boolean moves = !conduction.shorted()
                    && machine.eachOwn(state, conduction, next -> {
                        if (seen.add(next)) {
                            waiting.add(next);
                        }
                    });
            if (!moves && !conduction.shorted()) {
                ends.add(state);
            }
        }
        return ends;
    }
}
