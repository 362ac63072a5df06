package parable.proof;

import java.util.ArrayList;
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
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * The positions of everything on a sheet that moves, one long for each state. Breakers without a release and fuses stay closed, all
 * supplies from outside come and go together, a machine switch or a speed may change at any moment.
 */
final class Machine {

    /** A step to another state. */
    record Move(int part, int value, boolean byHand) {}

    /** The part that stands for all supplies from outside. */
    static final int POWER = -1;

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
    private final boolean[] armature;
    private final boolean[] button;
    private final List<Fault> faults;
    private final Faults effects;
    private final int[][][] next;
    private final long[][] signature;
    private final int powerShift;
    private final int signatureBits;
    private final Conductions conductions;

    /**
     * The machine of a sheet.
     *
     * @param faults what is wrong with it, from the beginning
     */
    Machine(Assembly assembly, List<Fault> faults) {
        parts = assembly.parts();
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
        button = new boolean[count];
        moving = where(part -> !isFixed(part) && !isStuck(part));
        motors = where(Conductions::isMotor);
        signals = where(Conductions::isSignal);
        int at = 0;
        int signatureAt = 1;
        for (int p = 0; p < count; p++) {
            Part part = parts.get(p);
            Component component = Component.of(part, initial(part));
            components.add(component);
            armature[p] = component instanceof Component.Armature;
            button[p] = component instanceof Component.Button;
            rank[p] = -1;
            barredBy[p] = bars(assembly, part.tag());
            welded[p] = !isStuck(part) && effects.holds(p, 0, faults);
            if (!isFixed(part) && !isStuck(part)) {
                shift[p] = at;
                at += component.bits();
                mask[p] = (1 << component.bits()) - 1;
                handNext[p] = component instanceof Component.Hand hand
                        ? hand.positions().stream().mapToInt(Integer::intValue).toArray()
                        : NOWHERE;
                next[p] = component instanceof Component.Hand ? NO_TARGETS : nextOf(component);
                signatureAt += sign(p, signatureAt);
            }
        }
        for (int r = 0; r < moving.length; r++) {
            rank[moving[r]] = r;
        }
        powerShift = at;
        signatureBits = signatureAt;
        conductions = new Conductions(assembly, moving, motors, signals, faults);
    }

    private int[] where(Predicate<Part> kind) {
        return IntStream.range(0, parts.size())
                .filter(p -> kind.test(parts.get(p)))
                .toArray();
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
            case FUSE, ISOLATOR, SUPPLY, CONVERTER, INTERLOCK, PILOT_LAMP, HORN, SOLENOID, RESISTOR, MOTOR -> true;
            case BREAKER -> part.heater().isEmpty();
            case CONTACTOR,
                    OVERLOAD_RELAY,
                    CONTROL_RELAY,
                    TIMER,
                    PUSH_BUTTON,
                    SELECTOR,
                    EMERGENCY_STOP,
                    DRUM_SWITCH,
                    MACHINE_SWITCH -> false;
        };
    }

    /** Whether a part does not move at all because of a fault. */
    private boolean isStuck(Part part) {
        return faults.contains(new Fault(Fault.Kind.STUCK, part.tag(), ""));
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
    boolean isSmallEnough() {
        return powerShift < Long.SIZE - 1
                && signatureBits < Long.SIZE
                && motors.length <= Long.SIZE
                && signals.length <= Long.SIZE;
    }

    /** Whether a timer goes on and on, so that the circuit need not come to rest by itself. */
    boolean mayNeverSettle() {
        return components.stream()
                .anyMatch(component -> component instanceof Component.Clock clock
                        && clock.program().repeats());
    }

    List<Part> parts() {
        return parts;
    }

    Component component(int part) {
        return components.get(part);
    }

    /**
     * The position of a part among the sheet's.
     *
     * @throws IllegalArgumentException if the sheet has no device of this tag
     */
    int index(String tag) {
        return IntStream.range(0, parts.size())
                .filter(p -> parts.get(p).tag().equals(tag))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device"));
    }

    /** The parts that move, by their positions among the sheet's. */
    int[] moving() {
        return moving.clone();
    }

    /** Everything at rest, breakers closed, supplies there. */
    long initial() {
        long state = 1L << powerShift;
        for (int p : moving) {
            state = with(state, p, components.get(p).rest());
        }
        return state;
    }

    int value(long state, int part) {
        if (rank[part] < 0) {
            return components.get(part).rest();
        }
        return valueOfMoving(state, part);
    }

    private int valueOfMoving(long state, int part) {
        return (int) (state >> shift[part]) & mask[part];
    }

    boolean hasPower(long state) {
        return (state >> powerShift & 1) == 1;
    }

    /** The state after a move; what does not move stays. */
    long with(long state, Move move) {
        if (move.part() == POWER) {
            return state ^ 1L << powerShift;
        }
        return rank[move.part()] < 0 ? state : with(state, move.part(), move.value());
    }

    private long with(long state, int part, int value) {
        return state & ~((long) mask[part] << shift[part]) | (long) value << shift[part];
    }

    /** How a state is joined and fed. */
    Conduction conduction(long state) {
        long key = hasPower(state) ? 1 : 0;
        for (int p : moving) {
            key |= signature[p][valueOfMoving(state, p)];
        }
        return conductions.of(
                key, hasPower(state), (part, contact) -> components.get(part).isClosed(contact, value(state, part)));
    }

    /** Whether the coil of a moving part is fed enough for what it does. */
    boolean isFed(long state, int part, Conduction conduction) {
        int value = value(state, part);
        boolean held = armature[part] && (value == Component.Armature.IN || value == Component.Armature.HANGING);
        return ((held ? conduction.holds() : conduction.pulls()) >> rank[part] & 1) == 1;
    }

    private int[] targets(long state, int part, Conduction conduction) {
        if (next[part].length == 0) {
            return NOWHERE;
        }
        int value = valueOfMoving(state, part);
        int[] targets = next[part][isFed(state, part, conduction) ? (next[part].length >> 1) + value : value];
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

    /** Hands over each state that the circuit may come to by itself in one step; returns whether there is any. */
    boolean eachOwn(long state, Conduction conduction, LongConsumer step) {
        boolean any = false;
        for (int p : moving) {
            for (int target : targets(state, p, conduction)) {
                any = true;
                step.accept(with(state, p, target));
            }
        }
        return any;
    }

    /** What the circuit does by itself from a state, whenever it likes. */
    List<Move> ownMoves(long state, Conduction conduction) {
        List<Move> moves = new ArrayList<>();
        for (int p : moving) {
            for (int target : targets(state, p, conduction)) {
                moves.add(new Move(p, target, false));
            }
        }
        return moves;
    }

    /** Whether a mechanical interlock keeps an armature at rest. */
    boolean isBarred(long state, int part) {
        for (int other : barredBy[part]) {
            if (Component.Armature.isAway(value(state, other))) {
                return true;
            }
        }
        return false;
    }

    /** A button pressed, or let go. */
    Move toggle(long state, int part) {
        int value = value(state, part);
        boolean blocks = components.get(part) instanceof Component.Button;
        return new Move(part, blocks ? Component.Button.toggled(value) : 1 - value, true);
    }

    /** What hands and the world may do in a state. */
    List<Move> handMoves(long state) {
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
        moves.add(new Move(POWER, 0, true));
        return moves;
    }

    /** Hands over each state that hands and the world may lead to in one step. */
    void eachByHand(long state, LongConsumer step) {
        for (int p : moving) {
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
        step.accept(state ^ 1L << powerShift);
    }

    /** The motors that are fed. */
    List<String> driven(Conduction conduction) {
        return IntStream.range(0, motors.length)
                .filter(m -> (conduction.driven() >> m & 1) == 1)
                .mapToObj(m -> parts.get(motors[m]).tag())
                .toList();
    }

    /** The tags of the motors, in the order of their numbers. */
    List<String> motors() {
        return IntStream.of(motors).mapToObj(part -> parts.get(part).tag()).toList();
    }

    /** The tags of lamps, horns and solenoids, in the order of their numbers. */
    List<String> signals() {
        return IntStream.of(signals).mapToObj(part -> parts.get(part).tag()).toList();
    }

    /** What the motors do in a state, each in words; those that do nothing are left out. */
    List<String> doing(Conduction conduction) {
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
    Outcome outcome(long state) {
        Conduction conduction = conduction(state);
        List<String> in = IntStream.of(moving)
                .filter(part -> components.get(part) instanceof Component.Armature
                        && value(state, part) == Component.Armature.IN)
                .mapToObj(part -> parts.get(part).tag())
                .toList();
        List<String> lit = IntStream.range(0, signals.length)
                .filter(signal -> (conduction.lit() >> signal & 1) == 1)
                .mapToObj(signal -> parts.get(signals[signal]).tag())
                .toList();
        return new Outcome(doing(conduction), in, lit);
    }

    /** A move in words. */
    String words(Move move) {
        if (move.part() == POWER) {
            return "the supply fails or returns";
        }
        Part part = parts.get(move.part());
        if (components.get(move.part()) instanceof Component.Armature) {
            return part.tag()
                    + switch (move.value()) {
                        case Component.Armature.STARTED -> "'s coil is fed";
                        case Component.Armature.RISING -> " begins to move";
                        case Component.Armature.IN -> " is in";
                        case Component.Armature.HANGING -> "'s coil has let go";
                        case Component.Armature.FALLING -> " begins to drop out";
                        default -> " is out";
                    };
        }
        if (components.get(move.part()) instanceof Component.Button) {
            return part.tag() + (move.byHand() ? " is pressed or let go" : "'s blocks move");
        }
        if (components.get(move.part()) instanceof Component.Clock) {
            return part.tag() + "'s clockwork goes on";
        }
        return verb(part, move.value()).map(verb -> part.tag() + " is " + verb).orElse(part.tag() + " changes over");
    }

    private static Optional<String> verb(Part part, int position) {
        if (part.drive() instanceof Drive.ByTurning turning) {
            return Optional.of("turned to " + turning.positions().get(position));
        }
        return part.drive().verbs().entrySet().stream()
                .filter(verb -> verb.getValue() == position)
                .map(verb -> verb.getKey().done())
                .sorted()
                .findFirst();
    }
}
