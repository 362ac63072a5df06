package parable.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Node;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Terminal;
import parable.draw.LaneOrder.Placed;
import parable.draw.Mark.Anchor;
import parable.draw.Mark.TextRole;
import parable.parts.Assembly;
import parable.parts.LoadRole;
import parable.parts.Part;

/** A diagram of rungs side by side as lanes: what the ladder and the power diagram have in common. */
abstract class LaneDiagram extends LanePlan {

    private static final double SPOT = 44;

    private static final double TERMINAL = 3;
    private static final boolean[] BOTH_SIDES = {false, true};
    private static final boolean[] NEITHER_SIDE = {};

    /** One end of a device. */
    private record Side(Placed device, boolean next) {
        Terminal terminal() {
            return towards(device, next);
        }
    }

    final Axis axis;
    final Symbols symbols;
    private StripSigns signs = StripSigns.NONE;
    private final WireBeginnings beginnings = new WireBeginnings(this);

    /** Where each terminal of the strip is drawn first, by its position; empty where it is not. */
    private Side[] strip = {};

    LaneDiagram(Assembly assembly, Symbols symbols, Axis axis, Circuit circuit, Pitch pitch) {
        super(assembly, circuit, pitch);
        this.axis = axis;
        this.symbols = symbols;
    }

    /** Where a lane lies. */
    abstract double across(int lane);

    /** Adds the symbol of a device and the texts around it to the marks of its lane. */
    abstract void drawDevice(List<Mark> marks, int lane, Placed placed, Point at);

    /** Adds what is at the end of a lane that does not end on a node that runs across; returns where its wire ends. */
    abstract double drawEnd(List<Mark> marks, int lane, Placed placed, double along);

    /** Adds a wire number at the beginning of a piece of wire. */
    abstract void drawNumber(List<Mark> marks, String number, double along, double across);

    /** Settles where everything is, before anything is drawn. */
    final void layOut(StripSigns signs) {
        settle();
        arrange();
        this.signs = signs;
        strip = new Side[signs.count()];
        for (int lane = 0; lane < lanes().size() && !signs.isEmpty(); lane++) {
            for (Placed placed : lanes().get(lane)) {
                int part = fitted.get(lane).partIndex(placed.index());
                for (boolean next : part < 0 ? NEITHER_SIDE : BOTH_SIDES) {
                    int position = signs.leading(part, nodeTowards(lane, placed, next));
                    if (position >= 0 && strip[position] == null) {
                        strip[position] = new Side(placed, next);
                    }
                }
            }
        }
    }

    /** The node at an end of a device; the one that it lands on at both. */
    private int nodeTowards(int lane, Placed placed, boolean next) {
        boolean lineSide = placed.item() instanceof RungItem.Passage && next == placed.reversed();
        return nodeAlong(lane, lineSide ? placed.index() - 1 : placed.index());
    }

    /** The nodes that run across the lanes. */
    final List<Mark> nodesAcross() {
        List<Mark> marks = new ArrayList<>();
        acrossNodes().forEach(node -> drawAcross(marks, node));
        return marks;
    }

    /** The number of the wire that a node of the layout stands for. */
    private String wireOf(int node) {
        List<Node> all = assembly.nodes().all();
        return all.get(node % all.size()).number();
    }

    /** Called once it is known what is in line with what, before anything is drawn. */
    void arrange() {}

    private void drawAcross(List<Mark> marks, LaneItem node) {
        if (!hasOneLane(node)) {
            double along = nodeAt(node);
            Point first = axis.point(along, across(firstLaneOf(node)));
            Point last = axis.point(along, across(lastLaneOf(node)));
            marks.add(new Mark.WireLine(wireOf(node.node()), List.of(first, last)));
        }
    }

    /** A dot where a node that runs across joins the wire of a lane; none at a corner. */
    private void drawJunctions(List<Mark> marks, int lane) {
        for (Placed placed : lanes().get(lane)) {
            Optional<LaneItem> node = nodeOf(placed);
            if (node.isPresent() && isJoined(lane, node.get())) {
                Point at = axis.point(nodeAt(node.get()), across(lane));
                marks.add(new Mark.Junction(wireOf(node.get().node()), at));
            }
        }
    }

    private boolean isJoined(int lane, LaneItem node) {
        boolean outermost = lane == firstLaneOf(node) || lane == lastLaneOf(node);
        return !hasOneLane(node) && !(outermost && isEnd(lane, node));
    }

    /** What is on a lane; may be asked from any thread, once all is settled. */
    final synchronized List<Mark> lane(int lane) {
        List<Mark> marks = new ArrayList<>();
        List<Placed> items = lanes().get(lane);
        double across = across(lane);
        drawJunctions(marks, lane);
        double wireFrom = begin(marks, lane, items.get(0));
        spot(marks, towards(items.get(0), true), axis.point(wireFrom, across));
        for (int i = 1; i < items.size(); i++) {
            Placed placed = items.get(i);
            int node = nodeBetween(lane, items.get(i - 1), placed);
            String number = wireOf(node);
            double wireTo = wireTo(marks, lane, items, i);
            if (wireTo > wireFrom) {
                marks.add(new Mark.WireLine(number, List.of(axis.point(wireFrom, across), axis.point(wireTo, across))));
            }
            if (beginnings.isAt(node, lane, i) && !isMarking(number, items.get(i - 1))) {
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
        int part = fitted.get(lane).partIndex(placed.index());
        int position = part < 0 || signs.isEmpty() ? -1 : signs.leading(part, nodeTowards(lane, placed, next));
        if (position >= 0 && strip[position].terminal().equals(towards(placed, next))) {
            Point at = axis.point(besideDevice(placed, next, end), across(lane));
            marks.add(new Mark.Figure(
                    Box.around(at, 2 * TERMINAL, 2 * TERMINAL), List.of(new Stroke.Circle(at, TERMINAL, false))));
            drawStripNumber(marks, Integer.toString(position + 1), at);
        }
    }

    /** Where along its lane the terminal of the strip is drawn that the wire from the end of a device goes by. */
    abstract double besideDevice(Placed placed, boolean next, double end);

    /** Adds the number of a terminal of the strip beside its sign. */
    abstract void drawStripNumber(List<Mark> marks, String number, Point at);

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
        Optional<LaneItem> node = nodeOf(first);
        if (first.item() instanceof RungItem.NamedPoint && isElsewhere(first)) {
            return drawBeginning(marks, lane, first, firstStop(lane));
        }
        if (node.isPresent()) {
            return nodeAt(node.get());
        }
        return drawLanding(marks, lane, first, slotOf(first), false);
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
        Optional<LaneItem> node = nodeOf(placed);
        boolean last = i + 1 == items.size();
        if (last && placed.item() instanceof RungItem.NamedPoint && isElsewhere(placed)) {
            return drawEnd(marks, lane, placed, lastEnd(items, i));
        }
        if (node.isPresent()) {
            return nodeAt(node.get());
        }
        if (placed.item() instanceof RungItem.Passage) {
            double centre = centreOf(items, i);
            Point at = axis.point(centre, across(lane));
            drawDevice(marks, lane, placed, at);
            marks.add(new Mark.ItemSpot(new Place(circuit, lane, placed.index()), Box.around(at, SPOT, SPOT)));
            return centre - halfLength(lane, placed);
        }
        if (placed.item() instanceof RungItem.TerminalEnd) {
            return drawLanding(marks, lane, placed, slotOf(placed), true);
        }
        return lastEnd(items, i);
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

    /** How far the symbol of a passage reaches above its lane. */
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
}
