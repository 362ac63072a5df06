package parable.plc;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.program.Logic;

/**
 * The ladder of a sheet as nodes and contacts. Fuses and the poles of breakers in it are taken for wire; a way never leads through a rail.
 */
final class ControlGraph {

    /**
     * A contact of the ladder.
     *
     * @param order as it is met on the rungs, left to right and top to bottom
     * @param part the position of its device among the parts
     * @param contact its position among the contacts of that
     * @param from a node
     * @param to another
     */
    record Edge(int order, int part, int contact, int from, int to) {
        int otherEnd(int node) {
            return node == from ? to : from;
        }
    }

    /** A coil, lamp or horn of the ladder between two nodes. */
    record Consumer(int part, int load, int from, int to) {}

    private final Assembly assembly;
    private final Set<Integer> rails = new LinkedHashSet<>();
    private final List<Edge> edges = new ArrayList<>();
    private final List<Consumer> consumers = new ArrayList<>();
    private final Map<Integer, Integer> joined = new HashMap<>();

    ControlGraph(Assembly assembly) {
        this.assembly = assembly;
        for (Rung rung : assembly.sheet().control()) {
            for (RungItem item : rung.items()) {
                if (item instanceof RungItem.Passage passage) {
                    joinIfWire(passage);
                }
            }
        }
        assembly.sheet()
                .rails()
                .forEach(rail -> assembly.nodes().indexOf(rail.number()).ifPresent(node -> rails.add(root(node))));
        for (Rung rung : assembly.sheet().control()) {
            for (RungItem item : rung.items()) {
                if (item instanceof RungItem.Passage passage) {
                    add(passage);
                }
            }
        }
    }

    private int root(int node) {
        int at = node;
        while (joined.containsKey(at)) {
            at = joined.get(at);
        }
        return at;
    }

    private int node(Terminal terminal) {
        return root(assembly.nodes().indexOf(terminal).orElseThrow());
    }

    private Part part(RungItem.Passage passage) {
        return assembly.part(passage.tag()).orElseThrow();
    }

    private void joinIfWire(RungItem.Passage passage) {
        Part part = part(passage);
        Optional<Integer> contact = part.contactBetween(passage.from(), passage.to());
        boolean wire = contact.isPresent()
                && (part.family() == Family.FUSE
                        || part.contacts().get(contact.get()).pole() && part.family() != Family.CONTACTOR);
        if (wire) {
            int one = node(passage.lineSide());
            int other = node(passage.returnSide());
            if (one != other) {
                joined.put(Math.max(one, other), Math.min(one, other));
            }
        }
    }

    private void add(RungItem.Passage passage) {
        int from = node(passage.lineSide());
        int to = node(passage.returnSide());
        Part part = part(passage);
        int index = assembly.indexOf(passage.tag()).orElseThrow();
        Optional<Integer> contact = part.contactBetween(passage.from(), passage.to());
        if (contact.isPresent() && from != to) {
            edges.add(new Edge(edges.size(), index, contact.get(), from, to));
        }
        part.loadBetween(passage.from(), passage.to())
                .ifPresent(load -> consumers.add(new Consumer(index, load, from, to)));
    }

    Assembly assembly() {
        return assembly;
    }

    /** The contacts in the order of the rungs. */
    List<Edge> edges() {
        return edges;
    }

    /** The loads in the order of the rungs. */
    List<Consumer> consumers() {
        return consumers;
    }

    Part part(Edge edge) {
        return assembly.parts().get(edge.part());
    }

    Contact contact(Edge edge) {
        return part(edge).contacts().get(edge.contact());
    }

    /** As it is said: {@code F2 95-96}. */
    String name(Edge edge) {
        return part(edge).tag() + " " + contact(edge).marking();
    }

    /** The rails that can be reached from a node through contacts; the node itself if it is one. */
    Set<Integer> railsFrom(int node) {
        Set<Integer> found = new LinkedHashSet<>(reached(node, Set.of(), Set.of()));
        found.retainAll(rails);
        return found;
    }

    /** What is reached from a node without some contacts and some nodes; a rail is reached but not left. */
    private Set<Integer> reached(int from, Set<Edge> without, Set<Integer> barred) {
        Set<Integer> seen = new LinkedHashSet<>(Set.of(from));
        Deque<Integer> waiting = new ArrayDeque<>(seen);
        while (!waiting.isEmpty()) {
            int at = waiting.poll();
            for (Edge edge : rails.contains(at) && at != from ? List.<Edge>of() : edges) {
                boolean here = (edge.from() == at || edge.to() == at) && !without.contains(edge);
                if (here && !barred.contains(edge.otherEnd(at)) && seen.add(edge.otherEnd(at))) {
                    waiting.add(edge.otherEnd(at));
                }
            }
        }
        return seen;
    }

    /** The contacts that every way from one node to another leads through, in their order on the way. */
    List<Edge> allInSeries(int from, int to) {
        List<Edge> cuts = edges.stream()
                .filter(edge ->
                        from != to && !reached(from, Set.of(edge), Set.of()).contains(to))
                .toList();
        return cuts.stream()
                .sorted(Comparator.comparingInt(
                        edge -> reached(from, Set.of(edge), Set.of()).size()))
                .toList();
    }

    /** The nodes that every way from one node to another leads through, in their order on the way, neither of the two among them. */
    List<Integer> allThrough(int from, int to) {
        Set<Integer> nodes = new HashSet<>();
        edges.forEach(edge -> nodes.addAll(List.of(edge.from(), edge.to())));
        return nodes.stream()
                .filter(node -> node != from && node != to)
                .filter(node -> !reached(from, Set.of(), Set.of(node)).contains(to))
                .sorted(Comparator.comparingInt(
                        node -> reached(from, Set.of(), Set.of(node)).size()))
                .toList();
    }

    /**
     * What must be so for one node to be joined with another.
     *
     * @param reads what tells that a contact conducts; empty for one that is left out as if it always did
     * @return empty if they are joined in any case
     */
    Optional<Logic> between(int from, int to, Function<Edge, Optional<Logic>> reads) {
        if (from == to) {
            return Optional.empty();
        }
        return new Reduction(from, to, rails, edges, reads).logic();
    }
}
