package parable.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import parable.circuit.Places;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.wiring.Footprint;
import parable.wiring.PanelLayout;
import parable.wiring.Wire;

/**
 * The view of a place: its devices where they stand, and their terminals as one sees them. The back plate is seen from the front, where its
 * terminals are; on doors and boxes the terminals are seen from behind, which is the mirror image of the front.
 */
public final class PanelDrawing {

    /** Drawing units for a mm. */
    static final double SCALE = 1.6;

    private static final double MARGIN = 26;
    private static final double HEADING = 34;
    private static final double SCREW = 4;
    private static final double DUCT = 22;
    private static final double HEAD = 15;

    private final Assembly assembly;
    private final PanelLayout layout;
    private final String place;
    private final PanelSide side;
    private final Geometry geometry;
    private final List<Mark> marks = new ArrayList<>();

    private PanelDrawing(Assembly assembly, PanelLayout layout, String place, PanelSide side) {
        this.assembly = assembly;
        this.layout = layout;
        this.place = place;
        this.side = side;
        geometry = new Geometry(layout, place, side);
    }

    /** How a place seen from the front is laid on the drawing. */
    private record Geometry(double width, double height, boolean mirrored) {

        Geometry(PanelLayout layout, String place, PanelSide side) {
            this(
                    layout.in(place).values().stream()
                                            .mapToDouble(Footprint::right)
                                            .max()
                                            .orElse(0)
                                    * SCALE
                            + 2 * MARGIN,
                    layout.in(place).values().stream()
                                            .mapToDouble(Footprint::bottom)
                                            .max()
                                            .orElse(0)
                                    * SCALE
                            + HEADING
                            + 2 * MARGIN,
                    side.isMirrored());
        }

        Point point(double x, double y) {
            double seen = mirrored ? width - 2 * MARGIN - x * SCALE : x * SCALE;
            return new Point(MARGIN + seen, HEADING + MARGIN + y * SCALE);
        }

        Box box(Footprint room) {
            Point one = point(room.x(), room.y());
            Point other = point(room.right(), room.bottom());
            return Box.around(List.of(new Box(one.x(), one.y(), 0, 0), new Box(other.x(), other.y(), 0, 0)));
        }
    }

    /** The sides from which a place is worth looking at: the back plate has its terminals in front. */
    public static List<PanelSide> sides(String place) {
        return place.equals(Places.BACK_PLATE) ? List.of(PanelSide.FRONT) : List.of(PanelSide.FRONT, PanelSide.BACK);
    }

    /** The side of a place from which its terminals are seen. */
    public static PanelSide wiredFrom(String place) {
        List<PanelSide> sides = sides(place);
        return sides.get(sides.size() - 1);
    }

    /**
     * The view of a place.
     *
     * @param wire the wire that is being made, shown where it runs; empty for none
     */
    public static Drawing of(Assembly assembly, PanelLayout layout, String place, PanelSide side, Optional<Wire> wire) {
        PanelDrawing drawing = new PanelDrawing(assembly, layout, place, side);
        drawing.frame();
        layout.in(place).forEach(drawing::device);
        wire.ifPresent(drawing::wire);
        return new Drawing(
                Math.max(drawing.geometry.width(), 9 * heading(place, side).length() + 2 * MARGIN),
                drawing.geometry.height(),
                drawing.marks);
    }

    /** The views of all places of a sheet, from every side that is worth it, without a wire. */
    public static List<Drawing> all(Assembly assembly) {
        PanelLayout layout = PanelLayout.of(assembly);
        List<Drawing> views = new ArrayList<>();
        for (String place : layout.places()) {
            sides(place).forEach(side -> views.add(of(assembly, layout, place, side, Optional.empty())));
        }
        return views;
    }

    /** Where a device is drawn in the view of a place, empty if it is not there. */
    public static Optional<Box> boxOf(PanelLayout layout, String place, PanelSide side, String tag) {
        return Optional.ofNullable(layout.in(place).get(tag)).map(room -> new Geometry(layout, place, side).box(room));
    }

    /** So many drawing units in mm. */
    public static double millimetres(double units) {
        return units / SCALE;
    }

    /** What is over the view of a place: {@code Door, from behind, mirrored}. */
    public static String heading(String place, PanelSide side) {
        return place.substring(0, 1).toUpperCase(Locale.ROOT) + place.substring(1) + ", " + side.words();
    }

    private void frame() {
        marks.add(new Mark.Text(new Point(4, 20), heading(place, side), Mark.TextRole.HEADING, Mark.Anchor.START));
        outline(new Box(4, HEADING, geometry.width() - 8, geometry.height() - HEADING - 4));
    }

    private void outline(Box box) {
        marks.add(new Mark.Figure(
                box,
                List.of(new Stroke.Lines(
                        List.of(
                                new Point(box.x(), box.y()),
                                new Point(box.x() + box.width(), box.y()),
                                new Point(box.x() + box.width(), box.y() + box.height()),
                                new Point(box.x(), box.y() + box.height()),
                                new Point(box.x(), box.y())),
                        false))));
    }

    private boolean showsTerminals() {
        return side == wiredFrom(place);
    }

    private void device(String tag, Footprint room) {
        Box box = geometry.box(room);
        Point middle = new Point(box.x() + box.width() / 2, box.y() + box.height() / 2);
        outline(box);
        if (showsTerminals()) {
            boolean strip =
                    layout.strip().stream().anyMatch(one -> one.terminal().tag().equals(tag));
            Point at = strip ? new Point(box.x() + 16, box.y() + 16) : new Point(middle.x(), middle.y() + 5);
            marks.add(new Mark.Text(at, tag, Mark.TextRole.TAG, Mark.Anchor.MIDDLE));
            layout.terminalsOf(tag).forEach(this::terminal);
        } else {
            face(tag, box, middle);
        }
    }

    /** An operator or lamp as it is seen on the door. */
    private void face(String tag, Box box, Point middle) {
        Point head = new Point(middle.x(), box.y() + 22 + HEAD);
        marks.add(new Mark.Figure(box, List.of(new Stroke.Circle(head, HEAD, false))));
        marks.add(new Mark.Text(new Point(middle.x(), box.y() + 14), tag, Mark.TextRole.TAG, Mark.Anchor.MIDDLE));
        String label = assembly.part(tag).map(Part::device).orElseThrow().label();
        List<String> lines = Lines.of(label, 16);
        for (int i = 0; i < Math.min(2, lines.size()); i++) {
            marks.add(new Mark.Text(
                    new Point(middle.x(), head.y() + HEAD + 16 + 13 * i),
                    lines.get(i),
                    Mark.TextRole.MARKING,
                    Mark.Anchor.MIDDLE));
        }
    }

    private Point at(Terminal terminal) {
        return geometry.point(layout.x(terminal), layout.y(terminal));
    }

    private boolean isStrip(Terminal terminal) {
        return layout.strip().stream().anyMatch(one -> one.terminal().equals(terminal));
    }

    /** Whether a terminal is at the upper edge of its device. */
    private boolean isUpper(Terminal terminal) {
        return layout.y(terminal) <= layout.in(place).get(terminal.tag()).y() + 1;
    }

    private void terminal(Terminal terminal) {
        Point at = at(terminal);
        double inwards = isStrip(terminal) ? 0 : isUpper(terminal) ? SCREW + 3 : -SCREW - 3;
        Point screw = new Point(at.x(), at.y() + inwards);
        marks.add(new Mark.Figure(
                Box.around(screw, 2 * SCREW, 2 * SCREW), List.of(new Stroke.Circle(screw, SCREW, false))));
        double below = isStrip(terminal) ? 20 : isUpper(terminal) ? SCREW + 13 : -SCREW - 5;
        marks.add(new Mark.Text(
                new Point(at.x(), screw.y() + below), terminal.marking(), Mark.TextRole.MARKING, Mark.Anchor.MIDDLE));
        marks.add(new Mark.TerminalSpot(terminal, screw));
    }

    /** A wire as it is laid: from the screw into the duct, along it, and to the other screw; or to the edge if it leaves the place. */
    private void wire(Wire wire) {
        List<Terminal> here = new ArrayList<>();
        for (Terminal end : List.of(wire.from(), wire.to())) {
            if (layout.place(end.tag()).equals(place)) {
                here.add(end);
            }
        }
        if (here.isEmpty() || !showsTerminals()) {
            return;
        }
        List<Point> way = new ArrayList<>(leaving(here.get(0), wire));
        if (here.size() == 2) {
            List<Point> other = leaving(here.get(1), wire);
            way.add(new Point(other.get(1).x(), way.get(1).y()));
            way.add(other.get(1));
            way.add(other.get(0));
        } else {
            way.add(new Point(6, way.get(1).y()));
            marks.add(new Mark.Text(
                    new Point(10, way.get(1).y() + 14), wire.route(), Mark.TextRole.NOTE, Mark.Anchor.START));
        }
        marks.add(new Mark.WireLine(wire.number(), way));
        for (Terminal end : here) {
            marks.add(new Mark.Junction(wire.number(), leaving(end, wire).get(0)));
        }
    }

    /** The screw and the point in the duct in front of it. A wire that leaves the place goes off the lower side of the strip. */
    private List<Point> leaving(Terminal end, Wire wire) {
        Point at = at(end);
        boolean up = isStrip(end) ? !wire.crosses() : isUpper(end);
        double screw = isStrip(end) ? 0 : up ? SCREW + 3 : -SCREW - 3;
        double duct = isStrip(end) ? DUCT + 48 : DUCT;
        return List.of(new Point(at.x(), at.y() + screw), new Point(at.x(), at.y() + (up ? -duct : duct)));
    }
}
