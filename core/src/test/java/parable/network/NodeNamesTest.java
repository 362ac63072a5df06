package parable.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Contact;
import parable.parts.Load;
import parable.parts.Part;
import parable.starters.Library;

/** What a node is called where it is told: by its wire number, or by the terminal that nothing is on. */
class NodeNamesTest {

    static Stream<Sheet> sheets() {
        return Share.oneIn(3, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    private static Stream<Terminal> terminals(Part part) {
        Stream<String> contacts = part.contacts().stream().map(Contact::from);
        Stream<String> ends = part.contacts().stream().map(Contact::to);
        Stream<String> loads = part.loads().stream().map(Load::from);
        return Stream.of(contacts, ends, loads)
                .flatMap(markings -> markings)
                .distinct()
                .map(marking -> new Terminal(part.tag(), marking));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void aNodeIsCalledByItsWireOrByItsOnlyTerminal(Sheet sheet) {
        Network network = Network.of(Examples.fitted(sheet));
        Map<Integer, Set<String>> byNode = new HashMap<>();
        for (Part part : network.assembly().parts()) {
            terminals(part).forEach(terminal -> byNode.computeIfAbsent(
                            network.node(terminal).orElseThrow(), any -> new TreeSet<>())
                    .add(terminal.toString()));
        }
        int wires = network.assembly().nodes().all().size();
        assertThat(byNode.keySet()).anyMatch(node -> node < wires);
        byNode.forEach((node, terminals) -> {
            if (node < wires) {
                assertThat(network.name(node))
                        .isEqualTo(network.assembly().nodes().all().get(node).number());
            } else {
                assertThat(terminals).containsExactly(network.name(node));
            }
        });
    }
}
