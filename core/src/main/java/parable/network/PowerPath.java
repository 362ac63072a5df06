package parable.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/** Which motors' current flows through which thermal release, as the power circuit is drawn, whatever the control circuit does. */
public final class PowerPath {

    private final Assembly assembly;

    /** The nodes that supplies, breakers and fuses are on: there the ways of different motors meet. */
    private final Set<Integer> bus = new HashSet<>();

    /** The power circuit of a sheet. */
    public PowerPath(Assembly assembly) {
        this.assembly = assembly;
        for (Part part : assembly.parts()) {
            boolean feeds =
                    switch (part.family()) {
                        case SUPPLY, ISOLATOR, FUSE -> true;
                        case BREAKER -> part.heater().isEmpty();
                        default -> false;
                    };
            if (feeds) {
                part.terminals().forEach(marking -> node(part, marking).ifPresent(bus::add));
            }
        }
    }

    /**
     * The tags of the motors behind a thermal release: those from whose leads one comes to its load side through poles and resistors without
     * going through another release or a breaker.
     *
     * @param release a part with heaters
     */
    public Set<String> motorsBehind(Part release) {
        Set<String> motors = new LinkedHashSet<>();
        for (Part motor : assembly.parts()) {
            if (motor.family() == Family.MOTOR && isBehind(motor, release)) {
                motors.add(motor.tag());
            }
        }
        return motors;
    }

    /**
     * The tags of the motors that a contactor's poles may feed: those from whose leads one comes to its load side through poles of others, releases
     * and resistors.
     */
    public Set<String> motorsFedBy(Part contactor) {
        Set<Integer> sides = new HashSet<>();
        contactor.contacts().stream().filter(Contact::pole).forEach(pole -> node(contactor, pole.to())
                .ifPresent(sides::add));
        Set<String> motors = new LinkedHashSet<>();
        for (Part motor : assembly.parts()) {
            if (motor.family() == Family.MOTOR && comesTo(motor, sides, true)) {
                motors.add(motor.tag());
            }
        }
        return motors;
    }

    /** The load side of a pole is its second terminal: 2/T1, 4/T2, 6/T3 (IEC 60947-4-1, annex L). */
    private boolean isBehind(Part motor, Part release) {
        Set<Integer> loadSide = new HashSet<>();
        release.contacts().stream().filter(Contact::pole).forEach(pole -> node(release, pole.to())
                .ifPresent(loadSide::add));
        return comesTo(motor, loadSide, false);
    }

    private boolean comesTo(Part motor, Set<Integer> sides, boolean throughReleases) {
        Set<Integer> seen = new HashSet<>();
        Deque<Integer> waiting = new ArrayDeque<>();
        motor.terminals().forEach(marking -> node(motor, marking).ifPresent(waiting::add));
        while (!waiting.isEmpty()) {
            int at = waiting.poll();
            if (seen.add(at)) {
                if (sides.contains(at)) {
                    return true;
                }
                if (bus.contains(at)) {
                    continue;
                }
                assembly.parts().stream()
                        .filter(part -> throughReleases && part.family() == Family.OVERLOAD_RELAY
                                || part.heater().isEmpty() && isPassed(part.family()))
                        .forEach(part -> across(part, at, waiting));
            }
        }
        return false;
    }

    private static boolean isPassed(Family family) {
        return switch (family) {
            case CONTACTOR, DRUM_SWITCH, RESISTOR -> true;
            default -> false;
        };
    }

    private void across(Part part, int at, Deque<Integer> waiting) {
        List<String[]> ways = new ArrayList<>();
        part.contacts().stream()
                .filter(contact -> contact.pole() || part.family() == Family.DRUM_SWITCH)
                .forEach(contact -> ways.add(new String[] {contact.from(), contact.to()}));
        if (part.family() == Family.RESISTOR) {
            part.loads().forEach(load -> ways.add(new String[] {load.from(), load.to()}));
        }
        for (String[] way : ways) {
            Optional<Integer> from = node(part, way[0]);
            Optional<Integer> to = node(part, way[1]);
            if (from.isPresent() && to.isPresent()) {
                if (from.get() == at) {
                    waiting.add(to.get());
                } else if (to.get() == at) {
                    waiting.add(from.get());
                }
            }
        }
    }

    private Optional<Integer> node(Part part, String marking) {
        return assembly.nodes().indexOf(new Terminal(part.tag(), marking));
    }
}
