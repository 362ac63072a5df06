package parable.draw;

import java.util.ArrayList;
import java.util.List;
import parable.parts.Contact;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * Symbols after NEMA ICS 19 and ANSI Y32.2, as North American ladders have them. A closed contact is told by a heavy stroke
 * through it. What both practices draw alike is taken from {@link IecSymbols}.
 */
final class NemaSymbols implements Symbols {

    private static final double BAR = 5;
    private static final double DOT = 10;
    private static final double RADIUS = 2.6;

    private final Axis axis;
    private final IecSymbols alike;

    NemaSymbols(Axis axis) {
        this.axis = axis;
        this.alike = new IecSymbols(axis);
    }

    @Override
    public double heightAbove(Part part, Contact contact) {
        return switch (part.family()) {
            case PUSH_BUTTON, SELECTOR, DRUM_SWITCH -> 23;
            case EMERGENCY_STOP -> 27;
            case BREAKER, ISOLATOR, MACHINE_SWITCH, TIMER, OVERLOAD_RELAY -> 13;
            case CONTACTOR,
                    CONTROL_RELAY,
                    FUSE,
                    SUPPLY,
                    INTERLOCK,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID,
                    RESISTOR,
                    CONVERTER,
                    CONTROLLER,
                    METALWORK,
                    MOTOR -> 11;
        };
    }

    @Override
    public double heightAbove(LoadRole role) {
        return role == LoadRole.LAMP ? 24 : 15;
    }

    @Override
    public Mark.Symbol contact(Part part, int index, Point at) {
        Contact contact = part.contacts().get(index);
        Frame frame = new Frame(new Subject.OfContact(part.tag(), index), box(at, heightAbove(part, contact)), at);
        if (contact.isThroughPath()) {
            return thermalElement(frame);
        }
        boolean closed = contact.isNormallyClosed();
        return switch (part.family()) {
            case PUSH_BUTTON -> button(frame, closed, List.of(axis.lines(at, -5, -18, 5, -18)));
            case SELECTOR, DRUM_SWITCH -> button(frame, closed, List.of(axis.lines(at, -6, -14, 0, -18, 6, -22)));
            case EMERGENCY_STOP -> button(frame, closed, List.of(mushroom(at)));
            case MACHINE_SWITCH -> arm(frame, closed, actuator(part.device().kind(), at, closed));
            case TIMER -> arm(
                    frame,
                    closed,
                    arrow(at, closed, part.device().setting("function").orElse("")));
            case BREAKER -> contact.pole() ? breaker(frame) : bars(frame, closed);
            case ISOLATOR -> contact.pole() ? arm(frame, true, List.of()) : bars(frame, closed);
            case FUSE -> alike.contact(part, index, at);
            case CONTACTOR,
                    CONTROL_RELAY,
                    OVERLOAD_RELAY,
                    SUPPLY,
                    INTERLOCK,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID,
                    RESISTOR,
                    CONVERTER,
                    CONTROLLER,
                    METALWORK,
                    MOTOR -> bars(frame, closed);
        };
    }

    /** What all strokes of one symbol belong to. */
    private record Frame(Subject subject, Box box, Point at) {
        Mark.Symbol symbol(List<Stroke> always, List<Stroke> off, List<Stroke> on) {
            return new Mark.Symbol(subject, "", box, always, off, on);
        }
    }

    private Box box(Point at, double above) {
        double below = 15;
        Point shift = axis.point(0, (below - above) / 2);
        return axis.box(at.plus(shift.x(), shift.y()), 2 * HALF + 4, above + below);
    }

    /** Two bars; a slash through them if the contact is closed at rest. */
    private Mark.Symbol bars(Frame frame, boolean closed) {
        Point at = frame.at();
        List<Stroke> always = new ArrayList<>(List.of(
                axis.lines(at, -HALF, 0, -BAR, 0),
                axis.lines(at, BAR, 0, HALF, 0),
                axis.lines(at, -BAR, -9, -BAR, 9),
                axis.lines(at, BAR, -9, BAR, 9)));
        if (closed) {
            always.add(axis.lines(at, -9, 10, 9, -10));
        }
        return frame.symbol(always, List.of(), List.of(axis.lines(at, -BAR, 0, BAR, 0)));
    }

    private List<Stroke> terminals(Point at) {
        Point one = axis.point(-DOT, 0);
        Point other = axis.point(DOT, 0);
        return List.of(
                new Stroke.Circle(at.plus(one.x(), one.y()), RADIUS, false),
                new Stroke.Circle(at.plus(other.x(), other.y()), RADIUS, false));
    }

    /** Two terminals and a bridge on a plunger, above them if open at rest and below if closed at rest. */
    private Mark.Symbol button(Frame frame, boolean closed, List<Stroke> head) {
        List<Stroke> always = new ArrayList<>(terminals(frame.at()));
        always.addAll(head);
        return frame.symbol(
                always,
                plunger(frame.at(), closed ? 9 : -9),
                plunger(frame.at(), closed ? RADIUS + 0.8 : -RADIUS - 0.8));
    }

    private List<Stroke> plunger(Point at, double across) {
        return List.of(axis.lines(at, -DOT - 3, across, DOT + 3, across), axis.lines(at, 0, across, 0, -18));
    }

    private Stroke mushroom(Point at) {
        double[] points = new double[2 * 9];
        for (int i = 0; i < 9; i++) {
            double angle = Math.PI * i / 8;
            points[2 * i] = -10 * Math.cos(angle);
            points[2 * i + 1] = -18 - 7 * Math.sin(angle);
        }
        return axis.lines(at, points);
    }

    /** Two terminals and an arm that hangs open below the line, or is lifted off above it. */
    private Mark.Symbol arm(Frame frame, boolean closed, List<Stroke> below) {
        Point at = frame.at();
        List<Stroke> always = new ArrayList<>(terminals(at));
        always.addAll(below);
        return frame.symbol(
                always,
                List.of(axis.lines(at, DOT, 0, -DOT, closed ? -11 : 11)),
                List.of(axis.lines(at, DOT, 0, -DOT, closed ? -RADIUS : RADIUS)));
    }

    /** What moves a machine switch, below its arm (NEMA ICS 19): a float, the dome of a pressure switch, a sensor's diamond, a rotor, or else a roller arm. */
    private List<Stroke> actuator(String kind, Point at, boolean closed) {
        double from = closed ? 1 : 7;
        return switch (kind) {
            case "float-switch" -> List.of(axis.lines(at, 0, from, 0, 15), circle(at, 19, 4));
            case "pressure-switch" -> List.of(axis.lines(at, 0, from, 0, 15), dome(at, 22));
            case "proximity-switch" -> List.of(axis.lines(at, 0, 11, 6, 17, 0, 23, -6, 17, 0, 11));
            case "zero-speed-switch" -> List.of(
                    axis.lines(at, 0, from, 0, 13), circle(at, 18, 5), axis.lines(at, -3, 18, 3, 18));
            default -> wedge(at, closed);
        };
    }

    private Stroke circle(Point at, double across, double radius) {
        Point aside = axis.point(0, across);
        return new Stroke.Circle(at.plus(aside.x(), aside.y()), radius, false);
    }

    /** A half circle over a line. */
    private Stroke dome(Point at, double foot) {
        double[] points = new double[2 * 10];
        for (int i = 0; i < 9; i++) {
            double angle = Math.PI * i / 8;
            points[2 * i] = -7 * Math.cos(angle);
            points[2 * i + 1] = foot - 7 * Math.sin(angle);
        }
        points[18] = -7;
        points[19] = foot;
        return axis.lines(at, points);
    }

    /** The roller arm of a limit switch. */
    private List<Stroke> wedge(Point at, boolean closed) {
        double down = closed ? 4 : 9;
        return List.of(axis.lines(at, -6, down, 0, down + 6, 3, down - 2));
    }

    /** The arrow of a delayed contact: up where closing is delayed from energising, down where from de-energising. */
    private List<Stroke> arrow(Point at, boolean closed, String function) {
        double from = closed ? 1 : 7;
        boolean off = function.startsWith("off");
        double tip = off ? 16 : from + 3;
        double back = off ? -4 : 4;
        return List.of(axis.lines(at, 0, from, 0, 18), axis.lines(at, -4, tip + back, 0, tip, 4, tip + back));
    }

    /** Two terminals and the arc of a breaker's pole. */
    private Mark.Symbol breaker(Frame frame) {
        Point at = frame.at();
        return frame.symbol(terminals(at), List.of(arc(at, -7)), List.of(arc(at, -1)));
    }

    private Stroke arc(Point at, double across) {
        double[] points = new double[2 * 9];
        for (int i = 0; i < 9; i++) {
            double angle = Math.PI * i / 8;
            points[2 * i] = -DOT * Math.cos(angle);
            points[2 * i + 1] = across - 7 * Math.sin(angle);
        }
        return axis.lines(at, points);
    }

    /** The two hooks of a thermal overload element. */
    private Mark.Symbol thermalElement(Frame frame) {
        Point at = frame.at();
        double[] points = new double[2 * 17];
        for (int i = 0; i < 17; i++) {
            double turn = Math.PI * i / 8;
            points[2 * i] = -8 + i;
            points[2 * i + 1] = -9 * Math.sin(turn);
        }
        return frame.symbol(
                List.of(axis.lines(at, -HALF, 0, -8, 0), axis.lines(at, points), axis.lines(at, 8, 0, HALF, 0)),
                List.of(),
                List.of());
    }

    @Override
    public Mark.Symbol load(Part part, int load, Point at) {
        Frame frame = new Frame(new Subject.OfLoad(part.tag(), load), axis.box(at, 2 * HALF + 2, 2 * HALF + 2), at);
        return switch (part.loads().get(load).role()) {
            case COIL, SHUNT_RELEASE, UNDERVOLTAGE_RELEASE -> frame.symbol(
                    List.of(new Stroke.Circle(at, HALF, false)),
                    List.of(),
                    List.of(new Stroke.Circle(at, HALF - 5, true)));
            case SOLENOID, RESISTOR -> frame.symbol(
                    List.of(axis.lines(at, -HALF, 0, -11, -8, -7, 8, -3, -8, 1, 8, 5, -8, 9, 8, HALF, 0)),
                    List.of(),
                    List.of(axis.lines(at, -HALF, 12, HALF, 12)));
            case LAMP -> lamp(frame);
            case WINDING, INPUT, READING, HORN -> alike.load(part, load, at);
        };
    }

    /** A circle with four rays, which are eight and long while the lamp is lit. */
    private Mark.Symbol lamp(Frame frame) {
        Point at = frame.at();
        List<Stroke> always = new ArrayList<>(rays(at, 4, Math.PI / 4, 3));
        always.add(new Stroke.Circle(at, HALF, false));
        return frame.symbol(always, List.of(), rays(at, 8, Math.PI / 8, 9));
    }

    private List<Stroke> rays(Point at, int count, double first, double length) {
        List<Stroke> rays = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double angle = first + 2 * Math.PI * i / count;
            double along = Math.cos(angle);
            double across = Math.sin(angle);
            double from = HALF + 1;
            double to = HALF + 1 + length;
            rays.add(axis.lines(at, along * from, across * from, along * to, across * to));
        }
        return rays;
    }
}
