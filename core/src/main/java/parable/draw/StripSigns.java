package parable.draw;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.wiring.PanelLayout;
import parable.wiring.StripTerminal;

/**
 * Where the terminals of the strip are drawn: each once in a diagram, beside the first device whose wire it leads out to another place. Protective conductors have none on the
 * drawing, for each thing has its own.
 */
final class StripSigns {

    private final Assembly assembly;

    /** The position in the strip of the terminal that leads a wire to a place; by the place, then by the number of the wire. */
    private final Map<String, Map<String, Integer>> strip = new HashMap<>();

    private StripSigns(Assembly assembly) {
        this.assembly = assembly;
    }

    /** Those of a sheet; none if it is wired without a strip. */
    static StripSigns of(Assembly assembly) {
        StripSigns signs = new StripSigns(assembly);
        if (assembly.sheet().fieldwork().method() == WiringMethod.TERMINAL_STRIP) {
            List<StripTerminal> strip = StripTerminal.of(assembly);
            for (int i = 0; i < strip.size(); i++) {
                signs.put(strip.get(i), i);
            }
        }
        return signs;
    }

    private void put(StripTerminal terminal, int position) {
        boolean leads = assembly.nodes()
                .indexOf(terminal.number())
                .filter(node -> !isProtective(node))
                .isPresent();
        if (leads) {
            strip.computeIfAbsent(terminal.place(), any -> new HashMap<>()).put(terminal.number(), position);
        }
    }

    /** Whether protective conductors are on a node. */
    private boolean isProtective(int node) {
        Node one = assembly.nodes().all().get(node);
        return one.terminals().stream().anyMatch(end -> end.marking().equals("PE"));
    }

    /**
     * The number of the strip's terminal beside each terminal of a device that has one.
     *
     * @param terminals of a diagram, in the order in which they are drawn
     */
    Map<Terminal, String> beside(Iterable<Terminal> terminals) {
        Map<Terminal, String> beside = new HashMap<>();
        BitSet drawn = new BitSet();
        for (Terminal terminal : strip.isEmpty() ? List.<Terminal>of() : terminals) {
            int position = leading(terminal);
            if (position >= 0 && !drawn.get(position)) {
                drawn.set(position);
                beside.put(terminal, Integer.toString(position + 1));
            }
        }
        return beside;
    }

    /** The position of the terminal of the strip that leads the wire of a terminal to its place; -1 if none does. */
    private int leading(Terminal terminal) {
        Map<String, Integer> ways =
                assembly.part(terminal.tag()).map(this::waysTo).orElse(Map.of());
        return ways.isEmpty()
                ? -1
                : assembly.nodes()
                        .indexOf(terminal)
                        .map(node -> ways.get(assembly.nodes().all().get(node).number()))
                        .orElse(-1);
    }

    private Map<String, Integer> waysTo(Part part) {
        return strip.getOrDefault(PanelLayout.placeOf(part), Map.of());
    }
}
