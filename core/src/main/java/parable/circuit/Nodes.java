package parable.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The nodes of a sheet with their wire numbers. A rail has the number the sheet gives it and a named point its name, and what has
 * one number is one node; all
 * others get the lowest free numbers, ladder first, left to right and top to bottom, then the power circuit.
 *
 * <p>The order of the nodes is that of this numbering: rails, then ladder, then power circuit, each as first met.
 */
public final class Nodes {

    private final List<Node> all;
    private final Map<Object, Integer> indexByKey;
    private final Map<String, Integer> indexByNumber;

    private Nodes(List<Node> all, Map<Object, Integer> indexByKey) {
        this.all = List.copyOf(all);
        this.indexByKey = indexByKey;
        this.indexByNumber = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            indexByNumber.put(all.get(i).number(), i);
        }
    }

    /** The nodes of this sheet; a sheet without rungs has only its rails. */
    public static Nodes of(Sheet sheet) {
        Joining joining = new Joining();
        sheet.rails().forEach(rail -> joining.add(new RungItem.NamedPoint(rail.name(), true)));
        Stream.concat(sheet.control().stream(), sheet.power().stream()).forEach(joining::add);
        return joining.nodes(sheet.rails());
    }

    /** All nodes; the list cannot be changed. */
    public List<Node> all() {
        return all;
    }

    /** The position in {@link #all()} of the node that this terminal is on, empty if it is not wired. */
    public Optional<Integer> indexOf(Terminal terminal) {
        return Optional.ofNullable(indexByKey.get(terminal));
    }

    /** The position in {@link #all()} of the node of this wire number, empty if there is none. */
    public Optional<Integer> indexOf(String number) {
        return Optional.ofNullable(indexByNumber.get(number));
    }

    /** Joins what the rungs write side by side; keys are terminals and points. */
    private static final class Joining {
        private final Map<Object, Integer> ids = new HashMap<>();
        private final List<Object> keys = new ArrayList<>();
        private final DisjointSets sets = new DisjointSets(64);
        private int nextNumber = 1;

        /** The number of a key, its own if it is new. */
        int add(Object key) {
            Integer known = ids.putIfAbsent(key, keys.size());
            if (known != null) {
                return known;
            }
            int id = keys.size();
            keys.add(key);
            return id;
        }

        void add(Rung rung) {
            List<RungItem> items = rung.items();
            for (int i = 0; i + 1 < items.size(); i++) {
                int left = add(after(items.get(i)));
                join(left, add(before(items.get(i + 1))));
            }
        }

        static Object after(RungItem item) {
            return item instanceof RungItem.Passage passage ? passage.returnSide() : end(item);
        }

        static Object before(RungItem item) {
            return item instanceof RungItem.Passage passage ? passage.lineSide() : end(item);
        }

        private static Object end(RungItem item) {
            return item instanceof RungItem.TerminalEnd landing ? landing.terminal() : item;
        }

        /** Joins what bears one number: a point that is called by the number of a rail is on that rail. */
        private void joinByNumber(List<Rail> rails) {
            Map<String, Integer> railOf = new HashMap<>();
            for (Rail rail : rails) {
                int node = add(new RungItem.NamedPoint(rail.name(), true));
                join(railOf.computeIfAbsent(rail.number(), any -> node), node);
            }
            for (Object key : List.copyOf(keys)) {
                if (key instanceof RungItem.NamedPoint point && !point.rail() && railOf.containsKey(point.name())) {
                    join(railOf.get(point.name()), add(point));
                }
            }
        }

        private void join(int one, int other) {
            sets.join(one, other);
        }

        Nodes nodes(List<Rail> rails) {
            joinByNumber(rails);
            int[] nodeOf = new int[keys.size()];
            Arrays.fill(nodeOf, -1);
            List<List<Object>> members = new ArrayList<>();
            for (int id = 0; id < keys.size(); id++) {
                int root = sets.of(id);
                if (nodeOf[root] < 0) {
                    nodeOf[root] = members.size();
                    members.add(new ArrayList<>());
                }
                nodeOf[id] = nodeOf[root];
                members.get(nodeOf[root]).add(keys.get(id));
            }
            Set<String> taken = new HashSet<>();
            rails.forEach(rail -> taken.add(rail.number()));
            keys.stream()
                    .filter(key -> key instanceof RungItem.NamedPoint point && !point.rail())
                    .forEach(key -> taken.add(((RungItem.NamedPoint) key).name()));
            List<Node> nodes = new ArrayList<>();
            for (List<Object> joined : members) {
                nodes.add(node(joined, rails, taken));
            }
            ids.replaceAll((key, id) -> nodeOf[id]);
            return new Nodes(nodes, ids);
        }

        private Node node(List<Object> joined, List<Rail> rails, Set<String> taken) {
            List<String> names = new ArrayList<>();
            List<Terminal> terminals = new ArrayList<>();
            Optional<String> number = Optional.empty();
            for (Object key : joined) {
                if (key instanceof Terminal terminal) {
                    terminals.add(terminal);
                } else if (key instanceof RungItem.NamedPoint point) {
                    names.add(point.name());
                    number = number.or(() -> Optional.of(numberOf(point, rails)));
                }
            }
            return new Node(number.orElseGet(() -> lowestFree(taken)), names, terminals);
        }

        private static String numberOf(RungItem.NamedPoint point, List<Rail> rails) {
            return rails.stream()
                    .filter(rail -> point.rail() && rail.name().equals(point.name()))
                    .map(Rail::number)
                    .findFirst()
                    .orElse(point.name());
        }

        private String lowestFree(Set<String> taken) {
            while (!taken.add(Integer.toString(nextNumber))) {
                nextNumber++;
            }
            return Integer.toString(nextNumber);
        }
    }
}
