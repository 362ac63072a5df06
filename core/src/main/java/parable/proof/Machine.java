package parable.proof;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;

/**
 * The positions of everything on a sheet that moves, one long for each state. Breakers without a release and fuses stay closed, all
 * supplies from outside come and go together, a machine switch or a speed may change at any moment.
 */
final class Machine {

    /** A step to another state. */
    record Move(int part, int value, boolean byHand) {}

    private static final int POWER = -1;
    private static final double WORKS = 0.3;

    private final Network network;
    private final List<Part> parts;
    private final List<Component> components = new ArrayList<>();
    private final int[] shift;
    private final boolean[] fixed;
    private final List<List<Integer>> barredBy = new ArrayList<>();
    private final BitSet outside = new BitSet();
    private final BitSet allSources = new BitSet();
    private final int powerShift;

    Machine(Assembly assembly) {
        network = Network.of(assembly);
        parts = assembly.parts();
        shift = new int[parts.size()];
        fixed = new boolean[parts.size()];
        int at = 0;
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            components.add(Component.of(part, initial(part)));
            fixed[p] = isFixed(part);
            shift[p] = at;
            at += fixed[p] ? 0 : components.get(p).bits();
            barredBy.add(bars(assembly, part.tag()));
            for (int s = 0; s < part.sources().size(); s++) {
                Source source = part.sources().get(s);
                outside.set(network.source(p, s), source.following().isEmpty());
            }
        }
        allSources.set(0, network.sourceCount());
        powerShift = at;
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

    private static List<Integer> bars(Assembly assembly, String tag) {
        List<Integer> others = new ArrayList<>();
        for (Part bar : assembly.parts()) {
            if (bar.drive() instanceof Drive.Interlocking between) {
                if (between.one().equals(tag)) {
                    assembly.indexOf(between.other()).ifPresent(others::add);
                } else if (between.other().equals(tag)) {
                    assembly.indexOf(between.one()).ifPresent(others::add);
                }
            }
        }
        return others;
    }

    /** Whether a state fits into a long. */
    boolean isSmallEnough() {
        return powerShift < Long.SIZE - 1;
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

    /** Everything at rest, breakers closed, supplies there. */
    long initial() {
        long state = 1L << powerShift;
        for (int p = 0; p < parts.size(); p++) {
            state = fixed[p] ? state : with(state, new Move(p, components.get(p).rest(), true));
        }
        return state;
    }

    int value(long state, int part) {
        if (fixed[part]) {
            return components.get(part).rest();
        }
        return (int) (state >> shift[part]) & (1 << components.get(part).bits()) - 1;
    }

    boolean hasPower(long state) {
        return (state >> powerShift & 1) == 1;
    }

    long with(long state, Move move) {
        if (move.part() == POWER) {
            return state ^ 1L << powerShift;
        }
        long mask = (1L << components.get(move.part()).bits()) - 1 << shift[move.part()];
        return state & ~mask | (long) move.value() << shift[move.part()];
    }

    /** How a state is joined and fed. */
    Solution solution(long state) {
        BitSet closed = new BitSet(network.contactCount());
        for (int p = 0; p < parts.size(); p++) {
            int value = value(state, p);
            List<Contact> contacts = parts.get(p).contacts();
            for (int c = 0; c < contacts.size(); c++) {
                if (components.get(p).isClosed(contacts.get(c), value)) {
                    closed.set(network.contact(p, c));
                }
            }
        }
        BitSet on = (BitSet) allSources.clone();
        if (!hasPower(state)) {
            on.andNot(outside);
        }
        return network.solve(closed, on);
    }

    /** What the circuit does by itself from a state, whenever it likes. */
    List<Move> ownMoves(long state, Solution solution) {
        List<Move> moves = new ArrayList<>();
        for (int p = 0; p < parts.size(); p++) {
            if (!fixed[p] && !(components.get(p) instanceof Component.Hand)) {
                int value = value(state, p);
                for (int next : components.get(p).next(value, isFed(p, value, solution))) {
                    boolean leaves = components.get(p) instanceof Component.Armature
                            && value == Component.Armature.STARTED
                            && next == Component.Armature.RISING;
                    if (!leaves || !isBarred(state, p)) {
                        moves.add(new Move(p, next, false));
                    }
                }
            }
        }
        return moves;
    }

    private boolean isBarred(long state, int part) {
        return barredBy.get(part).stream().anyMatch(other -> Component.Armature.isAway(value(state, other)));
    }

    private boolean isFed(int part, int value, Solution solution) {
        Drive drive = parts.get(part).drive();
        if (components.get(part) instanceof Component.Button) {
            return false;
        }
        Drive.ByCoil coil = drive instanceof Drive.ByTimer timer ? timer.coil() : (Drive.ByCoil) drive;
        double rated = parts.get(part).loads().get(coil.load()).rated().volts();
        boolean held = value == Component.Armature.IN || value == Component.Armature.HANGING;
        return solution.loadVoltage(network.load(part, coil.load())).rms()
                >= (held ? coil.dropOut() : coil.pullIn()) * rated;
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
        for (int p = 0; p < parts.size(); p++) {
            if (!fixed[p] && components.get(p) instanceof Component.Hand hand) {
                int value = value(state, p);
                for (int position : hand.positions()) {
                    if (position != value) {
                        moves.add(new Move(p, position, true));
                    }
                }
            }
        }
        for (int p = 0; p < parts.size(); p++) {
            if (components.get(p) instanceof Component.Button) {
                moves.add(new Move(p, Component.Button.toggled(value(state, p)), true));
            }
        }
        moves.add(new Move(POWER, 0, true));
        return moves;
    }

    /** Whether a motor is fed on a winding; a brake's direct current does not drive. */
    boolean isDriven(Solution solution, int part) {
        if (parts.get(part).family() != Family.MOTOR) {
            return false;
        }
        List<Load> loads = parts.get(part).loads();
        boolean directMotor = loads.stream().anyMatch(load -> load.rated().kind() == CurrentKind.DC);
        for (int l = 0; l < loads.size(); l++) {
            var voltage = solution.loadVoltage(network.load(part, l));
            double drives = directMotor ? voltage.rms() : voltage.alternating();
            if (loads.get(l).role() == LoadRole.WINDING
                    && drives > WORKS * loads.get(l).rated().volts()) {
                return true;
            }
        }
        return false;
    }

    /** The motors that are fed. */
    List<String> driven(Solution solution) {
        List<String> driven = new ArrayList<>();
        for (int p = 0; p < parts.size(); p++) {
            if (isDriven(solution, p)) {
                driven.add(parts.get(p).tag());
            }
        }
        return driven;
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
