package parable.draw;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import parable.draw.LaneOrder.Placed;

/**
 * Places rungs side by side as lanes: where along its lane each item stands, so that items of one node are in line. A
 * lane is a row of the ladder or a column of the power diagram. Along a lane there are slots for devices; between two
 * slots there is room for tracks on which nodes run across the lanes. So no crossing wire ever meets a symbol.
 */
final class LaneLayout {

    private static final int NOWHERE = -1;

    /** The items of each lane, by their ids. */
    private final int[][] lanes;

    /** The nodes that run across lanes, in the order of their numbers. */
    private final List<LaneItem> nodes;

    /** The slot of each device and the column of each node, by their ids; so are the next four. */
    private final int[] places;

    /** How many slots an item takes. */
    private final int[] widths;

    private final int[] firstLanes;
    private final int[] lastLanes;
    private final int[] tracks;
    private final int[] tracksAt;
    private final int length;

    private LaneLayout(List<List<Placed>> lanes, int items) {
        places = new int[items];
        widths = new int[items];
        firstLanes = new int[items];
        lastLanes = new int[items];
        tracks = new int[items];
        Arrays.fill(firstLanes, NOWHERE);
        List<LaneItem> found = new ArrayList<>();
        this.lanes = new int[lanes.size()][];
        for (int lane = 0; lane < this.lanes.length; lane++) {
            this.lanes[lane] = noted(lanes.get(lane), lane, found);
        }
        found.sort(Comparator.comparingInt(LaneItem::node));
        nodes = List.copyOf(found);
        relax();
        length = end();
        tracksAt = new int[length + 1];
        Arrays.fill(tracksAt, 1);
        layTracks();
    }

    /** The layout of these lanes. Items of a lane must be in order; the lanes must not contradict each other. */
    static LaneLayout of(List<List<Placed>> lanes, LaneItems items) {
        return new LaneLayout(lanes, items.count());
    }

    /** The ids of what is laid out of a lane; takes note of it, and of the nodes that are met for the first time. */
    private int[] noted(List<Placed> lane, int number, List<LaneItem> found) {
        int[] ids = new int[lane.size()];
        int count = 0;
        for (Placed placed : lane) {
            Optional<LaneItem> item = placed.inLayout();
            if (item.isPresent()) {
                ids[count++] = note(item.get(), number, found);
            }
        }
        return count == ids.length ? ids : Arrays.copyOf(ids, count);
    }

    private int note(LaneItem item, int lane, List<LaneItem> found) {
        int id = item.id();
        if (firstLanes[id] == NOWHERE) {
            firstLanes[id] = lane;
            widths[id] = item.isNode() ? 0 : 1;
            if (item.isNode()) {
                found.add(item);
            }
        }
        lastLanes[id] = lane;
        return id;
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

    private int end() {
        int end = 0;
        for (int item = 0; item < places.length; item++) {
            end = Math.max(end, places[item] + widths[item]);
        }
        return end;
    }

    /** Gives nodes that share a column and would touch a track each. */
    private void layTracks() {
        Map<Integer, List<LaneItem>> byColumn = new TreeMap<>();
        for (LaneItem node : nodes) {
            byColumn.computeIfAbsent(column(node), any -> new ArrayList<>()).add(node);
        }
        byColumn.forEach((column, inColumn) -> {
            List<Track> taken = new ArrayList<>();
            for (LaneItem node : inColumn) {
                int track = 0;
                while (track < taken.size() && taken.get(track).touches(firstLane(node), lastLane(node))) {
                    track++;
                }
                if (track == taken.size()) {
                    taken.add(new Track());
                }
                taken.get(track).take(firstLane(node), lastLane(node));
                tracks[node.id()] = track;
            }
            tracksAt[column] = Math.max(tracksAt[column], taken.size());
        });
    }

    /** What lanes are taken of a track: of each node on it the last by the first. */
    private static final class Track {
        private final TreeMap<Integer, Integer> taken = new TreeMap<>();
        private int end = NOWHERE;

        /** Whether any of these lanes is taken. */
        boolean touches(int first, int last) {
            if (first > end) {
                return false;
            }
            Map.Entry<Integer, Integer> nearest = taken.floorEntry(last);
            return nearest != null && nearest.getValue() >= first;
        }

        void take(int first, int last) {
            taken.put(first, last);
            end = Math.max(end, last);
        }
    }

    /** The first lane that a node is on. */
    int firstLane(LaneItem node) {
        return firstLanes[node.id()];
    }

    /** The last lane that a node is on. */
    int lastLane(LaneItem node) {
        return lastLanes[node.id()];
    }

    /** The nodes that run across lanes, in the order of their numbers. */
    List<LaneItem> nodes() {
        return nodes;
    }

    /** Whether a node runs across lanes. */
    boolean has(LaneItem node) {
        return node.id() < firstLanes.length && firstLanes[node.id()] != NOWHERE;
    }

    /** How many slots a lane has. */
    int length() {
        return length;
    }

    /** The slot of a device and of those in line with it. */
    int slot(LaneItem device) {
        return places[device.id()];
    }

    /** The column of a node: n is the room before slot n. */
    int column(LaneItem node) {
        return places[node.id()];
    }

    /** The track of a node within its column, 0 for the first. */
    int track(LaneItem node) {
        return tracks[node.id()];
    }

    /** How many tracks the room before a slot has. */
    int tracksBefore(int slot) {
        return tracksAt[slot];
    }
}
