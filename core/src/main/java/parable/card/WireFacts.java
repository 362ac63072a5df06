package parable.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.bench.Moment;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.network.NodeState;
import parable.parts.Assembly;

/**
 * A wire number at an instant.
 *
 * @param number the wire number
 * @param terminals every terminal that is on it
 * @param state how it is at the instant
 */
public record WireFacts(String number, List<Terminal> terminals, NodeState state) {

    /** Not modified: the list is copied. */
    public WireFacts {
        terminals = List.copyOf(terminals);
    }

    /** A wire of a sheet, empty if the sheet has none of this number. */
    public static Optional<WireFacts> of(Assembly assembly, Moment moment, String number) {
        return assembly.nodes()
                .indexOf(number)
                .map(index -> assembly.nodes().all().get(index))
                .map(node -> new WireFacts(
                        node.number(),
                        node.terminals(),
                        moment.node(node.number()).orElse(NodeState.DEAD)));
    }

    /** The wire numbers at the terminals of a device, each with the terminals it lands on: {@code A1: wire 7}. */
    public static List<String> landings(Assembly assembly, String tag) {
        List<String> lines = new ArrayList<>();
        for (String marking : assembly.part(tag).stream()
                .flatMap(part -> part.terminals().stream())
                .toList()) {
            on(assembly, new Terminal(tag, marking)).forEach(node -> lines.add(marking + ": wire " + node.number()));
        }
        return lines;
    }

    private static Stream<Node> on(Assembly assembly, Terminal terminal) {
        return assembly
                .nodes()
                .indexOf(terminal)
                .map(index -> assembly.nodes().all().get(index))
                .stream();
    }
}
