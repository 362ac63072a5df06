package parable.draw;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import parable.circuit.Circuit;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.draw.LaneOrder.Placed;
import parable.parts.Assembly;
import parable.parts.FittedRung;

/** Where everything of a diagram is along its lanes, and what is in line with what. */
abstract class LanePlan {

    /**
     * Distances in drawing units.
     *
     * @param start where the lanes begin
     * @param slot the room for a device along a lane
     * @param track the room for one more node that runs across
     */
    record Pitch(double start, double slot, double track) {}

    private static final int WORTH_A_POINTER = 2;

    final Assembly assembly;
    final List<Rung> rungs;
    final List<FittedRung> fitted;
    final Circuit circuit;
    private final Pitch pitch;
    private final List<List<Placed>> lanes = new ArrayList<>();
    private final LaneItems laneItems = new LaneItems();
    private LaneLayout layout;
    private double[] columnAt;
    private double[] slotAt;

    LanePlan(Assembly assembly, Circuit circuit, Pitch pitch) {
        this.assembly = assembly;
        this.circuit = circuit;
        this.rungs = assembly.sheet().rungs(circuit);
        this.fitted = assembly.rungs(circuit);
        this.pitch = pitch;
    }

    /** Settles what is where along the lanes. */
    final void settle() {
        lanes.addAll(settled(detachedLanes()));
        layout = layoutOf(lanes);
        measure();
    }

    /** What is on each lane, in the direction in which it is drawn; nothing before it is settled. */
    final List<List<Placed>> lanes() {
        return lanes;
    }

    /** The nodes that may run across the lanes, in their order. */
    final List<LaneItem> acrossNodes() {
        return layout.nodes();
    }

    /** The room for a device along a lane. */
    final double slotLength() {
        return pitch.slot;
    }

    /** Whether the end of a rung on a point, which is on this node, is drawn as a node that runs across the lanes. */
    abstract boolean runsAcross(RungItem.NamedPoint point, int node);

    /**
     * What devices must be in line with this one, empty if none; where a rung goes through a group twice, first stands
     * with first and second with second.
     */
    abstract Optional<Object> groupOf(RungItem item);

    /** Whether a rung that makes the whole diagram longer is rather ended with a pointer to where it leads. */
    boolean keepsShort() {
        return false;
    }

    /** The part of the diagram that a lane is in; what runs across does so within its part. */
    int partOf(int lane) {
        return 0;
    }

    /** How much longer than others the slot of a device is at both ends; no less than nothing. */
    double roomAround(Placed placed) {
        return 0;
    }

    /** Whether a device is moved to the far end of its lane. */
    abstract boolean standsAtTheEnd(Placed placed);

    /** How far behind the beginning of its slot the wire of a device begins that a lane begins on. */
    double belowLanding() {
        return pitch.slot / 2 + Symbols.HALF;
    }

    /** How far a device reaches along its lane to both sides of its centre. */
    double halfLength(int lane, Placed placed) {
        return Symbols.HALF;
    }

    /** The number in the layout of a node within a part of the diagram. */
    final int inPart(int node, int part) {
        return node + part * assembly.nodes().all().size();
    }

    /** The node that something on a lane is on, by its position on the rung; of a device the one at its return side. */
    final int nodeAlong(int lane, int index) {
        boolean last = index + 1 == rungs.get(lane).items().size();
        return assembly.nodes().between(circuit, lane, last ? index - 1 : index);
    }

    /** The node between an item of a lane and the next. */
    final int nodeBetween(int lane, Placed one, Placed next) {
        return assembly.nodes().between(circuit, lane, Math.min(one.index(), next.index()));
    }

    private List<List<Placed>> settled(Set<Integer> detached) {
        LaneOrder order = new LaneOrder(laneItems);
        List<List<Placed>> settled = new ArrayList<>();
        for (int lane = 0; lane < rungs.size(); lane++) {
            List<Placed> placed = placed(lane);
            settled.add(detached.contains(lane) ? order.detached(placed) : order.settle(placed));
        }
        return settled;
    }

    private LaneLayout layoutOf(List<List<Placed>> settled) {
        return LaneLayout.of(settled, laneItems);
    }

    /** The lanes that are ended with a pointer, because in line with the others they would push those far along. */
    private Set<Integer> detachedLanes() {
        Set<Integer> detached = new HashSet<>();
        for (int lane = 0; keepsShort() && lane < rungs.size(); lane++) {
            List<RungItem> items = rungs.get(lane).items();
            boolean betweenPoints = items.get(0) instanceof RungItem.NamedPoint
                    && items.get(items.size() - 1) instanceof RungItem.NamedPoint;
            if (betweenPoints && items.size() > 3) {
                Set<Integer> one = new HashSet<>(detached);
                one.add(lane);
                int saved = layoutOf(settled(detached)).length()
                        - layoutOf(settled(one)).length();
                detached = saved >= WORTH_A_POINTER ? one : detached;
            }
        }
        return detached;
    }

    private List<Placed> placed(int lane) {
        List<RungItem> items = rungs.get(lane).items();
        List<Placed> placed = new ArrayList<>(items.size());
        Map<Object, Integer> seen = new HashMap<>();
        for (int index = 0; index < items.size(); index++) {
            RungItem item = items.get(index);
            boolean point = item instanceof RungItem.NamedPoint;
            Optional<LaneItem> inLayout =
                    point ? across((RungItem.NamedPoint) item, lane, index) : Optional.of(device(groupOf(item), seen));
            placed.add(new Placed(item, index, inLayout, false));
        }
        return placed;
    }

    private Optional<LaneItem> across(RungItem.NamedPoint point, int lane, int index) {
        int node = nodeAlong(lane, index);
        return runsAcross(point, node) ? Optional.of(laneItems.node(inPart(node, partOf(lane)))) : Optional.empty();
    }

    /** What a device on a rung is in the layout, where the rung may have been through the same group before. */
    private LaneItem device(Optional<Object> group, Map<Object, Integer> seen) {
        if (group.isEmpty()) {
            return laneItems.alone();
        }
        int before = seen.merge(group.get(), 1, Integer::sum) - 1;
        return laneItems.group(before == 0 ? group.get() : List.of(group.get(), before));
    }

    private void measure() {
        columnAt = new double[layout.length() + 1];
        slotAt = new double[layout.length() + 1];
        double[] longer = longer();
        double at = pitch.start;
        for (int i = 0; i <= layout.length(); i++) {
            columnAt[i] = at;
            slotAt[i] = at + (layout.tracksBefore(i) - 1) * pitch.track + longer[i];
            at = slotAt[i] + pitch.slot + longer[i];
        }
    }

    /** How much longer each slot is made at both ends by the devices in it. */
    private double[] longer() {
        double[] longer = new double[layout.length() + 1];
        for (List<Placed> items : lanes) {
            for (Placed placed : items) {
                double room = roomAround(placed);
                if (room > 0) {
                    int slot = slotNumber(placed);
                    longer[slot] = Math.max(longer[slot], room);
                }
            }
        }
        return longer;
    }

    /** The devices on a lane that it goes through, each with the line that it stands in. */
    final Map<RungItem.Passage, Integer> linesOn(int lane) {
        Map<RungItem.Passage, Integer> lines = new LinkedHashMap<>();
        for (Placed placed : lanes.get(lane)) {
            if (placed.item() instanceof RungItem.Passage passage) {
                lines.put(passage, slotNumber(placed));
            }
        }
        return lines;
    }

    /** The item of a node within a part of the diagram, empty if it does not run across the lanes. */
    final Optional<LaneItem> laidOut(int node) {
        return laneItems.knownNode(node).filter(layout::has);
    }

    /** Where a node runs across the lanes. */
    final double nodeAt(LaneItem node) {
        return columnAt[layout.column(node)] + layout.track(node) * pitch.track;
    }

    /** Whether a node that may run across the lanes is on one only. */
    final boolean hasOneLane(LaneItem node) {
        return layout.firstLane(node) == layout.lastLane(node);
    }

    /** The first of the lanes that a node runs across. */
    final int firstLaneOf(LaneItem node) {
        return layout.firstLane(node);
    }

    /** The last of the lanes that a node runs across. */
    final int lastLaneOf(LaneItem node) {
        return layout.lastLane(node);
    }

    /** The number of columns in which devices are, and where the middle of each is. */
    final double[] columns() {
        return IntStream.range(0, layout.length())
                .mapToDouble(slot -> slotAt[slot] + pitch.slot / 2)
                .toArray();
    }

    /** The column that a device of a lane is in, 0 for the first; empty if it is in none, or nothing is laid out yet. */
    final OptionalInt columnOf(int lane, int item) {
        List<Placed> items = lanes.isEmpty() ? List.of() : lanes.get(lane);
        return IntStream.range(0, items.size())
                .filter(i ->
                        items.get(i).index() == item && !items.get(i).inLayout().isEmpty())
                .mapToDouble(i -> centreOf(items, i))
                .mapToInt(centre -> (int) IntStream.range(1, layout.length())
                        .filter(slot -> slotAt[slot] <= centre)
                        .count())
                .findFirst();
    }

    /** Where the lanes end. */
    final double end() {
        return slotAt[layout.length()];
    }

    final boolean isEnd(int lane, LaneItem node) {
        List<Placed> ends = lanes.get(lane);
        Optional<LaneItem> item = Optional.of(node);
        return ends.get(0).inLayout().equals(item)
                || ends.get(ends.size() - 1).inLayout().equals(item);
    }

    /** Where the wire that a lane begins with comes to the first device or node that is laid out. */
    final double firstStop(int lane) {
        List<Placed> items = lanes.get(lane);
        for (int i = 1; i < items.size(); i++) {
            Optional<LaneItem> node = nodeOf(items.get(i));
            if (node.isPresent()) {
                return nodeAt(node.get());
            }
            if (!items.get(i).inLayout().isEmpty()) {
                return centreOf(items, i) - halfLength(lane, items.get(i));
            }
        }
        return end();
    }

    final double centreOf(List<Placed> items, int i) {
        Placed placed = items.get(i);
        if (standsAtTheEnd(placed) && i + 2 == items.size()) {
            Optional<LaneItem> node = nodeOf(items.get(i + 1));
            if (node.isPresent()) {
                return slotAt[layout.column(node.get()) - 1] + pitch.slot / 2;
            }
        }
        return slotOf(placed) + pitch.slot / 2;
    }

    final double slotOf(Placed placed) {
        return slotAt[slotNumber(placed)];
    }

    private int slotNumber(Placed device) {
        return layout.slot(device.inLayout().orElseThrow());
    }

    static Optional<LaneItem> nodeOf(Placed placed) {
        return placed.inLayout().filter(LaneItem::isNode);
    }

    /** The place just behind the last device before an item. */
    final double lastEnd(List<Placed> items, int i) {
        for (int before = i - 1; before >= 0; before--) {
            if (!items.get(before).inLayout().isEmpty()) {
                Optional<LaneItem> node = nodeOf(items.get(before));
                if (node.isPresent()) {
                    return nodeAt(node.get());
                }
                boolean landing = items.get(before).item() instanceof RungItem.TerminalEnd;
                return slotOf(items.get(before)) + (landing ? belowLanding() : pitch.slot / 2 + Symbols.HALF);
            }
        }
        return pitch.start;
    }

    /** Whether a lane ends on a node that is drawn on other lanes only, so that it has to point there. */
    final boolean isElsewhere(Placed placed) {
        Optional<LaneItem> node = nodeOf(placed);
        return node.isEmpty()
                || placed.item() instanceof RungItem.NamedPoint point && !point.rail() && hasOneLane(node.get());
    }
}
