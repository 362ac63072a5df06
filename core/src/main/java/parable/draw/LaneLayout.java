package parable.draw;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Places rungs side by side as lanes: where along its lane each item stands, so that items of one node stand in line. A
 * lane is a row of the ladder or a column of the power diagram. Along a lane there are slots for devices; between two
 * slots there is room for tracks on which nodes run across the lanes. So no crossing wire ever meets a symbol.
 */
final class LaneLayout {

    /** Something on a lane: a device takes a slot, a node does not. */
    sealed interface Item {}

    /**
     * A device on a lane.
     *
     * @param group devices of one group on different lanes stand in one line; a group of its own for those that need not
     */
    record DeviceItem(Object group) implements Item {}

    /** A node that more than one lane uses. */
    record NodeItem(int node) implements Item {}

    private final List<List<Item>> lanes;
    private final Map<Object, Integer> slots = new HashMap<>();
    private final Map<Integer, Integer> columns = new TreeMap<>();
    private final Map<Integer, Integer> tracks = new HashMap<>();
    private final Map<Integer, TreeSet<Integer>> lanesOf = new HashMap<>();
    private final int[] tracksAt;
    private final int length;

    private LaneLayout(List<List<Item>> lanes) {
        this.lanes = lanes;
        for (int lane = 0; lane < lanes.size(); lane++) {
            for (Item item : lanes.get(lane)) {
                if (item instanceof NodeItem node) {
                    lanesOf.computeIfAbsent(node.node(), any -> new TreeSet<>()).add(lane);
                }
            }
        }
        relax();
        length = Math.max(
                slots.values().stream().mapToInt(slot -> slot + 1).max().orElse(0),
                columns.values().stream().mapToInt(Integer::intValue).max().orElse(0));
        tracksAt = new int[length + 1];
        Arrays.fill(tracksAt, 1);
        layTracks();
    }

    /** The layout of these lanes. Items of a lane must be in order; the lanes must not contradict each other. */
    static LaneLayout of(List<List<Item>> lanes) {
        return new LaneLayout(lanes);
    }

    /** Pushes everything along until each item comes after the one before it. */
    private void relax() {
        int bound = lanes.stream().mapToInt(List::size).sum() + 1;
        boolean moved = true;
        for (int round = 0; moved; round++) {
            if (round > bound) {
                throw new IllegalStateException("lanes that contradict each other cannot be laid out");
            }
            moved = false;
            for (List<Item> lane : lanes) {
                moved |= pushAlong(lane);
            }
        }
    }

    private boolean pushAlong(List<Item> lane) {
        boolean moved = false;
        int earliest = 0;
        for (Item item : lane) {
            if (item instanceof DeviceItem device) {
                int slot = Math.max(earliest, slots.getOrDefault(device.group(), 0));
                moved |= !Integer.valueOf(slot).equals(slots.put(device.group(), slot));
                earliest = slot + 1;
            } else if (item instanceof NodeItem node) {
                int column = Math.max(earliest, columns.getOrDefault(node.node(), 0));
                moved |= !Integer.valueOf(column).equals(columns.put(node.node(), column));
                earliest = column;
            }
        }
        return moved;
    }

    /** Gives nodes that share a column and would touch a track each. */
    private void layTracks() {
        Map<Integer, List<Integer>> byColumn = new TreeMap<>();
        columns.forEach((node, column) ->
                byColumn.computeIfAbsent(column, any -> new ArrayList<>()).add(node));
        byColumn.forEach((column, nodes) -> {
            List<List<int[]>> taken = new ArrayList<>();
            for (int node : nodes) {
                int[] reach = {lanesOf.get(node).first(), lanesOf.get(node).last()};
                int track = 0;
                while (track < taken.size() && touches(reach, taken.get(track))) {
                    track++;
                }
                if (track == taken.size()) {
                    taken.add(new ArrayList<>());
                }
                taken.get(track).add(reach);
                tracks.put(node, track);
            }
            tracksAt[column] = Math.max(tracksAt[column], taken.size());
        });
    }

    /** Whether a reach of lanes has one in common with any of others. */
    private static boolean touches(int[] reach, List<int[]> others) {
        for (int[] other : others) {
            if (other[0] <= reach[1] && reach[0] <= other[1]) {
                return true;
            }
        }
        return false;
    }

    /** The first lane that a node is on. */
    int firstLane(int node) {
        return lanesOf.get(node).first();
    }

    /** The last lane that a node is on. */
    int lastLane(int node) {
        return lanesOf.get(node).last();
    }

    /** The lanes that a node is on, in their order. */
    SortedSet<Integer> lanesOf(int node) {
        return lanesOf.get(node);
    }

    /** The nodes that run across lanes, in their order. */
    List<Integer> nodes() {
        return List.copyOf(columns.keySet());
    }

    /** How many slots a lane has. */
    int length() {
        return length;
    }

    /** The slot of a group of devices. */
    int slot(Object group) {
        return slots.get(group);
    }

    /** The column of a node: n is the room before slot n. */
    int column(int node) {
        return columns.get(node);
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
