package parable.testsheet;

import java.util.Optional;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/** Where earth is found on a panel. */
final class Earth {

    private static final String PROTECTIVE = "PE";

    private Earth() {}

    /** The protective earth; without one the return that is earthed; empty if nothing on the sheet is. */
    static Optional<Node> of(Assembly assembly) {
        return assembly.nodes().all().stream()
                .filter(node -> node.terminals().stream()
                        .anyMatch(terminal -> terminal.marking().equals(PROTECTIVE)))
                .findFirst()
                .or(() -> assembly.nodes().all().stream()
                        .filter(node -> isEarthed(assembly, node))
                        .findFirst());
    }

    /** Whether a node is joined to earth on a sound panel. */
    static boolean isEarthed(Assembly assembly, Node node) {
        return node.terminals().stream()
                .anyMatch(terminal -> terminal.marking().equals(PROTECTIVE)
                        || assembly.part(terminal.tag()).orElseThrow().sources().stream()
                                .anyMatch(source ->
                                        source.grounded() && source.reference().equals(terminal.marking())));
    }

    /** Whether the node of a terminal is. */
    static boolean isEarthed(Assembly assembly, Terminal terminal) {
        return assembly.nodes()
                .indexOf(terminal)
                .filter(index -> isEarthed(assembly, assembly.nodes().all().get(index)))
                .isPresent();
    }
}
