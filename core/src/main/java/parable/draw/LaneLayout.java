package parable.draw;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Places rungs side by side as lanes: where along its lane each item stands, so that items of one node are in line. A
 * lane is a row of the ladder or a column of the power diagram. Along a lane there are slots for devices; between two
 * slots there is room for tracks on which nodes run across the lanes. So no crossing wire ever meets a symbol.
 */
final class LaneLayout {

    /** Something on a lane: a device takes a slot, a node does not. */
    sealed interface Item {
        /** Whether it may be on more than one lane. */
        boolean shared();
    }

    /**
     * The group of a device that is in line with no other.
     *
     * @param number one that no other has
     */
    record Alone(int number) {
        /** As any record's; written out for the same reason as that of a node. */
        @Override
        public int hashCode() {
            return number;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Alone that && number == that.number;
        }
    }

    /**
     * A device on a lane.
     *
     * @param group devices of one group on different lanes stand in one line; {@link Alone} for those that need not
     */
    record DeviceItem(Object group) implements Item {
        @Override
        public boolean shared() {
            return !(group instanceof Alone);
        }

        /** As any record's; written out for the same reason as that of a node. */
        @Override
        public int hashCode() {
            return group.hashCode();
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof DeviceItem that && group.equals(that.group);
        }
    }

    /** A node that more than one lane uses. */
    record NodeItem(int node) implements Item {
        @Override
        public boolean shared() {
            return true;
        }

        /** As any record's; written out, because nodes are looked up so often that the generated one is felt. */
        @Override
        public int hashCode() {
            return node;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof NodeItem that && node == that.node;
        }
    }

    private final Map<Item, Integer> indices;
    private final List<Item> items = new ArrayList<>();
    private final int[][] lanes;
    private final int[] places;

    /** How many slots each item takes. */
    private final int[] widths;

    private final List<Integer> nodes;
    private final Map<Integer, Integer> tracks = new HashMap<>();

    /** Each in ascending order. */
    private final Map<Integer, List<Integer>> lanesOf = new HashMap<>();

    private final int[] tracksAt;
    private final int length;

    private LaneLayout(List<List<Item>> lanes) {
        this.lanes = new int[lanes.size()][];
        indices = new HashMap<>(2 * lanes.stream().mapToInt(List::size).sum());
        for (int lane = 0; lane < lanes.size(); lane++) {
            this.lanes[lane] = numbered(lanes.get(lane), lane);
        }
        places = new int[items.size()];
        widths = items.stream().mapToInt(LaneLayout::width).toArray();
        relax();
        int end = 0;
        for (int item = 0; item < places.length; item++) {
            end = Math.max(end, places[item] + widths[item]);
        }
        length = end;
        nodes = lanesOf.keySet().stream().sorted().toList();
        tracksAt = new int[length + 1];
        Arrays.fill(tracksAt, 1);
        layTracks();
    }

    /** The positions of the items of a lane, which is noted for each node on it. */
    private int[] numbered(List<Item> lane, int number) {
        int[] numbered = new int[lane.size()];
        for (int i = 0; i < numbered.length; i++) {
            numbered[i] = index(lane.get(i));
            if (lane.get(i) instanceof NodeItem node) {
                List<Integer> on = lanesOf.computeIfAbsent(node.node(), any -> new ArrayList<>());
                if (on.isEmpty() || on.get(on.size() - 1) != number) {
                    on.add(number);
                }
            }
        }
        return numbered;
    }

    /** The layout of these lanes. Items of a lane must be in order; the lanes must not contradict each other. */
    static LaneLayout of(List<List<Item>> lanes) {
        return new LaneLayout(lanes);
    }

    private int index(Item item) {
        Integer known = indices.putIfAbsent(item, items.size());
        if (known == null) {
            items.add(item);
        }
        return known == null ? items.size() - 1 : known;
    }

    /** How many slots an item takes. */
    private static int width(Item item) {
        return item instanceof DeviceItem ? 1 : 0;
    }

    /** Pushes everything along until each item comes after the one before it. */
    private void relax() {
        int bound = Arrays.stream(lanes).mapToInt(lane -> lane.length).sum() + 1;
        boolean moved = true;
        for (int round = 0; moved; round++) {
            if (round > bound) {
                throw new IllegalStateException("lanes that contradict each other cannot be laid out");
            }
            moved = false;
            for (int[] lane : lanes) {
                moved |= pushAlong(lane);
            }
        }
    }

    private boolean pushAlong(int[] lane) {
        boolean moved = false;
        int earliest = 0;
        for (int item : lane) {
            if (places[item] < earliest) {
                places[item] = earliest;
                moved = true;
            }
            earliest = places[item] + widths[item];
        }
        return moved;
    }

    /** Gives nodes that share a column and would touch a track each. */
    private void layTracks() {
        Map<Integer, List<Integer>> byColumn = new TreeMap<>();
        nodes.forEach(node ->
                byColumn.computeIfAbsent(column(node), any -> new ArrayList<>()).add(node));
        byColumn.forEach((column, inColumn) -> {
            List<TreeMap<Integer, Integer>> taken = new ArrayList<>();
            for (int node : inColumn) {
                int track = 0;
                while (track < taken.size() && touches(node, taken.get(track))) {
                    track++;
                }
                if (track == taken.size()) {
                    taken.add(new TreeMap<>());
                }
                taken.get(track).put(firstLane(node), lastLane(node));
                tracks.put(node, track);
            }
            tracksAt[column] = Math.max(tracksAt[column], taken.size());
        });
    }

    /** Whether the reach of a node has a lane in common with any of others, of which each first lane is given with its last. */
    private boolean touches(int node, TreeMap<Integer, Integer> others) {
        Map.Entry<Integer, Integer> nearest = others.floorEntry(lastLane(node));
        return nearest != null && nearest.getValue() >= firstLane(node);
    }

    /** The first lane that a node is on. */
    int firstLane(int node) {
        return lanesOf.get(node).get(0);
    }

    /** The last lane that a node is on. */
    int lastLane(int node) {
        List<Integer> on = lanesOf.get(node);
        return on.get(on.size() - 1);
    }

    /** The lanes that a node is on, in their order. */
    List<Integer> lanesOf(int node) {
        return lanesOf.get(node);
    }

    /** The nodes that run across lanes, in their order. */
    List<Integer> nodes() {
        return nodes;
    }

    /** Whether a node runs across lanes. */
    boolean has(int node) {
        return lanesOf.containsKey(node);
    }

    /** How many slots a lane has. */
    int length() {
        return length;
    }

    /** The slot of a device and of those in line with it. */
    int slot(DeviceItem device) {
        return places[indices.get(device)];
    }

    /** The column of a node: n is the room before slot n. */
    int column(int node) {
        return places[indices.get(new NodeItem(node))];
    }

    /** The track of a node within its column, 0 for the first. */
    int track(int node) {
        return tracks.get(node);
    }

    /** How many tracks the room before a slot has. */
    int tracksBefore(int slot) {
        return tracksAt[slot];
    }
}
