package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.circuit.WireChoice;
import parable.parts.Assembly;

/**
 * A terminal with more than two conductors on it, of the strip on one side of it. The proposed wires never make one; those that somebody chose
 * may.
 *
 * @param number the wire number
 * @param terminal where they land
 * @param from the other ends of the conductors
 */
public record Crowd(String number, Terminal terminal, List<Terminal> from) {

    private static final int ROOM = 2;

    /** Not modified: the list is copied. */
    public Crowd {
        from = List.copyOf(from);
    }

    /** The crowded terminals of an assembled sheet, wired by the method that it says. */
    public static List<Crowd> of(Assembly assembly) {
        if (assembly.sheet().fieldwork().choices().isEmpty()) {
            return List.of();
        }
        Groups groups = new Groups(assembly, PanelLayout.of(assembly));
        List<Crowd> crowds = new ArrayList<>();
        for (Node node : assembly.nodes().all()) {
            for (List<Terminal> group : groups.of(node)) {
                groups.chosen(group).ifPresent(wires -> group.stream()
                        .map(terminal -> new Crowd(node.number(), terminal, ends(terminal, wires)))
                        .filter(crowd -> crowd.from.size() > ROOM && !groups.isProtectiveBar(crowd.terminal))
                        .forEach(crowds::add));
            }
        }
        return crowds;
    }

    private static List<Terminal> ends(Terminal terminal, List<WireChoice> wires) {
        return wires.stream()
                .flatMap(wire -> wire.one().equals(terminal)
                        ? Stream.of(wire.other())
                        : wire.other().equals(terminal) ? Stream.of(wire.one()) : Stream.empty())
                .toList();
    }
}
