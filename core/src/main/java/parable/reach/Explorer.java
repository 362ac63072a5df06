package parable.reach;

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
import java.util.stream.LongStream;
import parable.bench.Progress;

/**
 * Goes breadth first through every state that can be reached when every change may take any time, so that the way to a state is a
 * shortest one. A state with a short circuit leads nowhere: the breaker opens.
 */
public final class Explorer {

    /** So many states are explored at the most, unless said. */
    public static final int MOST_STATES = 10_000_000;

    private static final int LOOK_UP = 0xfff;

    private final CircuitMachine machine;
    private final Progress progress;
    private final int most;
    private final States states;
    private final Neighbours neighbours;
    private final BitSet settled = new BitSet();
    private final BitSet driven = new BitSet();
    private final BitSet shorted = new BitSet();
    private final BitSet met = new BitSet();
    private int[] made = new int[1 << 10];
    private int visited;
    private int lookedUp;

    /** The places of the group at hand that are looked at, but for those with a short circuit. */
    private final long[] here;

    private boolean unsure;
    private boolean complete;
    private Optional<Drift> drift = Optional.empty();
    private Optional<Rounds> rounds = Optional.empty();
    private Optional<Optional<Integer>> restless = Optional.empty();

    /** Nothing explored yet; at most {@link #MOST_STATES} are. */
    public Explorer(CircuitMachine machine, Progress progress) {
        this(machine, progress, MOST_STATES);
    }

    /**
     * Nothing explored yet.
     *
     * @param most the most states that are explored
     */
    public Explorer(CircuitMachine machine, Progress progress, int most) {
        this.machine = machine;
        this.progress = progress;
        this.most = most;
        states = new States(machine.handBits(States.MOST_TOGETHER));
        neighbours = new Neighbours(machine, states);
        here = new long[states.words()];
    }

    /** What is explored. */
    public CircuitMachine machine() {
        return machine;
    }

    /** Explores, until there is nothing more, the most states are known, or the work is ended. */
    public void explore() {
        long initial = machine.initial();
        int place = states.place(initial);
        states.find(states.groupOf(initial), place >>> 6, 1L << place, -1);
        states.number();
        while (visited < states.size()) {
            if (!visitUpTo(states.size())) {
                states.number();
                return;
            }
            states.number();
        }
        complete = true;
    }

    /** Visits those that are numbered, which are all that so many moves lead to; reports whether it came to an end. */
    private boolean visitUpTo(int end) {
        while (visited < end) {
            boolean looksUp = visited - lookedUp > LOOK_UP;
            if (looksUp) {
                lookedUp = visited;
            }
            if (states.known() > most || looksUp && progress.isCancelled(states.known())) {
                return false;
            }
            int group = states.group(visited);
            Arrays.fill(here, 0);
            while (visited < end && states.group(visited) == group) {
                visit(visited++, group);
            }
            goOn(group);
        }
        return true;
    }

    /** Looks at a state; where it leads to but by moves of hands in its group is left to {@link #goOn}. */
    private void visit(int index, int group) {
        int place = states.place(index);
        Conduction conduction = neighbours.conduction(group, place);
        if (index == made.length) {
            made = Arrays.copyOf(made, index + (index >> 1));
        }
        made[index] = conduction.number();
        met.set(conduction.number());
        unsure |= !conduction.isSure();
        if (conduction.shorted()) {
            shorted.set(index);
            return;
        }
        if (conduction.driven() != 0) {
            driven.set(index);
        }
        if (!neighbours.own(group, place, conduction).goesOn()) {
            settled.set(index);
        }
        here[place >>> 6] |= 1L << place;
        long[] places = neighbours.places(group, place);
        for (int word = 0; word < places.length; word++) {
            states.find(group, word, places[word], index);
        }
    }

    /** Where the states at hand of a group lead to outside it. */
    private void goOn(int group) {
        for (int word = 0; word < here.length; word++) {
            for (Neighbours.Own own : neighbours.known(group)) {
                long places = own.places()[word] & here[word];
                for (int to : own.groups()) {
                    states.findBy(group, to, word, places);
                }
            }
            for (int to : neighbours.groups(group)) {
                states.findBy(group, to, word, here[word]);
            }
        }
    }

    /** The states found so far. */
    public States states() {
        return states;
    }

    /** Whether every state that can be reached was found. */
    public boolean isComplete() {
        return complete;
    }

    /** How many states were looked at; those after them are known, but not what becomes of them. */
    public int visited() {
        return visited;
    }

    /** How a state that was looked at is joined and fed. */
    public Conduction conduction(int index) {
        return machine.conduction(made[index]);
    }

    /** Whether any coil was met with so much voltage that one would feel it and another not. */
    boolean isEverUnsure() {
        return unsure;
    }

    /** Whether nothing has to move any more in a state unless a hand moves it. */
    public boolean isSettled(int index) {
        return settled.get(index);
    }

    /** The positions of the settled states, in order. */
    public List<Integer> settled() {
        return settled.stream().boxed().toList();
    }

    private Drift drift() {
        if (drift.isEmpty()) {
            drift = Optional.of(new Drift(states, neighbours));
        }
        return drift.get();
    }

    /** What the circuit may go round in by itself. */
    private Rounds rounds() {
        if (rounds.isEmpty()) {
            rounds = Optional.of(new Rounds(drift()));
        }
        return rounds.get();
    }

    /** The states that were looked at and are of a kind, and those from which the circuit may come to one by itself. */
    public StateSet leadingTo(IntPredicate kind) {
        StateSet some = drift().none();
        for (int index = 0; index < visited; index++) {
            if (kind.test(index)) {
                some.add(index);
            }
        }
        return drift().leadingTo(some);
    }

    /**
     * Whether all states are known and from each the circuit can come to rest, so that looking at states of rest says everything. A timer that
     * goes on and on keeps no circuit from that: of such a circuit all states count in which it ends up.
     */
    public boolean decidesByRest() {
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
        return rounds().ends().anyMatch(index -> !settled.get(index));
    }

    private Optional<Integer> firstNotLeadingToRest() {
        StateSet leading = leadingTo(index -> settled.get(index) || shorted.get(index));
        return first(index -> !leading.has(index));
    }

    /**
     * The first state of a loop in which the circuit may go round for ever, all by itself; empty if there is none. What comes round only when a
     * timer has run, or by the beat of a flasher, is no such loop.
     */
    public Optional<Integer> firstLoop() {
        return rounds().circling(this::isUnhurried).boxed().findFirst();
    }

    /** All states of such loops. */
    public List<Long> onLoops() {
        return rounds().circling(this::isUnhurried).mapToObj(states::key).toList();
    }

    /** Whether a step is taken only when a timer has run, or by the beat of a flasher, or need not be taken. */
    private boolean isUnhurried(int from, int to) {
        return settled.get(from) || machine.isUnhurried(states.key(from), states.key(to));
    }

    /** The states in which the circuit ends up once it is left alone: where nothing has to move, or what it goes round in for ever. */
    private BitSet ends() {
        if (!machine.mayNeverSettle()) {
            return settled;
        }
        BitSet ends = (BitSet) settled.clone();
        rounds().ends().forEach(ends::set);
        return ends;
    }

    /** The positions of the states in which the circuit ends up, in order. */
    public IntStream ended() {
        return ends().stream();
    }

    /** Whether any motor is driven in a state. */
    public boolean isDriven(int index) {
        return driven.get(index);
    }

    /** The first state with a short circuit, empty if there is none. */
    public Optional<Integer> firstShort() {
        int first = shorted.nextSetBit(0);
        return first < 0 ? Optional.empty() : Optional.of(first);
    }

    /** The first state of a kind among those looked at, empty if there is none. */
    public Optional<Integer> first(IntPredicate kind) {
        for (int index = 0; index < visited(); index++) {
            if (kind.test(index)) {
                return Optional.of(index);
            }
        }
        return Optional.empty();
    }

    /** What is made of the circuit in any of the states. */
    public List<Conduction> conductions() {
        return met.stream().mapToObj(machine::conduction).toList();
    }

    /** A state of those found for each way in which contacts may stand: all else that is alike is made of those alike. */
    public LongStream oneOfEachWay() {
        return neighbours.oneOfEachWay();
    }

    /** The moves that lead to a state from the beginning. */
    public List<CircuitMachine.Move> wayTo(int index) {
        Deque<CircuitMachine.Move> way = new ArrayDeque<>();
        for (int at = index; states.parent(at) >= 0; at = states.parent(at)) {
            way.addFirst(between(states.key(states.parent(at)), states.key(at)));
        }
        return new ArrayList<>(way);
    }

    private CircuitMachine.Move between(long from, long to) {
        List<CircuitMachine.Move> moves = new ArrayList<>(machine.ownMoves(from, machine.conduction(from)));
        moves.addAll(machine.handMoves(from));
        return moves.stream()
                .filter(move -> machine.with(from, move) == to)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("a state was found from one that does not lead to it"));
    }

    /** The states that the circuit may end up in once it is left alone in a state; where something is shorted it ends. */
    public List<Long> ends(long from) {
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
    public Collection<List<Long>> rounds(Set<Long> of) {
        Map<Integer, List<Long>> rounds = new LinkedHashMap<>();
        for (long state : of) {
            int index = machine.mayNeverSettle() ? states.indexOf(state) : -1;
            int round = index >= 0 && !settled.get(index) ? rounds().number(index) : -1 - rounds.size();
            rounds.computeIfAbsent(round, any -> new ArrayList<>()).add(state);
        }
        return rounds.values();
    }
}
