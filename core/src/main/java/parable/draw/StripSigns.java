package parable.draw;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.wiring.PanelLayout;

/**
 * Where the terminals of the strip are drawn: each once, beside the first device whose wire it leads out to another place. Protective conductors have none on the
 * drawing, for each thing has its own.
 */
final class StripSigns {

    /** What a terminal of the strip leads on, and where to. */
    private record Way(String wire, String place) {}

    /** The number of the terminal beside a terminal of a device. */
    private final Map<Terminal, String> beside = new HashMap<>();

    private StripSigns() {}

    /** The signs of a diagram. */
    static StripSigns of(Assembly assembly, List<List<Terminal>> lanes) {
        StripSigns signs = new StripSigns();
        PanelLayout layout = PanelLayout.of(assembly);
        Map<Way, String> strip = layout.strip().stream()
                .collect(Collectors.toMap(
                        one -> new Way(one.number(), one.place()),
                        one -> one.terminal().marking(),
                        (one, another) -> ""));
        Set<Way> drawn = new HashSet<>();
        for (List<Terminal> lane : lanes) {
            for (Terminal terminal : lane) {
                Optional<Way> way = assembly.nodes()
                        .indexOf(terminal)
                        .map(node -> assembly.nodes().all().get(node))
                        .filter(node -> node.terminals().stream()
                                .noneMatch(end -> end.marking().equals("PE")))
                        .map(Node::number)
                        .map(number -> new Way(number, layout.place(terminal.tag())));
                way.filter(one -> !strip.getOrDefault(one, "").isEmpty())
                        .filter(drawn::add)
                        .ifPresent(one -> signs.beside.put(terminal, strip.get(one)));
            }
        }
        return signs;
    }

    /** The number of the strip's terminal that is drawn beside a terminal of a device; empty if none is. */
    Optional<String> beside(Terminal terminal) {
        return Optional.ofNullable(beside.get(terminal));
    }
}
