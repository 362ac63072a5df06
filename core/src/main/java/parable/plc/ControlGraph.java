package parable.plc;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import parable.circuit.DisjointSets;
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
    private final DisjointSets joined = new DisjointSets(0);
    private final Map<Integer, List<Edge>> edgesAt = new HashMap<>();
    private final Map<List<Integer>, List<Edge>> series = new HashMap<>();

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
                .forEach(rail -> assembly.nodes().indexOf(rail.number()).ifPresent(node -> rails.add(joined.of(node))));
        for (Rung rung : assembly.sheet().control()) {
            for (RungItem item : rung.items()) {
                if (item instanceof RungItem.Passage passage) {
                    add(passage);
                }
            }
        }
    }

    private int node(Terminal terminal) {
        return joined.of(assembly.nodes().indexOf(terminal).orElseThrow());
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
                joined.join(Math.min(one, other), Math.max(one, other));
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
            Edge edge = new Edge(edges.size(), index, contact.get(), from, to);
            edges.add(edge);
            List.of(from, to).forEach(node -> edgesAt.computeIfAbsent(node, any -> new ArrayList<>())
                    .add(edge));
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
        Set<Integer> found = new LinkedHashSet<>(
                reached(node, Optional.empty(), Optional.empty()).keySet());
        found.add(node);
        found.retainAll(rails);
        return found;
    }

    /** What is reached from a node without one contact or one node; a rail is reached but not left. Each with the contact that led there. */
    private Map<Integer, Edge> reached(int from, Optional<Edge> without, Optional<Integer> barred) {
        Map<Integer, Edge> by = new LinkedHashMap<>();
        Deque<Integer> waiting = new ArrayDeque<>(List.of(from));
        while (!waiting.isEmpty()) {
            int at = waiting.poll();
            for (Edge edge : rails.contains(at) && at != from ? List.<Edge>of() : at(at)) {
                int end = edge.otherEnd(at);
                boolean open = end != from
                        && !without.filter(edge::equals).isPresent()
                        && !barred.filter(node -> node == end).isPresent();
                if (open && by.putIfAbsent(end, edge) == null) {
                    waiting.add(end);
                }
            }
        }
        return by;
    }

    private List<Edge> at(int node) {
        return edgesAt.getOrDefault(node, List.of());
    }

    /** The contacts of one of the shortest ways from one node to another; empty if there is none. */
    private List<Edge> way(int from, int to) {
        Map<Integer, Edge> by = reached(from, Optional.empty(), Optional.empty());
        LinkedList<Edge> way = new LinkedList<>();
        for (int at = to; by.containsKey(at); at = by.get(at).otherEnd(at)) {
            way.addFirst(by.get(at));
        }
        return way;
    }

    /** The contacts that every way from one node to another leads through, in their order on the way. */
    List<Edge> allInSeries(int from, int to) {
        return series.computeIfAbsent(List.of(from, to), any -> way(from, to).stream()
                .filter(edge ->
                        !reached(from, Optional.of(edge), Optional.empty()).containsKey(to))
                .toList());
    }

    /** The nodes that every way from one node to another leads through, in their order on the way, neither of the two among them. */
    List<Integer> allThrough(int from, int to) {
        List<Integer> nodes = new ArrayList<>();
        int at = from;
        for (Edge edge : way(from, to)) {
            at = edge.otherEnd(at);
            if (at != to && !reached(from, Optional.empty(), Optional.of(at)).containsKey(to)) {
                nodes.add(at);
            }
        }
        return nodes;
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
