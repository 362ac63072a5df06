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
import java.util.SortedSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Node;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Terminal;
import parable.draw.LaneLayout.DeviceItem;
import parable.draw.LaneLayout.NodeItem;
import parable.draw.LaneOrder.Placed;
import parable.draw.Mark.Anchor;
import parable.draw.Mark.TextRole;
import parable.parts.Assembly;
import parable.parts.LoadRole;
import parable.parts.Part;

/** A diagram of rungs side by side as lanes: what the ladder and the power diagram have in common. */
abstract class LaneDiagram {

    /**
     * Distances in drawing units.
     *
     * @param start where the lanes begin
     * @param slot the room for a device along a lane
     * @param track the room for one more node that runs across
     */
    record Pitch(double start, double slot, double track) {}

    /** The wire before an item of a lane. */
    private record Stretch(int lane, int item) {}

    private static final int WORTH_A_POINTER = 2;
    private static final double SPOT = 44;

    private static final double TERMINAL = 3;

    final Assembly assembly;
    final Axis axis;
    final Symbols symbols;
    final List<Rung> rungs;
    private final Pitch pitch;
    private final Map<String, Integer> nodeByName;
    private final List<List<Placed>> lanes = new ArrayList<>();
    private final Map<String, Stretch> numberedAt = new HashMap<>();
    private int lookedThrough;
    private LaneLayout layout;
    private StripSigns strip;
    private double[] columnAt;
    private double[] slotAt;

    LaneDiagram(Assembly assembly, Symbols symbols, Axis axis, List<Rung> rungs, Pitch pitch) {
        this.assembly = assembly;
        this.axis = axis;
        this.symbols = symbols;
        this.rungs = rungs;
        this.pitch = pitch;
        this.nodeByName = nodeByName(assembly.nodes().all());
    }

    /** Where a lane lies. */
    abstract double across(int lane);

    /** Whether the end of a rung on this node is drawn as a node that runs across the lanes. */
    abstract boolean runsAcross(RungItem.NamedPoint point);

    /**
     * What devices must stand in line with this one, itself if none; where a rung goes through a group twice, first stands
     * with first and second with second.
     */
    abstract Object groupOf(RungItem item);

    /** Adds the symbol of a device and the texts around it to the marks of its lane. */
    abstract void drawDevice(List<Mark> marks, int lane, Placed placed, Point at);

    /** Which circuit it draws. */
    abstract Circuit circuit();

    /** Adds what stands at the end of a lane that does not end on a node that runs across; returns where its wire ends. */
    abstract double drawEnd(List<Mark> marks, int lane, Placed placed, double along);

    /** Adds a wire number at the beginning of a piece of wire. */
    abstract void drawNumber(List<Mark> marks, String number, double along, double across);

    /** Settles where everything stands, before anything is drawn. */
    final void layOut() {
        Set<Integer> detached = detachedLanes();
        lanes.addAll(settled(detached));
        layout = layoutOf(lanes);
        measure();
        arrange();
        strip = StripSigns.of(
                assembly,
                lanes.stream()
                        .map(lane -> lane.stream()
                                .flatMap(placed -> Stream.of(towards(placed, false), towards(placed, true)))
                                .filter(terminal -> !terminal.tag().isEmpty())
                                .toList())
                        .toList());
    }

    /** The nodes that run across the lanes. */
    final List<Mark> nodesAcross() {
        List<Mark> marks = new ArrayList<>();
        layout.nodes().forEach(node -> drawAcross(marks, node));
        return marks;
    }

    private List<List<Placed>> settled(Set<Integer> detached) {
        LaneOrder order = new LaneOrder();
        List<List<Placed>> settled = new ArrayList<>();
        for (int lane = 0; lane < rungs.size(); lane++) {
            List<Placed> placed = placed(lane);
            settled.add(detached.contains(lane) ? order.detached(placed) : order.settle(placed));
        }
        return settled;
    }

    private static LaneLayout layoutOf(List<List<Placed>> lanes) {
        return LaneLayout.of(lanes.stream().map(LaneOrder::items).toList());
    }

    /** Whether a rung that makes the whole diagram longer is rather ended with a pointer to where it leads. */
    boolean keepsShort() {
        return false;
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
        List<Placed> placed = new ArrayList<>();
        Map<Object, Integer> seen = new HashMap<>();
        for (RungItem item : rungs.get(lane).items()) {
            if (item instanceof RungItem.NamedPoint point) {
                boolean across = runsAcross(point);
                int node = inPart(node(point), partOf(lane));
                placed.add(new Placed(item, across ? List.of(new NodeItem(node)) : List.of(), false));
            } else {
                Object group = groupOf(item);
                int before = seen.merge(group, 1, Integer::sum) - 1;
                Object ofTurn = before == 0 ? group : List.of(group, before);
                placed.add(new Placed(item, List.of(new DeviceItem(ofTurn)), false));
            }
        }
        return placed;
    }

    /** The part of the diagram that a lane is in; what runs across does so within its part. */
    int partOf(int lane) {
        return 0;
    }

    /** The number in the layout of a node within a part of the diagram. */
    final int inPart(int node, int part) {
        return node + part * assembly.nodes().all().size();
    }

    /** The number of the wire that a node of the layout stands for. */
    private String wireOf(int node) {
        List<Node> all = assembly.nodes().all();
        return all.get(node % all.size()).number();
    }

    final int node(RungItem.NamedPoint point) {
        return Optional.ofNullable(nodeByName.get(point.name()))
                .orElseThrow(() -> new IllegalStateException("the sheet has no point " + point.text()));
    }

    private static Map<String, Integer> nodeByName(List<Node> nodes) {
        Map<String, Integer> byName = new HashMap<>();
        for (int n = 0; n < nodes.size(); n++) {
            int index = n;
            nodes.get(n).names().forEach(name -> byName.putIfAbsent(name, index));
        }
        return byName;
    }

    /** Called once it is known what stands in line with what, before anything is drawn. */
    void arrange() {}

    /** The devices on a lane that it goes through, each with the line that it stands in. */
    final Map<RungItem.Passage, Integer> linesOn(int lane) {
        Map<RungItem.Passage, Integer> lines = new LinkedHashMap<>();
        for (Placed placed : lanes.get(lane)) {
            if (placed.item() instanceof RungItem.Passage passage) {
                lines.put(passage, layout.slot((DeviceItem) placed.inLayout().get(0)));
            }
        }
        return lines;
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
                    int slot = layout.slot((DeviceItem) placed.inLayout().get(0));
                    longer[slot] = Math.max(longer[slot], room);
                }
            }
        }
        return longer;
    }

    /** How much longer than others the slot of a device is at both ends; no less than nothing. */
    double roomAround(Placed placed) {
        return 0;
    }

    /** Whether a node runs across the lanes. */
    final boolean isLaidOut(int node) {
        return layout.nodes().contains(node);
    }

    /** Where a node runs across the lanes. */
    final double nodeAt(int node) {
        return columnAt[layout.column(node)] + layout.track(node) * pitch.track;
    }

    /** Whether a node that may run across the lanes is on one only. */
    final boolean hasOneLane(int node) {
        return layout.lanesOf(node).size() == 1;
    }

    /** The first of the lanes that a node runs across. */
    final int firstLaneOf(int node) {
        return layout.lanesOf(node).first();
    }

    /** The number of columns in which devices are, and where the middle of each is. */
    final double[] columns() {
        return IntStream.range(0, layout.length())
                .mapToDouble(slot -> slotAt[slot] + pitch.slot / 2)
                .toArray();
    }

    /** The column that a device of a lane is in, 0 for the first; empty if it is in none, or nothing is laid out yet. */
    final OptionalInt columnOf(int lane, RungItem item) {
        List<Placed> items = lanes.isEmpty() ? List.of() : lanes.get(lane);
        return IntStream.range(0, items.size())
                .filter(i ->
                        items.get(i).item() == item && !items.get(i).inLayout().isEmpty())
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

    private void drawAcross(List<Mark> marks, int node) {
        SortedSet<Integer> on = layout.lanesOf(node);
        if (on.size() < 2) {
            return;
        }
        double along = nodeAt(node);
        String number = wireOf(node);
        marks.add(new Mark.WireLine(
                number, List.of(axis.point(along, across(on.first())), axis.point(along, across(on.last())))));
        for (int lane : on) {
            boolean corner = (lane == on.first() || lane == on.last()) && isEnd(lane, node);
            if (!corner) {
                marks.add(new Mark.Junction(number, axis.point(along, across(lane))));
            }
        }
    }

    private boolean isEnd(int lane, int node) {
        List<Placed> items = lanes.get(lane);
        NodeItem item = new NodeItem(node);
        return items.get(0).inLayout().contains(item)
                || items.get(items.size() - 1).inLayout().contains(item);
    }

    /** What stands on a lane; may be asked from any thread, once all is settled. */
    final synchronized List<Mark> lane(int lane) {
        List<Mark> marks = new ArrayList<>();
        List<Placed> items = lanes.get(lane);
        double across = across(lane);
        double wireFrom = begin(marks, lane, items.get(0));
        spot(marks, towards(items.get(0), true), axis.point(wireFrom, across));
        for (int i = 1; i < items.size(); i++) {
            Placed placed = items.get(i);
            String number = numberBetween(items.get(i - 1), placed);
            double wireTo = wireTo(marks, lane, items, i);
            if (wireTo > wireFrom) {
                marks.add(new Mark.WireLine(number, List.of(axis.point(wireFrom, across), axis.point(wireTo, across))));
            }
            if (isNumbered(number, lane, i) && !isMarking(number, items.get(i - 1))) {
                drawNumber(marks, number, wireFrom, across);
            }
            boolean device = placed.item() instanceof RungItem.Passage;
            wireFrom = device ? wireTo + 2 * halfLength(lane, placed) : wireTo;
            spot(marks, towards(placed, false), axis.point(wireTo, across));
            drawStrip(marks, lane, placed, false, wireTo);
            if (device) {
                spot(marks, towards(placed, true), axis.point(wireFrom, across));
                drawStrip(marks, lane, placed, true, wireFrom);
            }
        }
        return marks;
    }

    /** The sign of a terminal of the strip, with its number, where there is one. */
    private void drawStrip(List<Mark> marks, int lane, Placed placed, boolean next, double end) {
        strip.beside(towards(placed, next)).ifPresent(number -> {
            Point at = axis.point(besideDevice(placed, next, end), across(lane));
            marks.add(new Mark.Figure(
                    Box.around(at, 2 * TERMINAL, 2 * TERMINAL), List.of(new Stroke.Circle(at, TERMINAL, false))));
            drawStripNumber(marks, number, at);
        });
    }

    /** Where along its lane the terminal of the strip is drawn that the wire from the end of a device goes by. */
    abstract double besideDevice(Placed placed, boolean next, double end);

    /** Adds the number of a terminal of the strip beside its sign. */
    abstract void drawStripNumber(List<Mark> marks, String number, Point at);

    /** Whether the number of a wire stands on the stretch before an item of a lane, as it does on the first of all. */
    private boolean isNumbered(String number, int lane, int item) {
        for (; lookedThrough <= lane; lookedThrough++) {
            List<Placed> items = lanes.get(lookedThrough);
            for (int i = 1; i < items.size(); i++) {
                numberedAt.putIfAbsent(numberBetween(items.get(i - 1), items.get(i)), new Stretch(lookedThrough, i));
            }
        }
        return numberedAt.get(number).equals(new Stretch(lane, item));
    }

    private static void spot(List<Mark> marks, Terminal terminal, Point at) {
        if (!terminal.tag().isEmpty()) {
            marks.add(new Mark.TerminalSpot(terminal, at));
        }
    }

    /** Whether a wire is called like the terminal it comes from, as L1 is; saying it once is enough. */
    private static boolean isMarking(String number, Placed from) {
        return from.item() instanceof RungItem.TerminalEnd landing
                && landing.terminal().marking().equals(number);
    }

    private double begin(List<Mark> marks, int lane, Placed first) {
        OptionalInt node = nodeOf(first);
        if (first.item() instanceof RungItem.NamedPoint && isElsewhere(first)) {
            return drawBeginning(marks, lane, first, firstStop(lane));
        }
        if (node.isPresent()) {
            return nodeAt(node.getAsInt());
        }
        return drawLanding(marks, lane, first, slotOf(first), false);
    }

    /** Where the wire that a lane begins with comes to the first device or node that is laid out. */
    private double firstStop(int lane) {
        List<Placed> items = lanes.get(lane);
        for (int i = 1; i < items.size(); i++) {
            OptionalInt node = nodeOf(items.get(i));
            if (node.isPresent()) {
                return nodeAt(node.getAsInt());
            }
            if (!items.get(i).inLayout().isEmpty()) {
                return centreOf(items, i) - halfLength(lane, items.get(i));
            }
        }
        return end();
    }

    /** Whether a lane ends on a node that is drawn on other lanes only, so that it has to point there. */
    private boolean isElsewhere(Placed placed) {
        OptionalInt node = nodeOf(placed);
        return node.isEmpty()
                || placed.item() instanceof RungItem.NamedPoint point && !point.rail() && hasOneLane(node.getAsInt());
    }

    /**
     * Adds what a lane begins with that begins on a node drawn elsewhere; returns where its wire begins.
     *
     * @param device where the wire ends, at the first device
     */
    abstract double drawBeginning(List<Mark> marks, int lane, Placed placed, double device);

    /**
     * Draws a device that a lane begins or ends on; returns where its wire is attached.
     *
     * @param end whether the lane ends there
     */
    abstract double drawLanding(List<Mark> marks, int lane, Placed placed, double along, boolean end);

    private double wireTo(List<Mark> marks, int lane, List<Placed> items, int i) {
        Placed placed = items.get(i);
        OptionalInt node = nodeOf(placed);
        boolean last = i + 1 == items.size();
        if (last && placed.item() instanceof RungItem.NamedPoint && isElsewhere(placed)) {
            return drawEnd(marks, lane, placed, lastEnd(items, i));
        }
        if (node.isPresent()) {
            return nodeAt(node.getAsInt());
        }
        if (placed.item() instanceof RungItem.Passage) {
            double centre = centreOf(items, i);
            Point at = axis.point(centre, across(lane));
            drawDevice(marks, lane, placed, at);
            marks.add(new Mark.ItemSpot(placeOf(lane, placed.item()), Box.around(at, SPOT, SPOT)));
            return centre - halfLength(lane, placed);
        }
        if (placed.item() instanceof RungItem.TerminalEnd) {
            return drawLanding(marks, lane, placed, slotOf(placed), true);
        }
        return lastEnd(items, i);
    }

    /** The place of an item of a lane; the item itself, for one rung may hold two that are equal. */
    private Place placeOf(int lane, RungItem item) {
        List<RungItem> items = rungs.get(lane).items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) == item) {
                return new Place(circuit(), lane, i);
            }
        }
        throw new IllegalStateException(item.text() + " is not on the rung that is drawn");
    }

    /** The place just behind the last device before an item. */
    private double lastEnd(List<Placed> items, int i) {
        for (int before = i - 1; before >= 0; before--) {
            if (!items.get(before).inLayout().isEmpty()) {
                OptionalInt node = nodeOf(items.get(before));
                if (node.isPresent()) {
                    return nodeAt(node.getAsInt());
                }
                boolean landing = items.get(before).item() instanceof RungItem.TerminalEnd;
                return slotOf(items.get(before)) + (landing ? belowLanding() : pitch.slot / 2 + Symbols.HALF);
            }
        }
        return pitch.start;
    }

    private double centreOf(List<Placed> items, int i) {
        Placed placed = items.get(i);
        if (standsAtTheEnd(placed) && i + 2 == items.size()) {
            OptionalInt node = nodeOf(items.get(i + 1));
            if (node.isPresent()) {
                return slotAt[layout.column(node.getAsInt()) - 1] + pitch.slot / 2;
            }
        }
        return slotOf(placed) + pitch.slot / 2;
    }

    /** How far behind the beginning of its slot the wire of a device begins that a lane begins on. */
    double belowLanding() {
        return pitch.slot / 2 + Symbols.HALF;
    }

    /** How far a device reaches along its lane to both sides of its centre. */
    double halfLength(int lane, Placed placed) {
        return Symbols.HALF;
    }

    /** Whether a device is moved to the far end of its lane. */
    abstract boolean standsAtTheEnd(Placed placed);

    private double slotOf(Placed placed) {
        return slotAt[layout.slot((DeviceItem) placed.inLayout().get(0))];
    }

    private static OptionalInt nodeOf(Placed placed) {
        for (LaneLayout.Item item : placed.inLayout()) {
            if (item instanceof NodeItem node) {
                return OptionalInt.of(node.node());
            }
        }
        return OptionalInt.empty();
    }

    private String numberBetween(Placed one, Placed other) {
        int node = assembly.nodes().indexOf(towards(one, true)).orElseGet(() -> assembly.nodes()
                .indexOf(towards(other, false))
                .orElseGet(() -> node((RungItem.NamedPoint) one.item())));
        return assembly.nodes().all().get(node).number();
    }

    /** The terminal of an item that faces the next item, or the one before; points have none that is on any node. */
    private static Terminal towards(Placed placed, boolean next) {
        if (placed.item() instanceof RungItem.Passage passage) {
            return next != placed.reversed() ? passage.returnSide() : passage.lineSide();
        }
        return placed.item() instanceof RungItem.TerminalEnd landing ? landing.terminal() : new Terminal("", "");
    }

    final Part part(String tag) {
        return assembly.part(tag).orElseThrow();
    }

    static void label(List<Mark> marks, Point at, String text, TextRole role, Anchor anchor) {
        marks.add(new Mark.Text(at, text, role, anchor));
    }

    /** The symbol of a contact or load that a rung passes through. */
    final Mark.Symbol symbol(RungItem.Passage passage, Point at) {
        Part part = part(passage.tag());
        int node = assembly.nodes().indexOf(passage.lineSide()).orElseThrow();
        return part.contactBetween(passage.from(), passage.to())
                .map(contact -> symbols.contact(part, contact, at))
                .orElseGet(() -> symbols.load(part, loadOf(part, passage), at))
                .on(assembly.nodes().all().get(node).number());
    }

    /** How far the symbol of a passage stands out above its lane. */
    final double heightAbove(RungItem.Passage passage) {
        Part part = part(passage.tag());
        return part.contactBetween(passage.from(), passage.to())
                .map(contact -> symbols.heightAbove(part, part.contacts().get(contact)))
                .orElseGet(() -> symbols.heightAbove(roleOf(part, passage)));
    }

    private static LoadRole roleOf(Part part, RungItem.Passage passage) {
        return part.loads().get(loadOf(part, passage)).role();
    }

    private static int loadOf(Part part, RungItem.Passage passage) {
        return part.loadBetween(passage.from(), passage.to()).orElseThrow();
    }

    /** How often each node is named by the rungs of this diagram. */
    static Map<String, Integer> uses(List<Rung> rungs) {
        Map<String, Integer> uses = new HashMap<>();
        rungs.forEach(rung -> rung.points().forEach(point -> uses.merge(point.name(), 1, Integer::sum)));
        return uses;
    }
}
