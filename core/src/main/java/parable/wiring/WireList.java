package parable.wiring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/**
 * All wires of a sheet, point to point, in the order in which they are made: rung by rung from the first on, each from left to right up to the
 * return, then the power circuit. The wires of a node leave a place as seldom as can be, and are then as short as can be, with two
 * conductors on a terminal at the most.
 *
 * @param wires in that order
 * @param metres how much wire that is, in m
 * @param metresFromFirst how much it would be if every wire of a node began at its first terminal, in m
 */
public record WireList(List<Wire> wires, double metres, double metresFromFirst) {

    /** Leaving a place costs more than any way within one. */
    private static final double CROSSING = 1000;

    /** Not modified: the list is copied. */
    public WireList {
        wires = List.copyOf(wires);
    }

    /** The list of an assembled sheet. */
    public static WireList of(Assembly assembly, Practice practice) {
        PanelLayout layout = PanelLayout.of(assembly);
        Conductors conductors = new Conductors(assembly, practice);
        Map<Terminal, Integer> order = order(assembly);
        List<Wire> wires = new ArrayList<>();
        double fromFirst = 0;
        for (Node node : assembly.nodes().all()) {
            List<Terminal> terminals = node.terminals();
            for (int i = 1; i < terminals.size(); i++) {
                fromFirst += layout.metres(terminals.get(0), terminals.get(i));
            }
            wires.addAll(wires(assembly, node, layout, conductors, order));
        }
        wires.sort(Comparator.comparingInt((Wire wire) -> wire.rung() == 0 ? Integer.MAX_VALUE : wire.rung())
                .thenComparingInt(wire -> order.get(wire.to())));
        return new WireList(
                seconds(wires), wires.stream().mapToDouble(Wire::metres).sum(), fromFirst);
    }

    /** When each terminal is met first, the ladder before the power circuit. */
    private static Map<Terminal, Integer> order(Assembly assembly) {
        Map<Terminal, Integer> order = new HashMap<>();
        assembly.sheet().control().stream()
                .flatMap(Rung::terminals)
                .forEach(terminal -> order.putIfAbsent(terminal, order.size()));
        assembly.sheet().power().stream()
                .flatMap(Rung::terminals)
                .forEach(terminal -> order.putIfAbsent(terminal, order.size()));
        return order;
    }

    private static List<Wire> wires(
            Assembly assembly, Node node, PanelLayout layout, Conductors conductors, Map<Terminal, Integer> order) {
        List<Terminal> terminals = node.terminals();
        List<Integer> way = ShortestPath.through(
                terminals.size(),
                (one, other) -> layout.metres(terminals.get(one), terminals.get(other))
                        + (layout.crosses(terminals.get(one), terminals.get(other)) ? CROSSING : 0));
        List<Wire> wires = new ArrayList<>();
        for (int i = 1; i < way.size(); i++) {
            Terminal one = terminals.get(way.get(i - 1));
            Terminal other = terminals.get(way.get(i));
            boolean forward = order.get(one) <= order.get(other);
            Terminal from = forward ? one : other;
            Terminal to = forward ? other : one;
            wires.add(new Wire(
                    node.number(),
                    from,
                    to,
                    rung(assembly, to),
                    List.of(),
                    conductors.colour(node),
                    conductors.size(node),
                    layout.metres(from, to),
                    layout.crosses(from, to)));
        }
        return wires;
    }

    /** The first rung of the ladder that a terminal stands on, 0 if it only stands in the power circuit. */
    private static int rung(Assembly assembly, Terminal terminal) {
        List<Rung> control = assembly.sheet().control();
        for (int i = 0; i < control.size(); i++) {
            if (control.get(i).terminals().anyMatch(terminal::equals)) {
                return i + 1;
            }
        }
        return 0;
    }

    /** Marks the wires by which a terminal gets its second conductor. */
    private static List<Wire> seconds(List<Wire> wires) {
        Set<Terminal> wired = new HashSet<>();
        List<Wire> marked = new ArrayList<>();
        for (Wire wire : wires) {
            marked.add(wire.withSeconds(Stream.of(wire.from(), wire.to())
                    .filter(terminal -> !wired.add(terminal))
                    .toList()));
        }
        return marked;
    }

    /** How much wire is saved against always returning to the first terminal, in m. */
    public double saved() {
        return metresFromFirst - metres;
    }
}
