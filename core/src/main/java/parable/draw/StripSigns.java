package parable.draw;

import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Nodes;
import parable.circuit.Places;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.wiring.PanelLayout;
import parable.wiring.StripTerminal;

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
        if (assembly.sheet().fieldwork().method() != WiringMethod.TERMINAL_STRIP) {
            return signs;
        }
        Map<Way, String> strip = StripTerminal.of(assembly).stream()
                .collect(Collectors.toMap(
                        one -> new Way(one.number(), one.place()),
                        one -> one.terminal().marking(),
                        (one, another) -> ""));
        BitSet protective = protective(assembly.nodes());
        Set<Way> drawn = new HashSet<>();
        for (List<Terminal> lane : lanes) {
            for (Terminal terminal : lane) {
                Optional<Way> way = assembly.nodes()
                        .indexOf(terminal)
                        .filter(node -> !protective.get(node))
                        .map(node -> assembly.nodes().all().get(node).number())
                        .map(number -> new Way(number, place(assembly, terminal.tag())));
                way.filter(one -> !strip.getOrDefault(one, "").isEmpty())
                        .filter(drawn::add)
                        .ifPresent(one -> signs.beside.put(terminal, strip.get(one)));
            }
        }
        return signs;
    }

    private static String place(Assembly assembly, String tag) {
        return assembly.part(tag).map(PanelLayout::placeOf).orElse(Places.BACK_PLATE);
    }

    /** The nodes that protective conductors are on. */
    private static BitSet protective(Nodes nodes) {
        BitSet protective = new BitSet();
        for (int node = 0; node < nodes.all().size(); node++) {
            protective.set(node, nodes.all().get(node).terminals().stream().anyMatch(end -> end.marking()
                    .equals("PE")));
        }
        return protective;
    }

    /** The number of the strip's terminal that is drawn beside a terminal of a device; empty if none is. */
    Optional<String> beside(Terminal terminal) {
        return Optional.ofNullable(beside.get(terminal));
    }
}
