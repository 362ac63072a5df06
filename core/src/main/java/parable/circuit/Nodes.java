package parable.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The nodes of a sheet with their wire numbers. A rail has the number the sheet gives it and a named point its name, and what has
 * one number is one node; all
 * others get the lowest free numbers, ladder first, left to right and top to bottom, then the power circuit.
 *
 * <p>The order of the nodes is that of this numbering: rails, then ladder, then power circuit, each as first met.
 */
public final class Nodes {

    private final List<Node> all;
    private final Map<Object, Integer> keys;

    /** The node of each key, by its number. */
    private final int[] nodeOf;

    private final Map<String, Integer> indexByNumber;

    /** The node of each gap between two items of a rung, of the ladder and of the power circuit. */
    private final Map<Circuit, int[][]> gaps;

    private Nodes(List<Node> all, Map<Object, Integer> keys, int[] nodeOf, Map<Circuit, int[][]> gaps) {
        this.all = List.copyOf(all);
        this.keys = keys;
        this.nodeOf = nodeOf;
        this.gaps = gaps;
        this.indexByNumber = new HashMap<>(2 * all.size());
        for (int i = 0; i < all.size(); i++) {
            indexByNumber.put(all.get(i).number(), i);
        }
    }

    /** The nodes of this sheet; a sheet without rungs has only its rails. */
    public static Nodes of(Sheet sheet) {
        Joining joining = new Joining(sheet);
        sheet.rails().forEach(rail -> joining.add(new RungItem.NamedPoint(rail.name(), true)));
        Map<Circuit, int[][]> gaps = new EnumMap<>(Circuit.class);
        gaps.put(Circuit.CONTROL, joining.keysBetween(sheet.control()));
        gaps.put(Circuit.POWER, joining.keysBetween(sheet.power()));
        return joining.nodes(sheet.rails(), gaps);
    }

    /** All nodes; the list cannot be changed. */
    public List<Node> all() {
        return all;
    }

    /** The position in {@link #all()} of the node that this terminal is on, empty if it is not wired. */
    public Optional<Integer> indexOf(Terminal terminal) {
        Integer key = keys.get(terminal);
        return key == null ? Optional.empty() : Optional.of(nodeOf[key]);
    }

    /** The position in {@link #all()} of the node of this wire number, empty if there is none. */
    public Optional<Integer> indexOf(String number) {
        return Optional.ofNullable(indexByNumber.get(number));
    }

    /**
     * The position in {@link #all()} of the node between an item of a rung and the next.
     *
     * @param rung its position in the circuit
     * @param item the position on the rung of any item but the last
     */
    public int between(Circuit circuit, int rung, int item) {
        return gaps.get(circuit)[rung][item];
    }

    /** Joins what the rungs write side by side; keys are terminals and points. */
    private static final class Joining {

        /** About how many a rung brings. */
        private static final int KEYS_OF_A_RUNG = 4;

        private final Map<Object, Integer> ids;
        private final List<Object> keys = new ArrayList<>();
        private final DisjointSets sets;
        private int nextNumber = 1;

        Joining(Sheet sheet) {
            int expected =
                    KEYS_OF_A_RUNG * (sheet.control().size() + sheet.power().size());
            ids = new HashMap<>(2 * expected);
            sets = new DisjointSets(expected);
        }

        /** For each rung the number of what is on either side of each of its gaps, once it is joined. */
        int[][] keysBetween(List<Rung> rungs) {
            int[][] between = new int[rungs.size()][];
            for (int rung = 0; rung < between.length; rung++) {
                between[rung] = add(rungs.get(rung));
            }
            return between;
        }

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

        private int[] add(Rung rung) {
            List<RungItem> items = rung.items();
            int[] gaps = new int[items.size() - 1];
            for (int i = 0; i < gaps.length; i++) {
                gaps[i] = add(after(items.get(i)));
                join(gaps[i], add(before(items.get(i + 1))));
            }
            return gaps;
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

        /**
         * The nodes, once all is added.
         *
         * @param gaps numbers of keys, which become those of their nodes
         */
        Nodes nodes(List<Rail> rails, Map<Circuit, int[][]> gaps) {
            joinByNumber(rails);
            int[] nodeOf = new int[keys.size()];
            int count = numberNodes(nodeOf);
            gaps.values().forEach(rungs -> Arrays.stream(rungs)
                    .forEach(rung -> Arrays.setAll(rung, gap -> nodeOf[rung[gap]])));
            return new Nodes(numbered(nodeOf, count, rails), ids, nodeOf, gaps);
        }

        /** Gives each key its node, in the order in which nodes are met; returns how many there are. */
        private int numberNodes(int[] nodeOf) {
            Arrays.fill(nodeOf, -1);
            int count = 0;
            for (int id = 0; id < nodeOf.length; id++) {
                int root = sets.of(id);
                if (nodeOf[root] < 0) {
                    nodeOf[root] = count++;
                }
                nodeOf[id] = nodeOf[root];
            }
            return count;
        }

        private List<Node> numbered(int[] nodeOf, int count, List<Rail> rails) {
            Set<String> taken = taken(rails);
            int[] firstMember = new int[count + 1];
            for (int node : nodeOf) {
                firstMember[node + 1]++;
            }
            for (int node = 0; node < count; node++) {
                firstMember[node + 1] += firstMember[node];
            }
            int[] members = new int[nodeOf.length];
            int[] next = firstMember.clone();
            for (int id = 0; id < nodeOf.length; id++) {
                members[next[nodeOf[id]]++] = id;
            }
            List<Node> nodes = new ArrayList<>(count);
            for (int node = 0; node < count; node++) {
                nodes.add(node(Arrays.copyOfRange(members, firstMember[node], firstMember[node + 1]), rails, taken));
            }
            return nodes;
        }

        /** The numbers that rails and points have, which no other wire may get. */
        private Set<String> taken(List<Rail> rails) {
            Set<String> taken = new HashSet<>(keys.size());
            rails.forEach(rail -> taken.add(rail.number()));
            for (Object key : keys) {
                if (key instanceof RungItem.NamedPoint point && !point.rail()) {
                    taken.add(point.name());
                }
            }
            return taken;
        }

        private Node node(int[] joined, List<Rail> rails, Set<String> taken) {
            String[] names = new String[joined.length];
            Terminal[] terminals = new Terminal[joined.length];
            int named = 0;
            int wired = 0;
            String number = "";
            for (int id : joined) {
                if (keys.get(id) instanceof Terminal terminal) {
                    terminals[wired++] = terminal;
                } else if (keys.get(id) instanceof RungItem.NamedPoint point) {
                    number = named == 0 ? numberOf(point, rails) : number;
                    names[named++] = point.name();
                }
            }
            return new Node(
                    named == 0 ? lowestFree(taken) : number,
                    List.of(Arrays.copyOf(names, named)),
                    List.of(Arrays.copyOf(terminals, wired)));
        }

        private static String numberOf(RungItem.NamedPoint point, List<Rail> rails) {
            for (Rail rail : point.rail() ? rails : List.<Rail>of()) {
                if (rail.name().equals(point.name())) {
                    return rail.number();
                }
            }
            return point.name();
        }

        private String lowestFree(Set<String> taken) {
            while (!taken.add(Integer.toString(nextNumber))) {
                nextNumber++;
            }
            return Integer.toString(nextNumber);
        }
    }
}
