package parable.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongPredicate;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Conduction;
import parable.reach.Quiescence;

/** What happens to a machine after which no motor may start by itself, and whether a hand is on a start meanwhile. */
final class Happenings {

    private final CircuitMachine machine;
    private final boolean onlyEmergencyStops;
    private final int[] starts;

    /** For each start whether it is held, by its value. */
    private final boolean[][] held;

    private final CircuitMachine.Move[] resets;
    private final Quiescence quiescence;
    private final List<Map<Long, Boolean>> leads = new ArrayList<>();

    Happenings(CircuitMachine machine) {
        this(machine, false);
    }

    /**
     * What happens to a machine.
     *
     * @param onlyEmergencyStops whether nothing counts but that an E-stop is hit or let go
     */
    Happenings(CircuitMachine machine, boolean onlyEmergencyStops) {
        this.machine = machine;
        this.onlyEmergencyStops = onlyEmergencyStops;
        quiescence = new Quiescence(machine);
        starts = IntStream.of(machine.moving())
                .filter(part -> isStart(machine.parts().get(part)))
                .toArray();
        held = IntStream.of(starts).mapToObj(this::held).toArray(boolean[][]::new);
        resets = IntStream.of(machine.moving())
                .filter(part -> isStopOrTrip(machine.parts().get(part)))
                .mapToObj(part ->
                        new CircuitMachine.Move(part, machine.component(part).rest(), true))
                .toArray(CircuitMachine.Move[]::new);
        machine.motors().forEach(motor -> leads.add(new HashMap<>()));
    }

    /**
     * Whether what a hand does is one of them: something comes back, is reset or let go; or something is taken away, tripped or pressed while
     * no motor runs and nothing has to move.
     *
     * @param atRest whether no motor runs and nothing has to move
     */
    boolean counts(long state, CircuitMachine.Move move, boolean atRest) {
        return isGivenBack(state, move) || atRest && isTakenAway(move);
    }

    /**
     * The first of the moves that count after which a state is of a kind, empty if none is.
     *
     * @param atRest whether no motor runs and nothing has to move
     */
    Optional<CircuitMachine.Move> firstTo(LongPredicate kind, long state, boolean atRest) {
        if (atRest) {
            return machine.handMoves(state).stream()
                    .filter(move -> counts(state, move, true) && kind.test(machine.with(state, move)))
                    .findFirst();
        }
        CircuitMachine.Move back = new CircuitMachine.Move(CircuitMachine.POWER, CircuitMachine.ALL_THERE, true);
        if (!onlyEmergencyStops
                && machine.outage(state) != CircuitMachine.ALL_THERE
                && kind.test(machine.with(state, back))) {
            return Optional.of(back);
        }
        for (CircuitMachine.Move reset : resets) {
            boolean away = machine.value(state, reset.part()) != reset.value();
            if (away && kind.test(machine.with(state, reset))) {
                return Optional.of(reset);
            }
        }
        return Optional.empty();
    }

    private boolean isGivenBack(long state, CircuitMachine.Move move) {
        if (move.part() == CircuitMachine.POWER) {
            return !onlyEmergencyStops && move.value() == CircuitMachine.ALL_THERE;
        }
        return isStopOrTrip(machine.parts().get(move.part()))
                && machine.value(state, move.part())
                        != machine.component(move.part()).rest()
                && isAtRest(move);
    }

    private boolean isTakenAway(CircuitMachine.Move move) {
        return move.part() == CircuitMachine.POWER
                ? !onlyEmergencyStops && move.value() != CircuitMachine.ALL_THERE
                : isStopOrTrip(machine.parts().get(move.part())) && !isAtRest(move);
    }

    private boolean isAtRest(CircuitMachine.Move move) {
        Component component = machine.component(move.part());
        return component instanceof Component.Button
                ? !Component.Button.isPushed(move.value())
                : move.value() == component.rest();
    }

    private boolean isStopOrTrip(Part part) {
        return part.family() == Family.EMERGENCY_STOP || !onlyEmergencyStops && isAnotherStopOrTrip(part);
    }

    private static boolean isAnotherStopOrTrip(Part part) {
        return switch (part.family()) {
            case OVERLOAD_RELAY, BREAKER, ISOLATOR, CONTROLLER -> true;
            case PUSH_BUTTON -> part.contacts().stream().allMatch(Contact::isNormallyClosed);
            default -> false;
        };
    }

    /** Whether a part is a start that a hand holds: a button with an open contact, a switch that springs back. */
    private static boolean isStart(Part part) {
        boolean springs = part.drive() instanceof Drive.ByTurning turning
                && !turning.springs().isEmpty();
        return springs
                || part.family() == Family.PUSH_BUTTON
                        && part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
    }

    /** Whether no start is held; a switch that stays where it was turned to is not held. */
    boolean isQuiet(long state) {
        for (int start = 0; start < starts.length; start++) {
            if (held[start][machine.value(state, starts[start])]) {
                return false;
            }
        }
        return true;
    }

    private boolean[] held(int start) {
        boolean[] byValue = new boolean[1 << machine.component(start).bits()];
        for (int value = 0; value < byValue.length; value++) {
            byValue[value] = isHeld(start, value);
        }
        return byValue;
    }

    private boolean isHeld(int start, int value) {
        if (machine.component(start) instanceof Component.Button) {
            return Component.Button.isPushed(value);
        }
        return machine.parts().get(start).drive() instanceof Drive.ByTurning turning
                ? value < turning.positions().size()
                        && turning.springs().containsKey(turning.positions().get(value))
                : value != machine.component(start).rest();
    }

    /** Whether all armatures have followed their coils, so that only timers may run. */
    boolean isStill(long state, Conduction conduction) {
        return quiescence.isStill(state, conduction);
    }

    /** Whether a circuit that is left alone may come to drive a motor, by its number. */
    boolean leads(long from, int motor) {
        Map<Long, Boolean> known = leads.get(motor);
        if (known.containsKey(from)) {
            return known.get(from);
        }
        Set<Long> seen = new HashSet<>(Set.of(from));
        List<Long> waiting = new ArrayList<>(seen);
        boolean found = false;
        while (!waiting.isEmpty() && !found) {
            long state = waiting.remove(waiting.size() - 1);
            Conduction conduction = machine.conduction(state);
            found = (conduction.driven() >> motor & 1) == 1 || known.getOrDefault(state, false);
            if (!conduction.shorted() && !found) {
                machine.eachOwn(state, conduction, next -> {
                    if (seen.add(next)) {
                        waiting.add(next);
                    }
                });
            }
        }
        if (found) {
            known.put(from, true);
        } else {
            seen.forEach(state -> known.put(state, false));
        }
        return found;
    }
}
