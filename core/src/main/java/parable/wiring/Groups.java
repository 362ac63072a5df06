package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Node;
import parable.circuit.Places;
import parable.circuit.Terminal;
import parable.circuit.WireChoice;
import parable.parts.Assembly;
import parable.parts.Family;

/** What wires of its own join: all terminals of a node, or where it goes through the terminal strip those on either side of it. */
final class Groups {

    private final Assembly assembly;
    private final PanelLayout layout;

    Groups(Assembly assembly, PanelLayout layout) {
        this.assembly = assembly;
        this.layout = layout;
    }

    /** The terminals of each group of a node; of one behind the strip its terminal there comes first. */
    List<List<Terminal>> of(Node node) {
        List<StripTerminal> ways = layout.strip().stream()
                .filter(one -> one.number().equals(node.number()))
                .toList();
        if (ways.isEmpty()) {
            return List.of(node.terminals());
        }
        List<List<Terminal>> groups = new ArrayList<>();
        List<Terminal> inside = new ArrayList<>(in(node, Places.BACK_PLATE));
        groups.add(inside);
        for (int i = 0; i < ways.size(); i++) {
            StripTerminal way = ways.get(i);
            inside.add(way.terminal());
            groups.add(Stream.concat(Stream.of(way.terminal()), behind(node, ways, i).stream())
                    .toList());
        }
        return groups;
    }

    /** What a way leads to: all of its place, or where several lead there the one that it is for. */
    private List<Terminal> behind(Node node, List<StripTerminal> ways, int index) {
        String place = ways.get(index).place();
        List<Terminal> there = in(node, place);
        long alike = ways.stream().filter(way -> way.place().equals(place)).count();
        long before = ways.subList(0, index).stream()
                .filter(way -> way.place().equals(place))
                .count();
        return alike == 1 ? there : List.of(there.get((int) before));
    }

    private List<Terminal> in(Node node, String place) {
        return node.terminals().stream()
                .filter(terminal -> layout.place(terminal.tag()).equals(place))
                .toList();
    }

    /** The group that both ends of a wire are in. */
    List<Terminal> around(Wire wire) {
        return assembly.nodes().all().stream()
                .filter(node -> node.number().equals(wire.number()))
                .flatMap(node -> of(node).stream())
                .filter(group -> group.contains(wire.from()) && group.contains(wire.to()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("wire " + wire.number() + " is not one of this sheet"));
    }

    /** The wires that somebody wants in a group, empty unless they join all of it without a ring. */
    Optional<List<WireChoice>> chosen(List<Terminal> group) {
        List<WireChoice> within = assembly.sheet().fieldwork().choices().stream()
                .filter(wire -> group.contains(wire.one()) && group.contains(wire.other()))
                .toList();
        boolean joinsAll = !within.isEmpty()
                && within.size() == group.size() - 1
                && Reach.of(group.get(0), within).containsAll(group);
        return joinsAll ? Optional.of(within) : Optional.empty();
    }

    /** Whether a terminal is the supply's protective earth: a bar with a screw for each conductor. */
    boolean isProtectiveBar(Terminal terminal) {
        return terminal.marking().equals("PE")
                && assembly.part(terminal.tag())
                        .filter(part -> part.family() == Family.SUPPLY)
                        .isPresent();
    }
}
