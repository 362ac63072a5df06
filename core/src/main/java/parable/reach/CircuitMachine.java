package parable.reach;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;
import parable.bench.Fault;
import parable.network.Network;
import parable.parts.Assembly;
import parable.parts.Part;

/**
 * The positions of everything on a sheet that moves, one long for each state. Fuses stay closed; of supplies and of breakers that only a hand
 * opens one is away at a time; a machine switch or a speed may change at any moment.
 */
public final class CircuitMachine {

    /**
     * A step to another state.
     *
     * @param part the part that moves, or {@link #POWER}
     * @param value where it goes
     * @param byHand whether a hand or the world does it, rather than the circuit
     */
    public record Move(int part, int value, boolean byHand) {}

    /** The part that stands for supplies and breakers: value 0 while all of them are there, else the number of the outage. */
    public static final int POWER = -1;

    /** The value of {@link #POWER} while everything is there. */
    public static final int ALL_THERE = 0;

    /** A scan that is not due. */
    private static final int NO_SCAN = -2;

    /** More bits than this of a program's memory are not explored. */
    private static final int MOST_MEMORY = 31;

    private final MovingParts parts;
    private final StateBits bits;
    private final ContactWays ways;
    private final ContactPositions positions;
    private final Conductions conductions;
    private final Optional<ControllerSteps> controller;
    private final OwnMoves own;
    private final HandMoves hands;
    private final MachineWords words;
    private final List<Outages.Outage> outages;
    private int restless;

    /**
     * The machine of a sheet.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public CircuitMachine(Assembly assembly, List<Fault> faults) {
        this(assembly, faults, Grain.TIMED);
    }

    /**
     * The machine that is explored where every change may take any time.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public static CircuitMachine untimed(Assembly assembly, List<Fault> faults) {
        return new CircuitMachine(assembly, faults, Grain.ANY_SPEED);
    }

    /**
     * The machine whose plain positions are explored.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public static CircuitMachine plain(Assembly assembly, List<Fault> faults) {
        return new CircuitMachine(assembly, faults, Grain.PLAIN);
    }

    private CircuitMachine(Assembly assembly, List<Fault> faults, Grain grain) {
        Optional<ProgrammedParts> programmed = ProgrammedParts.of(assembly);
        parts = new MovingParts(assembly, faults, grain, programmed);
        outages = outages(assembly, faults);
        bits = new StateBits(parts, outages.size());
        ways = new ContactWays(parts, bits, outages.size());
        controller = programmed.map(program -> new ControllerSteps(parts, bits, program, grain != Grain.TIMED, faults));
        own = new OwnMoves(parts, bits, controller);
        hands = new HandMoves(parts, bits, outages.size());
        int[] motors = parts.where(Conductions::isMotor);
        int[] signals = parts.where(Conductions::tells);
        words = new MachineWords(parts, bits, motors, signals, outages);
        positions = new ContactPositions(
                Network.of(assembly), parts.parts, parts.components, part -> parts.rank[part] >= 0);
        conductions = new Conductions(
                assembly, new Conductions.Numbered(parts.moving, motors, signals), faults, programmed, outages);
    }

    /**
     * What may be taken away from a sheet, number 1 first.
     *
     * @param faults what is wrong with it
     */
    public static List<Outages.Outage> outages(Assembly assembly, List<Fault> faults) {
        return new Outages(assembly, part -> MovingParts.mayBeTakenAway(part, faults)).all();
    }

    /**
     * So many of the lowest bits of a state, at most as many as asked for, are what hands and the world do and nothing else: by itself the
     * circuit changes none of them, and what it does depends on them only through {@link #conduction(long)} and {@link #scans}.
     */
    int handBits(int most) {
        return bits.handBits(most);
    }

    /** Whether a state fits into a long. */
    public boolean isSmallEnough() {
        boolean remembers = controller.isEmpty()
                || parts.components.get(parts.memory).bits() < MOST_MEMORY
                        && controller.get().programmed().isSmallEnough();
        return remembers
                && bits.size() < Long.SIZE
                && ways.size() + programmed().map(ProgrammedParts::allOutputs).orElse(0) < Long.SIZE
                && words.motors().size() <= Long.SIZE
                && words.signals().size() <= Long.SIZE;
    }

    /** Whether a timer goes on and on, so that the circuit need not come to rest by itself. */
    public boolean mayNeverSettle() {
        return parts.components.stream()
                .anyMatch(component -> component instanceof Component.Clockwork clock
                        && clock.program().repeats());
    }

    /**
     * Whether a step of the circuit's own is that of a timer that had to run for a while, or the beat of one that goes on and on: what comes back
     * only by such a step does not chatter.
     */
    public boolean isUnhurried(long from, long to) {
        return own.isUnhurried(from, to);
    }

    /** The sheet's parts in their order, then those of its program. */
    public List<Part> parts() {
        return parts.parts;
    }

    /** How a part moves. */
    public Component component(int part) {
        return parts.components.get(part);
    }

    /**
     * The position of a part among the sheet's.
     *
     * @throws IllegalArgumentException if the sheet has no device of this tag
     */
    public int index(String tag) {
        return IntStream.range(0, parts.parts.size())
                .filter(p -> parts.parts.get(p).tag().equals(tag))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device"));
    }

    /** The parts that move, by their positions among the sheet's. */
    public int[] moving() {
        return parts.moving.clone();
    }

    /** Everything at rest, breakers closed, supplies there. */
    public long initial() {
        long state = 0;
        for (int p : parts.moving) {
            state = bits.with(state, p, parts.components.get(p).rest());
        }
        return state;
    }

    /** Where a part is in a state. */
    public int value(long state, int part) {
        return bits.value(state, part);
    }

    /** Whether every supply from outside is there. */
    public boolean hasPower(long state) {
        int outage = outage(state);
        return outage == ALL_THERE || outages.get(outage - 1).silent().isEmpty();
    }

    /** What is taken away in a state: {@link #ALL_THERE}, or the number of an outage. */
    public int outage(long state) {
        return bits.outage(state);
    }

    /** The outages that may be, number 1 first. */
    public List<Outages.Outage> outages() {
        return outages;
    }

    /** The state after a move; what does not move stays. */
    public long with(long state, Move move) {
        if (move.part() == POWER) {
            return bits.without(state, move.value());
        }
        if (move.part() == parts.memory) {
            return controller.orElseThrow().scanned(state, move.value());
        }
        return parts.rank[move.part()] < 0 ? state : bits.with(state, move.part(), move.value());
    }

    /** Whether the controller scans in a state; there must be one. */
    public boolean scans(long state, Conduction conduction) {
        return controller.orElseThrow().scans(state, conduction);
    }

    /** The memory after the next scan, or after the controller was stopped; what it is if nothing would change. */
    public int remembersNext(long state, Conduction conduction) {
        return controller.orElseThrow().remembersNext(state, conduction);
    }

    /** What tells the scans apart that a state may lead to: the memory afterwards, a negative number if no scan is due. */
    int nextScan(long state, Conduction conduction) {
        if (controller.isEmpty() || !controller.get().isMoving()) {
            return NO_SCAN;
        }
        int becomes = controller.get().remembersNext(state, conduction);
        return controller.get().isToScan(state, becomes) ? becomes : NO_SCAN;
    }

    /** The armatures that are in, bit n for that of rank n: what they do depends on whether they are fed enough to hold. */
    public long held(long state) {
        return own.held(state);
    }

    /** The parts, bit n for that of rank n, that do something else in a state when their coils are fed than when they are not. */
    long heeding(long state) {
        return own.heeding(state);
    }

    /** The controller with its program, empty if the sheet has none. */
    public Optional<ProgrammedParts> programmed() {
        return controller.map(ControllerSteps::programmed);
    }

    /** What is remembered in a state. */
    public int memory(long state) {
        return controller.orElseThrow().memory(state);
    }

    /** The number of a timer of the program. */
    public int programTimer(int part) {
        return controller.orElseThrow().timerOf(part);
    }

    /** Whether a mechanical interlock is between two parts. */
    public boolean isBarredBy(int part, int other) {
        return IntStream.of(parts.barredBy[part]).anyMatch(one -> one == other);
    }

    /** The number of a moving part in the bits of a {@link Conduction}. */
    public int rank(int part) {
        return parts.rank[part];
    }

    /** How a state is joined and fed. */
    public Conduction conduction(long state) {
        return conductions.of(contacts(state), outage(state), () -> closed(state, 0));
    }

    /** How some state that was asked for is joined and fed, by the number of that. */
    public Conduction conduction(int number) {
        return conductions.numbered(number);
    }

    /** How a state is joined and fed once nothing changes any more, the lamps at the controller's outputs included. */
    public Conduction settled(long state) {
        Conduction without = conduction(state);
        if (controller.isEmpty() || !scans(state, without)) {
            return without;
        }
        ProgrammedParts.Shown shown = controller.get().programmed().shown(memory(state), without.reads());
        restless |= shown.restless();
        if (shown.told() == 0) {
            return without;
        }
        return conductions.of(
                contacts(state) | (long) shown.told() << ways.size(), outage(state), () -> closed(state, shown.told()));
    }

    /**
     * The contacts that are closed in a state, by their numbers in the network.
     *
     * @param told bit n is set if output n of the controller is closed in any case
     */
    private BitSet closed(long state, int told) {
        return positions.closed(
                part -> bits.valueOfMoving(state, part),
                output -> controller.filter(steps -> steps.isOn(state, output)).isPresent()
                        || (told >> output.closedIn() - 1 & 1) == 1);
    }

    /** Whether a lamp hangs on an output that was found to go on changing, by what {@link #settled} was asked so far. */
    public boolean mayBlink(String tag) {
        return restless != 0
                && programmed().filter(program -> program.lights(restless, tag)).isPresent();
    }

    /** Whether the coil of a moving part is fed enough for what it does. */
    public boolean isFed(long state, int part, Conduction conduction) {
        return own.isFed(state, part, conduction);
    }

    /** Whether the coil of a moving part has so much voltage that one would feel it and another not. */
    public boolean isUnsure(long state, int part, Conduction conduction) {
        return own.isUnsure(state, part, conduction);
    }

    /** Whether what is unsure leaves a part where it is as well as it moves it: one that is at either end of its way. */
    public boolean mayStay(long state, int part, Conduction conduction) {
        return own.mayStay(state, part, conduction);
    }

    /** Whether an armature holds its poles closed. */
    public boolean isIn(long state, int part) {
        return parts.isIn(part, value(state, part));
    }

    /**
     * Hands over each state that the circuit may come to by itself in one step; returns whether it has to go on to one of them. It has not
     * where all that may move are coils whose voltage one would feel and another not.
     */
    public boolean eachOwn(long state, Conduction conduction, LongConsumer step) {
        return own.each(state, conduction, step);
    }

    /** Says of a step that the circuit takes by itself whether it is of a kind. */
    interface OwnStep {
        boolean is(int part, int becomes);
    }

    /** Whether all that the circuit may do by itself from a state is of a kind. */
    boolean allOwn(long state, Conduction conduction, OwnStep kind) {
        return own.all(state, conduction, kind);
    }

    /** What the circuit does by itself from a state, whenever it likes. */
    public List<Move> ownMoves(long state, Conduction conduction) {
        return own.moves(state, conduction);
    }

    /** Whether a mechanical interlock keeps an armature at rest. */
    public boolean isBarred(long state, int part) {
        return own.isBarred(state, part);
    }

    /** A button pressed, or let go. */
    public Move toggle(long state, int part) {
        return hands.toggle(state, part);
    }

    /** What hands and the world may do in a state. */
    public List<Move> handMoves(long state) {
        return hands.moves(state);
    }

    /** Hands over each state that hands and the world may lead to in one step. */
    public void eachByHand(long state, LongConsumer step) {
        hands.each(state, step);
    }

    /** Whether another has the same parts, and each of them moves in the same way where its coil and the program's inputs are the same. */
    public boolean movesLike(CircuitMachine other) {
        return parts.movesLike(other.parts) && Arrays.equals(atOnce(), other.atOnce());
    }

    private int[] atOnce() {
        return controller.map(ControllerSteps::atOnce).orElse(new int[0]);
    }

    /** What tells the ways apart in which the contacts are in states. */
    long contacts(long state) {
        return ways.of(state);
    }

    /** The motors that are fed. */
    List<String> driven(Conduction conduction) {
        return words.driven(conduction);
    }

    /** The tags of the motors, in the order of their numbers. */
    public List<String> motors() {
        return words.motors();
    }

    /** The tags of lamps, horns, solenoids and buttons with lamps, in the order of their numbers. */
    public List<String> signals() {
        return words.signals();
    }

    /** What a signal is called, by its number: its tag, or the lamp of the button that it is in. */
    public String signal(int number) {
        return words.signal(number);
    }

    /** What the motors do in a state, each in words; those that do nothing are left out. */
    public List<String> doing(Conduction conduction) {
        return words.doing(conduction);
    }

    /** What a settled state shows. */
    public Effects outcome(long state) {
        return words.effects(state, settled(state));
    }

    /** A move in words. */
    public String words(Move move) {
        return words.of(move);
    }
}
