package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
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
 * The parts of a circuit, those that move among them, and what keeps them from it. Behind the sheet's parts follow those of a program: its memory,
 * its outputs and its timers.
 */
final class MovingParts {

    /** No part. */
    static final int NONE = -2;

    final List<Part> parts;
    final List<Component> components;

    /** The parts that move, in their order. */
    final int[] moving;

    /** The number of each part among those that move, -1 if it does not. */
    final int[] rank;

    /** For each part those that a mechanical interlock ties to it. */
    final int[][] barredBy;

    /** For each part whether a fault keeps it from coming back to rest. */
    final boolean[] welded;

    final boolean[] armature;
    final boolean[] twoPlace;
    final boolean[] button;

    /** The part that is the memory of the program, {@link #NONE} without one. */
    final int memory;

    private final List<Fault> faults;

    MovingParts(Assembly assembly, List<Fault> faults, Grain grain, Optional<ProgrammedParts> programmed) {
        this.faults = faults;
        List<Part> all = new ArrayList<>(assembly.parts());
        memory = programmed.isPresent() ? all.size() : NONE;
        programmed.ifPresent(controller -> all.addAll(controller.parts()));
        parts = List.copyOf(all);
        int own = assembly.parts().size();
        components = IntStream.range(0, parts.size())
                .mapToObj(p -> p < own
                        ? componentOf(parts.get(p), grain, programmed)
                        : programmed.orElseThrow().components().get(p - own))
                .toList();
        moving = where(part -> mayMove(part, faults));
        rank = new int[parts.size()];
        Arrays.fill(rank, -1);
        for (int r = 0; r < moving.length; r++) {
            rank[moving[r]] = r;
        }
        barredBy = parts.stream().map(part -> bars(assembly, part.tag())).toArray(int[][]::new);
        armature = are(Component.Armature.class);
        twoPlace = are(Component.TwoPlace.class);
        button = are(Component.Button.class);
        welded = new boolean[parts.size()];
        Faults effects = new Faults(Network.of(assembly));
        for (int p = 0; p < own; p++) {
            welded[p] = !isStuck(parts.get(p), faults) && effects.holds(p, 0, faults);
        }
    }

    private Component componentOf(Part part, Grain grain, Optional<ProgrammedParts> programmed) {
        boolean spared = faults.stream().noneMatch(fault -> fault.tag().equals(part.tag()));
        boolean onlyMakes = grain == Grain.ANY_SPEED
                && spared
                && programmed.filter(controller -> controller.onlyMakes(part)).isPresent();
        return onlyMakes ? new Component.Armature(true) : grain.of(part, initial(part));
    }

    private boolean[] are(Class<? extends Component> kind) {
        boolean[] are = new boolean[components.size()];
        for (int p = 0; p < are.length; p++) {
            are[p] = kind.isInstance(components.get(p));
        }
        return are;
    }

    /** The parts of a kind. */
    int[] where(Predicate<Part> kind) {
        return IntStream.range(0, parts.size())
                .filter(p -> kind.test(parts.get(p)))
                .toArray();
    }

    private static int initial(Part part) {
        return part.family() == Family.BREAKER || part.family() == Family.ISOLATOR ? 1 : part.initial();
    }

    /** Whether a part is not held where it is by what it is or by a fault. */
    static boolean mayMove(Part part, List<Fault> faults) {
        return !isFixed(part) && !isStuck(part, faults);
    }

    /** Whether a part may be taken away: it does not move by itself and is sound. */
    static boolean mayBeTakenAway(Part part, List<Fault> faults) {
        return isFixed(part) && !isStuck(part, faults);
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

    private static boolean isStuck(Part part, List<Fault> faults) {
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

    /** Whether a mechanical interlock ties any part to this one. */
    boolean bars(int part) {
        return Arrays.stream(barredBy).flatMapToInt(IntStream::of).anyMatch(other -> other == part);
    }

    /** Whether a part is over: an armature holds its poles closed, or a breaker is away from rest. */
    boolean isIn(int part, int value) {
        return armature[part]
                ? value == Component.Armature.IN || value == Component.Armature.HANGING
                : twoPlace[part] && value == 1;
    }

    /** Whether another circuit has the same components, and each is kept from moving in the same way. */
    boolean movesLike(MovingParts other) {
        return components.equals(other.components)
                && Arrays.equals(moving, other.moving)
                && Arrays.equals(welded, other.welded)
                && Arrays.deepEquals(barredBy, other.barredBy);
    }
}
