package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongConsumer;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import parable.bench.Fault;
import parable.bench.Faults;
import parable.network.Network;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * The positions of everything on a sheet that moves, one long for each state. Fuses stay closed; of supplies and of breakers that only a hand
 * opens one is away at a time; a machine switch or a speed may change at any moment.
 */
public final class CircuitMachine {

    /** A step to another state. */
    public record Move(int part, int value, boolean byHand) {}

    /** The part that stands for supplies and breakers: value 0 while all of them are there, else the number of the outage. */
    public static final int POWER = -1;

    /** The value of {@link #POWER} while everything is there. */
    public static final int ALL_THERE = 0;

    private static final int NONE = -2;

    /** More bits than this of a program's memory are not gone through. */
    private static final int MOST_MEMORY = 31;

    private static final int[] NOWHERE = {};
    private static final int[][] NO_TARGETS = {};

    private final List<Part> parts;
    private final List<Component> components = new ArrayList<>();
    private final int[] shift;
    private final int[] mask;
    private final int[][] handNext;
    private final int[] rank;
    private final int[] moving;
    private final int[] motors;
    private final int[] signals;
    private final int[][] barredBy;
    private final boolean[] welded;
    private int restless;
    private final boolean[] armature;
    private final boolean[] twoPlace;
    private final boolean[] button;
    private final List<Fault> faults;
    private final Faults effects;
    private final int[][][] next;
    private final long[][] signature;
    private final List<Outages.Outage> outages;
    private final int powerShift;
    private final int powerMask;
    private final int bits;
    private final int signatureBits;
    private final Conductions conductions;
    private final ContactPositions standing;
    private final Optional<ProgrammedParts> programmed;
    private final int memory;
    private final int[] signing;
    private final int[] byItself;
    private final int[] byHand;

    /** For a part that a hand moves between two positions the bit that tells them apart, 0 for all others. */
    private final long[] flips;

    private final int[] atOnce;

    /** For each output of the controller the part that follows it, {@link #NONE} if the program tells it nothing. */
    private final int[] outputs;

    /**
     * The machine of a sheet.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public CircuitMachine(Assembly assembly, List<Fault> faults) {
        this(assembly, faults, Grain.TIMED);
    }

    /**
     * The machine that is gone through where every change may take any time.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public static CircuitMachine untimed(Assembly assembly, List<Fault> faults) {
        return new CircuitMachine(assembly, faults, Grain.ANY_SPEED);
    }

    /**
     * The machine whose plain positions are gone through.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public static CircuitMachine plain(Assembly assembly, List<Fault> faults) {
        return new CircuitMachine(assembly, faults, Grain.PLAIN);
    }

    private CircuitMachine(Assembly assembly, List<Fault> faults, Grain grain) {
        boolean merged = grain != Grain.TIMED;
        programmed = ProgrammedParts.of(assembly);
        List<Part> all = new ArrayList<>(assembly.parts());
        memory = programmed.isPresent() ? all.size() : NONE;
        programmed.ifPresent(controller -> all.addAll(controller.parts()));
        parts = List.copyOf(all);
        this.faults = faults;
        effects = new Faults(Network.of(assembly));
        int count = parts.size();
        shift = new int[count];
        mask = new int[count];
        handNext = new int[count][];
        rank = new int[count];
        next = new int[count][][];
        signature = new long[count][];
        barredBy = new int[count][];
        welded = new boolean[count];
        armature = new boolean[count];
        twoPlace = new boolean[count];
        button = new boolean[count];
        moving = where(part -> !isFixed(part) && !isStuck(part));
        motors = where(Conductions::isMotor);
        signals = where(Conductions::tells);
        outages = outages(assembly, faults);
        int powerBits = Integer.SIZE - Integer.numberOfLeadingZeros(outages.size());
        powerMask = (1 << powerBits) - 1;
        int signatureAt = powerBits;
        for (int p = 0; p < count; p++) {
            Part part = parts.get(p);
            Component component = memory != NONE && p >= memory
                    ? programmed.orElseThrow().components().get(p - memory)
                    : grain.of(part, initial(part));
            boolean spared = faults.stream().noneMatch(fault -> fault.tag().equals(part.tag()));
            if (grain == Grain.ANY_SPEED
                    && memory != NONE
                    && p < memory
                    && spared
                    && programmed.orElseThrow().onlyMakes(part)) {
                component = new Component.Armature(true);
            }
            components.add(component);
            armature[p] = component instanceof Component.Armature;
            twoPlace[p] = component instanceof Component.TwoPlace;
            button[p] = component instanceof Component.Button;
            rank[p] = -1;
            barredBy[p] = bars(assembly, part.tag());
            welded[p] = p < assembly.parts().size() && !isStuck(part) && effects.holds(p, 0, faults);
            if (!isFixed(part) && !isStuck(part)) {
                mask[p] = component.bits() >= MOST_MEMORY ? Integer.MAX_VALUE : (1 << component.bits()) - 1;
                handNext[p] = component instanceof Component.Hand hand
                        ? hand.positions().stream().mapToInt(Integer::intValue).toArray()
                        : NOWHERE;
                boolean ownTable = !(component instanceof Component.Hand) && !(component instanceof Component.Memory);
                next[p] = ownTable ? nextOf(component) : NO_TARGETS;
                signatureAt += sign(p, signatureAt);
            }
        }
        for (int r = 0; r < moving.length; r++) {
            rank[moving[r]] = r;
        }
        powerShift = place(true, 0);
        bits = place(false, powerShift + powerBits);
        atOnce = IntStream.range(0, programmed.map(ProgrammedParts::outputs).orElse(0))
                .filter(output -> merged && programmed.orElseThrow().followsAtOnce(output, faults))
                .toArray();
        outputs = IntStream.range(0, programmed.map(ProgrammedParts::allOutputs).orElse(0))
                .map(output -> programmed.orElseThrow().output(output).orElse(NONE - 1 - memory) + 1 + memory)
                .toArray();
        signing = IntStream.of(moving).filter(p -> p != memory).toArray();
        byItself = IntStream.of(signing).filter(p -> next[p].length > 0).toArray();
        byHand = IntStream.of(moving)
                .filter(p -> button[p] || handNext[p].length > 0)
                .toArray();
        flips = new long[count];
        for (int p : byHand) {
            boolean two = Arrays.equals(handNext[p], new int[] {0, 1});
            flips[p] = two ? 1L << shift[p] : 0;
        }
        signatureBits = signatureAt;
        standing = new ContactPositions(Network.of(assembly), parts, components, part -> rank[part] >= 0);
        conductions = new Conductions(assembly, moving, motors, signals, faults, programmed, outages);
    }

    private int[] where(Predicate<Part> kind) {
        return IntStream.range(0, parts.size())
                .filter(p -> kind.test(parts.get(p)))
                .toArray();
    }

    /** Gives the parts that only hands move their bits of a state, or all others theirs; returns the first bit after those. */
    private int place(boolean byHand, int first) {
        int at = first;
        for (int p : moving) {
            if (components.get(p) instanceof Component.Hand == byHand) {
                shift[p] = at;
                at += components.get(p).bits();
            }
        }
        return at;
    }

    /**
     * So many of the lowest bits of a state, at most as many as asked for, are what hands and the world do and nothing else: by itself the
     * circuit changes none of them, and what it does depends on them only through {@link #conduction(long)} and {@link #scans}.
     */
    int handBits(int most) {
        int low = 0;
        for (int p : moving) {
            boolean ends = components.get(p) instanceof Component.Hand && shift[p] == low && !bars(p);
            int after = low + components.get(p).bits();
            if (ends && after <= most) {
                low = after;
            }
        }
        return low;
    }

    private boolean bars(int part) {
        return Arrays.stream(barredBy).flatMapToInt(IntStream::of).anyMatch(other -> other == part);
    }

    private static int[][] nextOf(Component component) {
        int values = 1 << component.bits();
        int[][] next = new int[2 * values][];
        for (int value = 0; value < values; value++) {
            next[value] = targets(component, value, false);
            next[values + value] = targets(component, value, true);
        }
        return next;
    }

    private static int[] targets(Component component, int value, boolean fed) {
        return !component.isValue(value)
                ? NOWHERE
                : component.next(value, fed).stream()
                        .mapToInt(Integer::intValue)
                        .toArray();
    }

    /** Numbers the different ways the contacts of a part may stand; returns how many bits that takes. */
    private int sign(int part, int at) {
        Component component = components.get(part);
        if (component instanceof Component.Memory) {
            return 0;
        }
        if (component instanceof Component.Output) {
            signature[part] = new long[] {0, 1L << at};
            return 1;
        }
        Map<List<Boolean>, Long> ways = new HashMap<>();
        signature[part] = new long[1 << component.bits()];
        for (int value = 0; value < signature[part].length; value++) {
            if (component.isValue(value)) {
                int shown = value;
                List<Boolean> way = parts.get(part).contacts().stream()
                        .map(contact -> component.isClosed(contact, shown))
                        .toList();
                signature[part][value] = ways.computeIfAbsent(way, any -> (long) ways.size()) << at;
            }
        }
        return Integer.SIZE - Integer.numberOfLeadingZeros(Math.max(0, ways.size() - 1));
    }

    private static int initial(Part part) {
        return part.family() == Family.BREAKER || part.family() == Family.ISOLATOR ? 1 : part.initial();
    }

    private static boolean isFixed(Part part) {
        return switch (part.family()) {
            case FUSE,
                    ISOLATOR,
                    SUPPLY,
                    CONVERTER,
                    INTERLOCK,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID,
                    RESISTOR,
                    METALWORK,
                    MOTOR -> true;
            case BREAKER -> part.heater().isEmpty();
            case CONTACTOR,
                    OVERLOAD_RELAY,
                    CONTROL_RELAY,
                    TIMER,
                    PUSH_BUTTON,
                    SELECTOR,
                    EMERGENCY_STOP,
                    DRUM_SWITCH,
                    MACHINE_SWITCH,
                    CONTROLLER -> false;
        };
    }

    /** Whether a part does not move at all because of a fault. */
    private boolean isStuck(Part part) {
        return isStuck(part, faults);
    }

    private static boolean isStuck(Part part, List<Fault> faults) {
        return faults.contains(new Fault(Fault.Kind.STUCK, part.tag(), ""));
    }

    /**
     * What may be taken away from a sheet, number 1 first.
     *
     * @param faults what is wrong with it
     */
    public static List<Outages.Outage> outages(Assembly assembly, List<Fault> faults) {
        return new Outages(assembly, part -> isFixed(part) && !isStuck(part, faults)).all();
    }

    private int[] bars(Assembly assembly, String tag) {
        List<Integer> others = new ArrayList<>();
        for (Part bar : assembly.parts()) {
            boolean fitted = !faults.contains(new Fault(Fault.Kind.MISSING, bar.tag(), ""));
            if (fitted && bar.drive() instanceof Drive.Interlocking between) {
                if (between.one().equals(tag)) {
                    assembly.indexOf(between.other()).ifPresent(others::add);
                } else if (between.other().equals(tag)) {
                    assembly.indexOf(between.one()).ifPresent(others::add);
                }
            }
        }
        return others.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Whether a state fits into a long. */
    public boolean isSmallEnough() {
        boolean remembers = memory == NONE
                || components.get(memory).bits() < MOST_MEMORY
                        && programmed.orElseThrow().isSmallEnough();
        return remembers
                && bits < Long.SIZE
                && signatureBits + programmed.map(ProgrammedParts::allOutputs).orElse(0) < Long.SIZE
                && motors.length <= Long.SIZE
                && signals.length <= Long.SIZE;
    }

    /** Whether a timer goes on and on, so that the circuit need not come to rest by itself. */
    public boolean mayNeverSettle() {
        return components.stream()
                .anyMatch(component -> component instanceof Component.Clockwork clock
                        && clock.program().repeats());
    }

    /**
     * Whether a step of the circuit's own is that of a timer that had to run for a while, or the beat of one that goes on and on: what comes back
     * only by such a step does not chatter.
     */
    public boolean isUnhurried(long from, long to) {
        for (int p : byItself) {
            int before = valueOfMoving(from, p);
            int after = valueOfMoving(to, p);
            if (before != after && isUnhurried(from, p, before, after)) {
                return true;
            }
        }
        return false;
    }

    private boolean isUnhurried(long from, int part, int before, int after) {
        Component component = components.get(part);
        if (component instanceof Component.ProgramTimer) {
            return after == 1
                    && programmed.orElseThrow().toNextMark(memory(from), programTimer(part)) >= Quiescence.SLOW;
        }
        if (!(component instanceof Component.Clockwork clock)) {
            return false;
        }
        boolean notices = Component.Clockwork.phase(before) == Component.Clockwork.RELEASED && after == clock.idle();
        boolean stage = Component.Clockwork.phase(before) == Component.Clockwork.phase(after);
        return notices && clock.program().released().get(0).after().nominal() >= Quiescence.SLOW
                || stage
                        && (clock.program().repeats()
                                || clock.stageAfter(before)
                                        .filter(next -> next.after().nominal() >= Quiescence.SLOW)
                                        .isPresent());
    }

    public List<Part> parts() {
        return parts;
    }

    public Component component(int part) {
        return components.get(part);
    }

    /**
     * The position of a part among the sheet's.
     *
     * @throws IllegalArgumentException if the sheet has no device of this tag
     */
    public int index(String tag) {
        return IntStream.range(0, parts.size())
                .filter(p -> parts.get(p).tag().equals(tag))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device"));
    }

    /** The parts that move, by their positions among the sheet's. */
    public int[] moving() {
        return moving.clone();
    }

    /** Everything at rest, breakers closed, supplies there. */
    public long initial() {
        long state = 0;
        for (int p : moving) {
            state = with(state, p, components.get(p).rest());
        }
        return state;
    }

    public int value(long state, int part) {
        if (rank[part] < 0) {
            return components.get(part).rest();
        }
        return valueOfMoving(state, part);
    }

    private int valueOfMoving(long state, int part) {
        return (int) (state >> shift[part]) & mask[part];
    }

    /** Whether every supply from outside is there. */
    public boolean hasPower(long state) {
        int outage = outage(state);
        return outage == ALL_THERE || outages.get(outage - 1).silent().isEmpty();
    }

    /** What is taken away in a state: {@link #ALL_THERE}, or the number of an outage. */
    public int outage(long state) {
        return (int) (state >> powerShift) & powerMask;
    }

    /** The outages that may be, number 1 first. */
    public List<Outages.Outage> outages() {
        return outages;
    }

    /** The state after a move; what does not move stays. */
    public long with(long state, Move move) {
        if (move.part() == POWER) {
            return without(state, move.value());
        }
        if (move.part() == memory) {
            return scanned(state, move.value());
        }
        return rank[move.part()] < 0 ? state : with(state, move.part(), move.value());
    }

    private long without(long state, int outage) {
        return state & ~((long) powerMask << powerShift) | (long) outage << powerShift;
    }

    /** The state with another memory; all timers that have come to a mark have been noticed. */
    private long scanned(long state, int becomes) {
        long after = with(state, memory, becomes);
        for (int timer = 0; timer < programmed.orElseThrow().timers(); timer++) {
            after = with(after, timer(timer), 0);
        }
        for (int output : atOnce) {
            after = with(after, memory + 1 + output, programmed.orElseThrow().tells(becomes, output) ? 1 : 0);
        }
        return after;
    }

    private int timer(int number) {
        return memory + 1 + programmed.orElseThrow().outputs() + number;
    }

    /** Whether the controller scans in a state. */
    public boolean scans(long state, Conduction conduction) {
        return conduction.scans() && value(state, programmed.orElseThrow().part()) == 1;
    }

    private int ripe(long state) {
        int ripe = 0;
        for (int timer = 0; timer < programmed.orElseThrow().timers(); timer++) {
            ripe |= valueOfMoving(state, timer(timer)) << timer;
        }
        return ripe;
    }

    /** The memory after the next scan, or after the controller was stopped; what it is if nothing would change. */
    public int remembersNext(long state, Conduction conduction) {
        return scans(state, conduction)
                ? programmed.orElseThrow().scanned(valueOfMoving(state, memory), conduction.reads(), ripe(state))
                : 0;
    }

    /** What tells the scans apart that a state may lead to: the memory afterwards, a negative number if no scan is due. */
    int nextScan(long state, Conduction conduction) {
        if (memory == NONE || rank[memory] < 0) {
            return NONE;
        }
        int becomes = remembersNext(state, conduction);
        return isToScan(state, becomes) ? becomes : NONE;
    }

    /** The armatures that are in, bit n for that of rank n: what they do depends on whether they are fed enough to hold. */
    long held(long state) {
        long held = 0;
        for (int p : byItself) {
            held |= isIn(p, valueOfMoving(state, p)) ? 1L << rank[p] : 0;
        }
        return held;
    }

    /** The parts, bit n for that of rank n, that do something else in a state when their coils are fed than when they are not. */
    long heeding(long state) {
        long heeding = 0;
        for (int p : byItself) {
            int value = valueOfMoving(state, p);
            boolean heeds = !Arrays.equals(next[p][value], next[p][(next[p].length >> 1) + value]);
            heeding |= heeds ? 1L << rank[p] : 0;
        }
        return heeding;
    }

    /** Whether a scan would change anything, or stopping the controller has yet to. */
    private boolean isToScan(long state, int becomes) {
        return becomes != valueOfMoving(state, memory) || ripe(state) != 0;
    }

    /** The controller with its program, empty if the sheet has none. */
    public Optional<ProgrammedParts> programmed() {
        return programmed;
    }

    /** What is remembered in a state. */
    public int memory(long state) {
        return valueOfMoving(state, memory);
    }

    /** The number of a timer of the program. */
    public int programTimer(int part) {
        return part - timer(0);
    }

    private long with(long state, int part, int value) {
        return state & ~((long) mask[part] << shift[part]) | (long) value << shift[part];
    }

    /** Whether a mechanical interlock is between two parts. */
    public boolean isBarredBy(int part, int other) {
        return IntStream.of(barredBy[part]).anyMatch(one -> one == other);
    }

    /** The number of a moving part in the bits of a {@link Conduction}. */
    public int rank(int part) {
        return rank[part];
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
        if (programmed.isEmpty() || !scans(state, without)) {
            return without;
        }
        ProgrammedParts.Shown shown = programmed.get().shown(memory(state), without.reads());
        restless |= shown.restless();
        if (shown.told() == 0) {
            return without;
        }
        return conductions.of(
                contacts(state) | (long) shown.told() << signatureBits,
                outage(state),
                () -> closed(state, shown.told()));
    }

    /**
     * The contacts that are closed in a state, by their numbers in the network.
     *
     * @param told bit n is set if output n of the controller is closed in any case
     */
    private BitSet closed(long state, int told) {
        return standing.closed(
                part -> valueOfMoving(state, part),
                output -> isOn(state, output) || (told >> output.closedIn() - 1 & 1) == 1);
    }

    /** Whether a lamp hangs on an output that was found to go on changing. */
    public boolean mayBlink(String tag) {
        return restless != 0
                && programmed
                        .filter(controller -> controller.lights(restless, tag))
                        .isPresent();
    }

    private boolean isOn(long state, Contact contact) {
        int output = contact.closedIn() - 1;
        return output < outputs.length && outputs[output] != NONE && value(state, outputs[output]) == 1;
    }

    /** Whether the coil of a moving part is fed enough for what it does. */
    public boolean isFed(long state, int part, Conduction conduction) {
        if (memory != NONE && part >= memory) {
            return isTold(state, part, conduction);
        }
        boolean held = isIn(part, value(state, part));
        return ((held ? conduction.holds() : conduction.pulls()) >> rank[part] & 1) == 1;
    }

    /** Whether the coil of a moving part has so much voltage that one would feel it and another not. */
    public boolean isUnsure(long state, int part, Conduction conduction) {
        if (conduction.isSure() || memory != NONE && part >= memory) {
            return false;
        }
        boolean held = isIn(part, value(state, part));
        return ((held ? conduction.mayHold() & ~conduction.holds() : conduction.mayPull() & ~conduction.pulls())
                                >> rank[part]
                        & 1)
                == 1;
    }

    /** Whether what is unsure leaves a part where it is as well as it moves it: one that is at either end of its way. */
    public boolean mayStay(long state, int part, Conduction conduction) {
        if (!isUnsure(state, part, conduction)) {
            return false;
        }
        int value = valueOfMoving(state, part);
        return !armature[part] || value == Component.Armature.REST || value == Component.Armature.IN;
    }

    private boolean isIn(int part, int value) {
        return armature[part]
                ? value == Component.Armature.IN || value == Component.Armature.HANGING
                : twoPlace[part] && value == 1;
    }

    /** Whether an armature holds its poles closed. */
    public boolean isIn(long state, int part) {
        return isIn(part, value(state, part));
    }

    /** Whether a scan is due, an output is told to close, or a timer of the program runs. */
    private boolean isTold(long state, int part, Conduction conduction) {
        ProgrammedParts controller = programmed.orElseThrow();
        if (part == memory) {
            return isToScan(state, remembersNext(state, conduction));
        }
        int output = part - memory - 1;
        int remembered = valueOfMoving(state, memory);
        return output < controller.outputs()
                ? controller.tells(remembered, output)
                : valueOfMoving(state, part) == 0 && controller.runs(remembered, output - controller.outputs());
    }

    private int[] targets(long state, int part, Conduction conduction) {
        if (part == memory) {
            int becomes = remembersNext(state, conduction);
            return isToScan(state, becomes) ? new int[] {becomes} : NOWHERE;
        }
        if (next[part].length == 0) {
            return NOWHERE;
        }
        int value = valueOfMoving(state, part);
        int[] targets = isUnsure(state, part, conduction)
                ? IntStream.concat(
                                IntStream.of(next[part][value]),
                                IntStream.of(next[part][(next[part].length >> 1) + value]))
                        .distinct()
                        .toArray()
                : next[part][isFed(state, part, conduction) ? (next[part].length >> 1) + value : value];
        if (twoPlace[part]) {
            boolean stays = value == 0 ? isBarred(state, part) : welded[part];
            return stays ? NOWHERE : targets;
        }
        if (!armature[part] || targets.length == 0) {
            return targets;
        }
        if (welded[part] && value == Component.Armature.HANGING) {
            return NOWHERE;
        }
        return value == Component.Armature.STARTED && isBarred(state, part)
                ? IntStream.of(targets)
                        .filter(target -> target != Component.Armature.RISING)
                        .toArray()
                : targets;
    }

    /**
     * Hands over each state that the circuit may come to by itself in one step; returns whether it has to go on to one of them. It has not
     * where all that may move are coils whose voltage one would feel and another not.
     */
    public boolean eachOwn(long state, Conduction conduction, LongConsumer step) {
        boolean any = false;
        if (memory != NONE && rank[memory] >= 0) {
            int becomes = remembersNext(state, conduction);
            any = isToScan(state, becomes);
            if (any) {
                step.accept(scanned(state, becomes));
            }
        }
        for (int p : byItself) {
            for (int target : targets(state, p, conduction)) {
                any |= conduction.isSure() || !mayStay(state, p, conduction);
                step.accept(with(state, p, target));
            }
        }
        return any;
    }

    /** Tells of a step that the circuit takes by itself whether it is of a kind. */
    interface OwnStep {
        boolean is(int part, int becomes);
    }

    /** Whether all that the circuit may do by itself from a state is of a kind. */
    boolean allOwn(long state, Conduction conduction, OwnStep kind) {
        for (int p : moving) {
            for (int target : targets(state, p, conduction)) {
                if (!kind.is(p, target)) {
                    return false;
                }
            }
        }
        return true;
    }

    /** What the circuit does by itself from a state, whenever it likes. */
    public List<Move> ownMoves(long state, Conduction conduction) {
        List<Move> moves = new ArrayList<>();
        for (int p : moving) {
            for (int target : targets(state, p, conduction)) {
                moves.add(new Move(p, target, false));
            }
        }
        return moves;
    }

    /** Whether a mechanical interlock keeps an armature at rest. */
    public boolean isBarred(long state, int part) {
        for (int other : barredBy[part]) {
            int value = value(state, other);
            if (twoPlace[other] ? value == 1 : Component.Armature.isAway(value)) {
                return true;
            }
        }
        return false;
    }

    /** A button pressed, or let go. */
    public Move toggle(long state, int part) {
        int value = value(state, part);
        boolean blocks = components.get(part) instanceof Component.Button;
        return new Move(part, blocks ? Component.Button.toggled(value) : 1 - value, true);
    }

    /** What hands and the world may do in a state. */
    public List<Move> handMoves(long state) {
        List<Move> moves = new ArrayList<>();
        for (int p : moving) {
            if (components.get(p) instanceof Component.Hand hand) {
                int value = value(state, p);
                for (int position : hand.positions()) {
                    if (position != value) {
                        moves.add(new Move(p, position, true));
                    }
                }
            } else if (components.get(p) instanceof Component.Button) {
                moves.add(toggle(state, p));
            }
        }
        if (outage(state) != ALL_THERE) {
            moves.add(new Move(POWER, ALL_THERE, true));
        } else {
            for (int outage = 1; outage <= outages.size(); outage++) {
                moves.add(new Move(POWER, outage, true));
            }
        }
        return moves;
    }

    /** Hands over each state that hands and the world may lead to in one step. */
    public void eachByHand(long state, LongConsumer step) {
        for (int p : byHand) {
            if (flips[p] != 0) {
                step.accept(state ^ flips[p]);
                continue;
            }
            int value = valueOfMoving(state, p);
            if (button[p]) {
                step.accept(with(state, p, Component.Button.toggled(value)));
            }
            for (int position : handNext[p]) {
                if (position != value) {
                    step.accept(with(state, p, position));
                }
            }
        }
        if (outage(state) != ALL_THERE) {
            step.accept(without(state, ALL_THERE));
        } else {
            for (int outage = 1; outage <= outages.size(); outage++) {
                step.accept(without(state, outage));
            }
        }
    }

    /** Whether another has the same parts, and each of them moves in the same way where its coil and the program's inputs are the same. */
    public boolean movesLike(CircuitMachine other) {
        return components.equals(other.components)
                && Arrays.equals(moving, other.moving)
                && Arrays.equals(welded, other.welded)
                && Arrays.deepEquals(barredBy, other.barredBy)
                && Arrays.equals(atOnce, other.atOnce);
    }

    /** What tells the ways apart in which the contacts stand in states. */
    long contacts(long state) {
        long key = outage(state);
        for (int p : signing) {
            key |= signature[p][valueOfMoving(state, p)];
        }
        return key;
    }

    /** The motors that are fed. */
    List<String> driven(Conduction conduction) {
        return IntStream.range(0, motors.length)
                .filter(m -> (conduction.driven() >> m & 1) == 1)
                .mapToObj(m -> parts.get(motors[m]).tag())
                .toList();
    }

    /** The tags of the motors, in the order of their numbers. */
    public List<String> motors() {
        return IntStream.of(motors).mapToObj(part -> parts.get(part).tag()).toList();
    }

    /** The tags of lamps, horns, solenoids and buttons with lamps, in the order of their numbers. */
    public List<String> signals() {
        return IntStream.of(signals).mapToObj(part -> parts.get(part).tag()).toList();
    }

    /** What a signal is called, by its number: its tag, or the lamp of the button that it is in. */
    public String signal(int number) {
        Part part = parts.get(signals[number]);
        return Conductions.isSignal(part) ? part.tag() : Effects.lampIn(part.tag());
    }

    /** What the motors do in a state, each in words; those that do nothing are left out. */
    public List<String> doing(Conduction conduction) {
        List<String> doing = new ArrayList<>();
        for (int m = 0; m < motors.length; m++) {
            String tag = parts.get(motors[m]).tag();
            if ((conduction.driven() >> m & 1) == 1) {
                boolean uneven = (conduction.uneven() >> m & 1) == 1;
                boolean reverse = (conduction.reversed() >> m & 1) == 1;
                doing.add(tag + (uneven ? " has not all its phases" : reverse ? " runs in reverse" : " runs forward"));
            } else if ((conduction.braked() >> m & 1) == 1) {
                doing.add(tag + " is braked by direct current");
            }
        }
        return doing;
    }

    /** What a settled state shows. */
    public Effects outcome(long state) {
        Conduction conduction = settled(state);
        List<String> in = IntStream.of(moving)
                .filter(part -> isIn(state, part) && value(state, part) != Component.Armature.HANGING)
                .mapToObj(part -> parts.get(part).tag())
                .toList();
        List<String> lit = IntStream.range(0, signals.length)
                .filter(signal -> (conduction.lit() >> signal & 1) == 1)
                .mapToObj(this::signal)
                .toList();
        return new Effects(doing(conduction), in, lit);
    }

    private String outageWords(int outage) {
        return outage == ALL_THERE
                ? "what was taken away is given back"
                : outages.get(outage - 1).lost();
    }

    /** A move in words. */
    public String words(Move move) {
        return move.part() == POWER
                ? outageWords(move.value())
                : MoveWords.of(move, parts.get(move.part()), components.get(move.part()));
    }
}
