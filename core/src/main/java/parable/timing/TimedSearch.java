package parable.timing;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Conduction;
import parable.reach.UnattendedSteps;

/**
 * Goes breadth first through what can be reached when some parts keep their times and all others may take any time. A node is a
 * state together with a zone of the times left; one whose zone lies within that of an earlier node with the same state is left out.
 */
public final class TimedSearch {

    /** The most nodes that are explored. */
    static final int MOST_NODES = 1_500_000;

    private static final int LOOK_UP = 0xff;

    /** What leads from a node to the next. */
    public record TimedStep(CircuitMachine.Move move, List<Instant.Event> events) {}

    /** A state, which coils are felt to be fed, the times left, and what a watch remembers. */
    record TimedNode(long positions, long commanded, Zone zone, long memory, int parent) {}

    private record Key(long positions, long commanded, long memory) {

        /** As any record's; written out, because keys are looked up so often that the generated one is felt. */
        @Override
        public int hashCode() {
            long mixed = 31 * (31 * positions + commanded) + memory;
            return (int) (mixed ^ mixed >>> 32);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Key that
                    && positions == that.positions
                    && commanded == that.commanded
                    && memory == that.memory;
        }
    }

    private final CircuitMachine machine;
    private final Map<Integer, TimedPart> timed;
    private final BooleanSupplier cancelled;
    private final boolean withHands;
    private final List<TimedNode> nodes = new ArrayList<>();
    private final Map<Key, List<Integer>> seen = new HashMap<>();

    /** Nodes whose zones are part of one found later, so that whatever they lead to is found from there. */
    private final BitSet covered = new BitSet();

    /** For each node the nodes that it leads to by itself, or those that cover these; by numbers of nodes two each. */
    private final List<int[]> ownSteps = new ArrayList<>();

    private final boolean thorough;
    private boolean complete;
    private boolean metShort;

    /**
     * A search.
     *
     * @param keeping the parts that keep their times, by their positions among the sheet's
     * @param withHands whether hands and the world act at any moment; otherwise only what is set going by itself goes on
     */
    public TimedSearch(CircuitMachine machine, Set<Integer> keeping, boolean withHands, BooleanSupplier cancelled) {
        this(machine, keeping, withHands, true, cancelled);
    }

    private TimedSearch(
            CircuitMachine machine,
            Set<Integer> keeping,
            boolean withHands,
            boolean thorough,
            BooleanSupplier cancelled) {
        this.machine = machine;
        this.thorough = thorough;
        this.timed = timed(machine, keeping);
        this.withHands = withHands;
        this.cancelled = cancelled;
    }

    /**
     * A search with hands that passes over nodes once others cover them: it comes to an end earlier, and the way to what it finds need not be a shortest
     * one.
     *
     * @param keeping the parts that keep their times, by their positions among the sheet's
     */
    static TimedSearch quick(CircuitMachine machine, Set<Integer> keeping, BooleanSupplier cancelled) {
        return new TimedSearch(machine, keeping, true, false, cancelled);
    }

    /**
     * The same without hands: only what is set going by itself goes on.
     *
     * @param keeping the parts that keep their times, by their positions among the sheet's
     */
    static TimedSearch leftAlone(CircuitMachine machine, Set<Integer> keeping, BooleanSupplier cancelled) {
        return new TimedSearch(machine, keeping, false, false, cancelled);
    }

    private static Map<Integer, TimedPart> timed(CircuitMachine machine, Set<Integer> keeping) {
        Map<Integer, TimedPart> timed = new LinkedHashMap<>();
        for (int part : machine.moving()) {
            if (keeping.contains(part)) {
                of(machine, part).ifPresent(kept -> timed.put(part, kept));
            }
        }
        return timed;
    }

    /** Whether a part has times to keep. */
    static boolean hasTimes(CircuitMachine machine, int part) {
        return of(machine, part).isPresent();
    }

    private static Optional<TimedPart> of(CircuitMachine machine, int index) {
        Part part = machine.parts().get(index);
        if (machine.component(index) instanceof Component.Memory) {
            return machine.programmed()
                    .map(controller -> new TimedPart.OfMemory(
                            index, machine, controller.drive().scan()));
        }
        if (machine.component(index) instanceof Component.Output) {
            return machine.programmed()
                    .map(controller -> new TimedPart.OfOutput(
                            index, part, controller.drive().filter()));
        }
        if (machine.component(index) instanceof Component.ProgramTimer) {
            return machine.programmed().map(controller -> new TimedPart.OfProgramTimer(index, machine, controller));
        }
        if (machine.component(index) instanceof Component.Armature) {
            return Optional.of(new TimedPart.OfArmature(index, part));
        }
        if (part.drive() instanceof Drive.ByTimer timer) {
            return Optional.of(new TimedPart.OfClock(index, timer.program()));
        }
        if (machine.component(index) instanceof Component.Button) {
            return Optional.of(new TimedPart.OfButton(index, part));
        }
        boolean byHand = part.family() != Family.MACHINE_SWITCH && !(part.drive() instanceof Drive.BySpeed);
        return byHand ? Optional.of(new TimedPart.OfHand(index)) : Optional.empty();
    }

    /** What a node is looked at for: its state, and whether nothing is under way in it. */
    public interface Kind extends Watch {
        boolean test(long positions, Conduction conduction, boolean settled);

        @Override
        default int after(long before, CircuitMachine.Move hand) {
            return 0;
        }

        @Override
        default boolean isBroken(long memory, long positions, Conduction conduction, boolean settled) {
            return test(positions, conduction, settled);
        }
    }

    /** What a way is looked at for: what its last hand did, and what came of it by itself since. */
    public interface Watch {
        /** What is to be remembered of what a hand does in a state, until the next hand. */
        int after(long before, CircuitMachine.Move hand);

        /** Whether a node is of the kind that is looked for. */
        boolean isBroken(long memory, long positions, Conduction conduction, boolean settled);
    }

    /** Begins with everything at rest, all coils dead until now. */
    public Instant rest() {
        return new Instant(machine, machine.initial(), 0, Zone.EMPTY);
    }

    /** Begins in a state that has come about in whatever way and time: with and without each command that may have been taken back. */
    List<Instant> underway(long positions) {
        List<TimedPart> turning = timed.values().stream()
                .filter(kept -> kept.mayHaveTakenBack(Instant.underway(machine, positions)))
                .toList();
        List<Instant> all = new ArrayList<>();
        for (int with = 0; with < 1 << turning.size(); with++) {
            Instant now = Instant.underway(machine, positions);
            timed.values().forEach(kept -> kept.resume(now));
            for (int i = 0; i < turning.size(); i++) {
                if ((with >> i & 1) == 1) {
                    turning.get(i).resumeTakenBack(now);
                }
            }
            all.add(now);
        }
        return all;
    }

    /** Begins where an earlier search has ended. */
    public Instant from(int node) {
        TimedNode at = nodes.get(node);
        return new Instant(machine, at.positions(), at.commanded(), at.zone());
    }

    /** A hand moves something. */
    public void act(Instant now, CircuitMachine.Move move) {
        Optional.ofNullable(timed.get(move.part()))
                .ifPresentOrElse(part -> part.toggle(now, move), () -> now.moveByHand(move));
    }

    /**
     * Goes on from some instants until a node of a kind is found.
     *
     * @return the first node of the kind, empty if there is none among those explored
     */
    Optional<Integer> find(List<Instant> beginnings, Watch watch) {
        for (int i = 0; i < beginnings.size(); i++) {
            add(beginnings.get(i), 0, -1 - i);
        }
        for (int i = 0; i < nodes.size(); i++) {
            if (nodes.size() > MOST_NODES || (i & LOOK_UP) == LOOK_UP && cancelled.getAsBoolean()) {
                return Optional.empty();
            }
            if ((thorough || !covered.get(i)) && visit(i, watch)) {
                return Optional.of(i);
            }
        }
        complete = true;
        return Optional.empty();
    }

    /** Whether everything was explored. */
    public boolean isComplete() {
        return complete;
    }

    /** Whether anything was shorted on the way. */
    public boolean metShort() {
        return metShort;
    }

    int size() {
        return nodes.size();
    }

    /** Where everything is in a node. */
    public long positions(int node) {
        return nodes.get(node).positions();
    }

    private boolean visit(int index, Watch watch) {
        TimedNode node = nodes.get(index);
        Conduction conduction = machine.conduction(node.positions());
        Own own = own(node, conduction);
        if (watch.isBroken(node.memory(), node.positions(), conduction, own.settled())) {
            return true;
        }
        metShort |= conduction.shorted();
        if (!conduction.shorted()) {
            own.steps().forEach(step -> add(step, node.memory(), index)
                    .ifPresent(next -> ownSteps.add(new int[] {index, next})));
            if (withHands) {
                List<CircuitMachine.Move> hands = machine.handMoves(node.positions());
                for (int i = hands.size() - 1; i >= 0; i--) {
                    CircuitMachine.Move move = hands.get(i);
                    add(now -> act(now, move), watch.after(node.positions(), move), index);
                }
            }
        }
        return false;
    }

    /** What may come to pass by itself, and whether none of it has to. */
    record Own(List<Consumer<Instant>> steps, boolean settled) {}

    Own own(TimedNode node, Conduction conduction) {
        List<Consumer<Instant>> own = new ArrayList<>();
        if (conduction.shorted()) {
            return new Own(own, true);
        }
        Instant before = instant(node);
        timed.forEach((part, kept) -> own.addAll(kept.next(before, machine.isBarred(node.positions(), part))));
        boolean settled = own.isEmpty();
        for (CircuitMachine.Move move : machine.ownMoves(node.positions(), conduction)) {
            if (!timed.containsKey(move.part())) {
                own.add(now -> now.move(move.part(), move.value()));
                settled &= machine.mayStay(node.positions(), move.part(), conduction);
            }
        }
        if (!conduction.isSure()) {
            timed.forEach((part, kept) -> {
                if (machine.isUnsure(node.positions(), part, conduction)) {
                    own.add(now -> kept.feel(now, !kept.isFelt(now), machine.isBarred(node.positions(), part)));
                }
            });
        }
        return new Own(own, settled);
    }

    Instant instant(TimedNode node) {
        return new Instant(machine, node.positions(), node.commanded(), node.zone());
    }

    private OptionalInt add(Consumer<Instant> step, long memory, int parent) {
        Instant now = instant(nodes.get(parent));
        step.accept(now);
        return add(now, memory, parent);
    }

    /**
     * Lets all coils feel what has become of their voltage in the same instant, and keeps the node if it is new.
     *
     * @return the number of the node, or of one that covers it; empty if the instant cannot be
     */
    private OptionalInt add(Instant now, long before, int parent) {
        feel(now);
        long memory = withHands ? before : parent < 0 ? now.unknown() : stillUnknown(before, now);
        Optional<Zone> left = now.zone().map(Zone::later);
        if (left.isEmpty()) {
            return OptionalInt.empty();
        }
        Zone zone = left.get();
        List<Integer> same =
                seen.computeIfAbsent(new Key(now.positions(), now.commanded(), memory), any -> new ArrayList<>(1));
        for (int earlier : same) {
            Zone known = nodes.get(earlier).zone();
            if (known.hasClocksOf(zone) && known.includes(zone)) {
                return OptionalInt.of(earlier);
            }
        }
        int number = nodes.size();
        same.removeIf(earlier -> {
            Zone known = nodes.get(earlier).zone();
            boolean covers = zone.hasClocksOf(known) && zone.includes(known);
            if (covers) {
                covered.set(earlier);
                ownSteps.add(new int[] {earlier, number});
            }
            return covers;
        });
        same.add(number);
        nodes.add(new TimedNode(now.positions(), now.commanded(), zone, memory, parent));
        return OptionalInt.of(number);
    }

    /**
     * Of the parts of which nobody knew for how long something had been under way those of which that is still so. A node in which less is known
     * does not cover one in which more is.
     */
    private static long stillUnknown(long before, Instant now) {
        long unknown = before;
        for (Instant.Event event : now.events()) {
            unknown &= ~(1L << event.part());
        }
        return unknown;
    }

    /** The steps that are taken by themselves from node to node; of one that was passed over, to the one that covers it. */
    UnattendedSteps ownSteps() {
        int[] count = new int[nodes.size() + 1];
        ownSteps.forEach(step -> count[step[0] + 1]++);
        for (int i = 0; i < nodes.size(); i++) {
            count[i + 1] += count[i];
        }
        int[] targets = new int[ownSteps.size()];
        int[] next = count.clone();
        ownSteps.forEach(step -> targets[next[step[0]]++] = step[1]);
        UnattendedSteps steps = new UnattendedSteps();
        for (int i = 0; i < nodes.size(); i++) {
            steps.next();
            for (int t = count[i]; t < count[i + 1]; t++) {
                steps.add(targets[t]);
            }
        }
        return steps;
    }

    void feel(Instant now) {
        if (now.zone().isEmpty()) {
            return;
        }
        Conduction conduction = machine.conduction(now.positions());
        timed.forEach((part, kept) -> {
            boolean fed = machine.isUnsure(now.positions(), part, conduction)
                    ? kept.isFelt(now)
                    : machine.isFed(now.positions(), part, conduction);
            kept.feel(now, fed, machine.isBarred(now.positions(), part));
        });
    }

    /** Goes through everything and returns the nodes in which nothing is under way, in the order they were found. */
    public List<Integer> ends(List<Instant> beginnings) {
        List<Integer> ends = new ArrayList<>();
        find(beginnings, (Kind) (positions, conduction, settled) -> false);
        for (int i = 0; i < nodes.size(); i++) {
            Conduction conduction = machine.conduction(nodes.get(i).positions());
            if (!conduction.shorted() && own(nodes.get(i), conduction).settled()) {
                ends.add(i);
            }
        }
        return ends;
    }

    /** Which of the beginnings leads to a node. */
    public int beginningOf(int node) {
        int at = node;
        while (at >= 0) {
            at = nodes.get(at).parent();
        }
        return -1 - at;
    }

    /** Whether hands do anything on the way. */
    boolean isWithHands() {
        return withHands;
    }

    /** The steps from the beginning of a node to it. */
    public List<TimedStep> wayTo(int node) {
        List<Integer> way = new ArrayList<>();
        for (int at = node; at >= 0; at = nodes.get(at).parent()) {
            way.add(0, at);
        }
        TimedSteps between = new TimedSteps(this, machine);
        List<TimedStep> steps = new ArrayList<>();
        for (int i = 1; i < way.size(); i++) {
            steps.add(between.step(nodes.get(way.get(i - 1)), nodes.get(way.get(i))));
        }
        return steps;
    }

    /** The parts that keep no times and could have moved by themselves at some point of the way to a node. */
    Set<Integer> waiting(int node) {
        Set<Integer> waiting = new TreeSet<>();
        for (int at = node; at >= 0; at = nodes.get(at).parent()) {
            long positions = nodes.get(at).positions();
            for (CircuitMachine.Move move : machine.ownMoves(positions, machine.conduction(positions))) {
                if (!timed.containsKey(move.part()) && hasTimes(machine, move.part())) {
                    waiting.add(move.part());
                }
            }
        }
        return waiting;
    }

    /** The parts with times of their own that move by themselves, or else those that are moved by hand. */
    public static Set<Integer> movers(CircuitMachine machine, List<CircuitMachine.Move> way, boolean byHand) {
        Set<Integer> movers = new TreeSet<>();
        for (CircuitMachine.Move move : way) {
            if (move.byHand() == byHand && move.part() >= 0 && hasTimes(machine, move.part())) {
                movers.add(move.part());
            }
        }
        return movers;
    }
}
