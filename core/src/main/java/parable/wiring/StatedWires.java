package parable.wiring;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import parable.circuit.Node;
import parable.circuit.Stated;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/**
 * The wires between a motor and its protection whose size somebody states: {@code leads} from the motor up to the first contactor, {@code wire} from there to the
 * protection, and from the motor on where no leads are stated.
 */
final class StatedWires {

    private static final String WIRE = "wire";
    private static final String LEADS = "leads";

    private final Assembly assembly;
    private final Map<Integer, String> sizes = new HashMap<>();

    StatedWires(Assembly assembly) {
        this.assembly = assembly;
        for (Part part : assembly.parts()) {
            Optional<String> wire = stated(part.tag(), WIRE);
            Optional<String> leads = stated(part.tag(), LEADS).or(() -> wire);
            if (part.family() == Family.MOTOR && leads.isPresent()) {
                Set<Integer> ofMotor = reached(nodes(part), false);
                Set<Integer> all = wire.isPresent() ? reached(ofMotor, true) : ofMotor;
                wire.ifPresent(size -> all.forEach(node -> sizes.put(node, size)));
                ofMotor.forEach(node -> sizes.put(node, leads.get()));
            }
        }
    }

    private Optional<String> stated(String tag, String quantity) {
        return assembly.sheet().stated().stream()
                .filter(one -> one.isOf(tag, quantity))
                .map(Stated::value)
                .findFirst();
    }

    private Set<Integer> nodes(Part motor) {
        Set<Integer> nodes = new HashSet<>();
        motor.terminals().stream().filter(marking -> !marking.equals("PE")).forEach(marking -> node(motor, marking)
                .ifPresent(nodes::add));
        return nodes;
    }

    private Optional<Integer> node(Part part, String marking) {
        return assembly.nodes().indexOf(new Terminal(part.tag(), marking));
    }

    /** The nodes that one comes to through releases and drums, and through contactors if that is asked for, never through protection. */
    private Set<Integer> reached(Set<Integer> from, boolean throughContactors) {
        Set<Integer> seen = new HashSet<>();
        Deque<Integer> waiting = new ArrayDeque<>(from);
        while (!waiting.isEmpty()) {
            int at = waiting.poll();
            if (seen.add(at)) {
                assembly.parts().stream()
                        .filter(part -> isPassed(part, throughContactors))
                        .forEach(part -> part.contacts().stream()
                                .filter(contact -> contact.pole() || part.family() == Family.DRUM_SWITCH)
                                .forEach(contact -> across(part, contact, at).ifPresent(waiting::add)));
            }
        }
        return seen;
    }

    private static boolean isPassed(Part part, boolean throughContactors) {
        return switch (part.family()) {
            case OVERLOAD_RELAY, DRUM_SWITCH -> true;
            case CONTACTOR -> throughContactors;
            default -> false;
        };
    }

    private Optional<Integer> across(Part part, Contact contact, int at) {
        Optional<Integer> from = node(part, contact.from());
        Optional<Integer> to = node(part, contact.to());
        return Stream.of(from, to).allMatch(Optional::isPresent) && (from.get() == at || to.get() == at)
                ? Optional.of(from.get() == at ? to.get() : from.get())
                : Optional.empty();
    }

    /** The size that is stated for a node, empty if none is. */
    Optional<String> of(Node node) {
        return sizes.isEmpty()
                ? Optional.empty()
                : Optional.ofNullable(sizes.get(assembly.nodes().all().indexOf(node)));
    }
}
