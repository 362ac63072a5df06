package parable.proof;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

    private final Machine machine;
    private final Progress progress;
    private final int most;
    private final States states;
    private final Neighbours neighbours;
    private final OwnSteps own = new OwnSteps();
    private final BitSet settled = new BitSet();
    private final BitSet driven = new BitSet();
    private final BitSet shorted = new BitSet();
    private final BitSet met = new BitSet();
    private int[] made = new int[1 << 10];
    private boolean unsure;
    private boolean complete;
    private Optional<Course> course = Optional.empty();
    private Optional<Optional<Integer>> restless = Optional.empty();

    Explorer(Machine machine, Progress progress) {
        this(machine, progress, Proof.MOST_STATES);
    }

    /**
     * Nothing explored yet.
     *
     * @param most the most states that are explored
     */
    Explorer(Machine machine, Progress progress, int most) {
        this.machine = machine;
        this.progress = progress;
        this.most = most;
        states = new States(machine.handBits(States.MOST_TOGETHER));
        neighbours = new Neighbours(machine, states);
    }

    void explore() {
        states.add(machine.initial(), -1);
        for (int i = 0; i < states.size(); i++) {
            if (states.size() > most || (i & LOOK_UP) == LOOK_UP && progress.isCancelled(states.size())) {
                return;
            }
            visit(i);
        }
        complete = true;
    }

    private void visit(int index) {
        int group = states.group(index);
        int place = states.place(index);
        Conduction conduction = neighbours.conduction(group, place);
        if (index == made.length) {
            made = Arrays.copyOf(made, index + (index >> 1));
        }
        made[index] = conduction.number();
        met.set(conduction.number());
        unsure |= !conduction.isSure();
        own.next();
        if (conduction.shorted()) {
            shorted.set(index);
            return;
        }
        driven.set(index, conduction.driven() != 0);
        Neighbours.Own moves = neighbours.own(group, place, conduction);
        for (int to : moves.groups()) {
            own.add(states.add(to, place, index));
        }
        settled.set(index, !moves.goesOn());
        for (int to : neighbours.places(group, place)) {
            states.add(group, to, index);
        }
        for (int to : neighbours.groups(group)) {
            states.add(to, place, index);
        }
    }

    States states() {
        return states;
    }

    boolean isComplete() {
        return complete;
    }

    /** How many states were looked at; those after them are known, but not what becomes of them. */
    int visited() {
        return own.states();
    }

    /** How a state that was looked at is joined and fed. */
    Conduction conduction(int index) {
        return machine.conduction(made[index]);
    }

    /** Whether any coil was met with so much voltage that one would feel it and another not. */
    boolean isEverUnsure() {
        return unsure;
    }

    /** Whether nothing has to move any more in a state unless a hand moves it. */
    boolean isSettled(int index) {
        return settled.get(index);
    }

    /** The positions of the settled states, in order. */
    List<Integer> settled() {
        return settled.stream().boxed().toList();
    }

    /** Where the circuit may go by itself from each state. */
    Course course() {
        if (course.isEmpty()) {
            course = Optional.of(new Course(own, (from, to) -> true, byPlace()));
        }
        return course.get();
    }

    /** The states that were looked at, those together in which hands did the same: by itself the circuit goes only from one of them to another. */
    private int[] byPlace() {
        int[] next = new int[states.places() + 1];
        for (int index = 0; index < visited(); index++) {
            next[states.place(index) + 1]++;
        }
        Arrays.parallelPrefix(next, Integer::sum);
        int[] byPlace = new int[visited()];
        for (int index = 0; index < visited(); index++) {
            byPlace[next[states.place(index)]++] = index;
        }
        return byPlace;
    }

    /**
     * Whether all states are known and from each the circuit can come to rest, so that looking at states of rest says everything. A timer that
     * goes on and on keeps no circuit from that: of such a circuit all states count in which it ends up.
     */
    boolean decidesByRest() {
        return complete && (machine.mayNeverSettle() || firstRestless().isEmpty());
    }

    /** The first state from which the circuit cannot come to rest by itself, nor to a short circuit; empty if there is none. */
    Optional<Integer> firstRestless() {
        if (restless.isEmpty()) {
            restless = Optional.of(complete && mayNotRest() ? firstNotLeadingToRest() : Optional.empty());
        }
        return restless.get();
    }

    /** Whether there is anything that the circuit may end up in but rest. */
    private boolean mayNotRest() {
        BitSet restless = (BitSet) course().ends().clone();
        restless.andNot(settled);
        restless.andNot(shorted);
        return !restless.isEmpty();
    }

    private Optional<Integer> firstNotLeadingToRest() {
        int first = course().leadingTo(index -> settled.get(index) || shorted.get(index))
                .nextClearBit(0);
        return first < states.size() ? Optional.of(first) : Optional.empty();
    }

    /**
     * The first state of a loop in which the circuit may go round for ever, all by itself; empty if there is none. What comes round only when a
     * timer has run, or by the beat of a flasher, is no such loop.
     */
    Optional<Integer> firstLoop() {
        int first = chatter().firstThatComesBack();
        return first < 0 ? Optional.empty() : Optional.of(first);
    }

    /** All states of such loops. */
    List<Long> onLoops() {
        Course chatter = chatter();
        return IntStream.range(0, visited())
                .filter(chatter::comesBack)
                .mapToObj(states::key)
                .toList();
    }

    private Course chatter() {
        Course all = course();
        return new Course(
                own,
                (from, to) -> all.comesBack(to)
                        && !settled.get(from)
                        && !machine.isUnhurried(states.key(from), states.key(to)),
                all.thatComeBack());
    }

    /** The states in which the circuit ends up once it is left alone: where nothing has to move, or what it goes round in for ever. */
    private BitSet ends() {
        if (!machine.mayNeverSettle()) {
            return settled;
        }
        BitSet ends = (BitSet) settled.clone();
        ends.or(course().ends());
        ends.andNot(shorted);
        return ends;
    }

    /** The positions of the states in which the circuit ends up, in order. */
    IntStream ended() {
        return ends().stream();
    }

    /** Whether any motor is driven in a state. */
    boolean isDriven(int index) {
        return driven.get(index);
    }

    /** The first state with a short circuit, empty if there is none. */
    Optional<Integer> firstShort() {
        int first = shorted.nextSetBit(0);
        return first < 0 ? Optional.empty() : Optional.of(first);
    }

    /** The first state of a kind among those looked at, empty if there is none. */
    Optional<Integer> first(IntPredicate kind) {
        for (int index = 0; index < visited(); index++) {
            if (kind.test(index)) {
                return Optional.of(index);
            }
        }
        return Optional.empty();
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

    /** The states that the circuit may end up in once it is left alone in a state; where something is shorted it ends. */
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
            if (!conduction.shorted() && (!moves || goesRound(state))) {
                ends.add(state);
            }
        }
        return ends;
    }

    /** Whether a state is one of those that a timer that goes on and on goes round in for ever. */
    private boolean goesRound(long state) {
        return machine.mayNeverSettle() && ends().get(states.indexOf(state));
    }

    /** What those of some states that belong to one round have in common stands in the same place; of any other each stands alone. */
    Collection<List<Long>> rounds(Set<Long> of) {
        Map<Integer, List<Long>> rounds = new LinkedHashMap<>();
        for (long state : of) {
            int index = machine.mayNeverSettle() ? states.indexOf(state) : -1;
            int round = index >= 0 && !settled.get(index) ? course().round(index) : -1 - rounds.size();
            rounds.computeIfAbsent(round, any -> new ArrayList<>()).add(state);
        }
        return rounds.values();
    }
}
