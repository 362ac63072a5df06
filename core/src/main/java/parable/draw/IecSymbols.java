package parable.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;

/**
 * Symbols after IEC 60617. The fixed side of a contact is towards the line, its hinge towards the return.
 */
final class IecSymbols implements Symbols {

    private final Axis axis;

    IecSymbols(Axis axis) {
        this.axis = axis;
    }

    @Override
    public double heightAbove(Part part, Contact contact) {
        return switch (part.family()) {
            case PUSH_BUTTON, SELECTOR, DRUM_SWITCH, MACHINE_SWITCH -> 23;
            case TIMER, CONTROLLER -> 20;
            case EMERGENCY_STOP -> 27;
            case OVERLOAD_RELAY -> contact.isThroughPath() ? 13 : 23;
            case CONTACTOR,
                    CONTROL_RELAY,
                    BREAKER,
                    ISOLATOR,
                    FUSE,
                    SUPPLY,
                    INTERLOCK,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID,
                    RESISTOR,
                    CONVERTER,
                    METALWORK,
                    MOTOR -> 14;
        };
    }

    @Override
    public double heightAbove(LoadRole role) {
        return role == LoadRole.LAMP ? 24 : 14;
    }

    @Override
    public Mark.Symbol contact(Part part, int index, Point at) {
        Contact contact = part.contacts().get(index);
        Subject subject = new Subject.OfContact(part.tag(), index);
        Box box = contactBox(at, heightAbove(part, contact));
        if (part.family() == Family.FUSE) {
            return fuse(subject, box, at);
        }
        if (contact.isThroughPath()) {
            return heater(subject, box, at);
        }
        List<Stroke> always = new ArrayList<>(
                switch (part.family()) {
                    case TIMER -> delay(part, contact, at);
                    case MACHINE_SWITCH -> machine(part.device().kind(), contact, at);
                    default -> actuator(part.family(), contact, at);
                });
        if (part.family() == Family.BREAKER && contact.pole() && part.heater().isPresent()) {
            always.addAll(releases(at));
        }
        if (contact.isNormallyClosed()) {
            always.add(axis.lines(at, -HALF, 0, -HALF, 9));
            return new Mark.Symbol(
                    subject,
                    "",
                    box,
                    always,
                    List.of(axis.lines(at, HALF, 0, -HALF + 2, 18)),
                    List.of(axis.lines(at, HALF, 0, -HALF - 3, 9.5)));
        }
        return new Mark.Symbol(
                subject,
                "",
                box,
                always,
                List.of(axis.lines(at, HALF, 0, -HALF + 2, -12)),
                List.of(axis.lines(at, HALF, 0, -HALF, 0)));
    }

    private Box contactBox(Point at, double above) {
        double below = 19;
        Point shift = axis.point(0, (below - above) / 2);
        return axis.box(at.plus(shift.x(), shift.y()), 2 * HALF + 4, above + below);
    }

    private List<Stroke> actuator(Family family, Contact contact, Point at) {
        return switch (family) {
            case PUSH_BUTTON -> List.of(
                    axis.dashes(at, 0, contact.isNormallyClosed() ? 4 : -5, 0, -18),
                    axis.lines(at, -8, -14, -8, -18, 8, -18, 8, -14));
            case SELECTOR, DRUM_SWITCH -> List.of(
                    axis.dashes(at, 0, contact.isNormallyClosed() ? 4 : -5, 0, -18),
                    axis.lines(at, -8, -14, -8, -18, 8, -18, 8, -22));
            case EMERGENCY_STOP -> emergencyStop(contact, at);
            case OVERLOAD_RELAY -> List.of(
                    axis.dashes(at, 0, contact.isNormallyClosed() ? 4 : -5, 0, -10),
                    axis.lines(at, -9, -10, -9, -20, 9, -20, 9, -10, -9, -10),
                    axis.lines(at, -6, -13, -2, -13, -2, -17, 2, -17, 2, -13, 6, -13));
            case CONTACTOR -> contact.pole() ? List.of(bump(at)) : List.of();
            case BREAKER -> contact.pole()
                    ? List.of(axis.lines(at, -HALF - 4, -4, -HALF + 4, 4), axis.lines(at, -HALF - 4, 4, -HALF + 4, -4))
                    : List.of();
            case ISOLATOR -> contact.pole() ? List.of(axis.lines(at, -HALF, -5, -HALF, 5)) : List.of();
            case CONTROLLER -> List.of(
                    axis.dashes(at, 0, -5, 0, -11), axis.lines(at, -6, -11, -6, -19, 6, -19, 6, -11, -6, -11));
            case CONTROL_RELAY,
                    TIMER,
                    FUSE,
                    SUPPLY,
                    INTERLOCK,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID,
                    RESISTOR,
                    CONVERTER,
                    METALWORK,
                    MACHINE_SWITCH,
                    MOTOR -> List.of();
        };
    }

    /**
     * What moves a machine switch (IEC 60617, 02-13 and 02-14, 07-20): a float on the level, p for pressure, a sensor's diamond, n for speed, or else the cam of a
     * position switch.
     */
    private List<Stroke> machine(String kind, Contact contact, Point at) {
        List<Stroke> strokes = new ArrayList<>(List.of(axis.dashes(at, 0, contact.isNormallyClosed() ? 4 : -5, 0, -9)));
        Stroke box = axis.lines(at, -6, -9, -6, -22, 6, -22, 6, -9, -6, -9);
        switch (kind) {
            case "float-switch" -> strokes.addAll(List.of(
                    circle(at, -14, 4.5), axis.lines(at, -10, -14, -4.5, -14), axis.lines(at, 4.5, -14, 10, -14)));
            case "pressure-switch" -> strokes.addAll(
                    List.of(box, circle(at, -17, 2.5), axis.lines(at, -2.5, -17, -2.5, -11)));
            case "proximity-switch" -> strokes.add(axis.lines(at, 0, -9, 7, -16, 0, -23, -7, -16, 0, -9));
            case "zero-speed-switch" -> strokes.addAll(
                    List.of(box, axis.lines(at, -3, -12, -3, -18), axis.lines(at, -3, -17, 0, -18.5, 3, -17, 3, -12)));
            default -> strokes.add(axis.lines(at, -8, -10, 0, -19, 8, -10, -8, -10));
        }
        return strokes;
    }

    private Stroke circle(Point at, double across, double radius) {
        Point aside = axis.point(0, across);
        return new Stroke.Circle(at.plus(aside.x(), aside.y()), radius, false);
    }

    /** Ahead of a pole that opens by itself on too much current: the thermal release around the conductor, and the arrow of the one that acts at once. */
    private List<Stroke> releases(Point at) {
        return List.of(
                axis.lines(at, -36, -5, -24, -5, -24, 5, -36, 5, -36, -5),
                axis.lines(at, -33, 0, -33, 4, -27, 4, -27, 0),
                axis.lines(at, -42, -4, -38, 0, -42, 4));
    }

    /** The mushroom that latches; a contact that is closed at rest is opened by force (IEC 60617, 02-13-08; IEC 60947-5-1, annex K). */
    private List<Stroke> emergencyStop(Contact contact, Point at) {
        List<Stroke> strokes = new ArrayList<>(List.of(
                axis.dashes(at, 0, contact.isNormallyClosed() ? 4 : -5, 0, -17),
                dome(at),
                axis.lines(at, -4, -12, 0, -8, 4, -12)));
        if (contact.isNormallyClosed()) {
            Point sign = axis.point(-20, -13);
            Point centre = at.plus(sign.x(), sign.y());
            strokes.add(new Stroke.Circle(centre, 5, false));
            strokes.add(axis.lines(centre, -5, 0, 9, 0));
            strokes.add(axis.lines(centre, 6, -2.5, 9, 0, 6, 2.5));
        }
        return strokes;
    }

    private Stroke dome(Point at) {
        double[] points = new double[2 * 10];
        for (int i = 0; i < 9; i++) {
            double angle = Math.PI * i / 8;
            points[2 * i] = -10 * Math.cos(angle);
            points[2 * i + 1] = -16 - 8 * Math.sin(angle);
        }
        points[18] = -10;
        points[19] = -16;
        return axis.lines(at, points);
    }

    /** Whether a timer delays what happens once its coil has lost its voltage. */
    private static boolean isOffDelay(Part part) {
        return part.device().setting("function").orElse("").equals("off-delay");
    }

    /**
     * The arc over a delayed contact: its action is delayed from the arc towards the arc's centre (IEC 60617, 02-12-05 and 02-12-06). An actuated
     * contact moves down, one that goes back moves up. What comes at once, as of a flasher, has none.
     */
    private List<Stroke> delay(Part part, Contact contact, Point at) {
        String function = part.device().setting("function").orElse("on-delay");
        Stroke link = axis.dashes(at, 0, contact.isNormallyClosed() ? 4 : -5, 0, -12);
        if (function.equals("interval") || function.equals("flasher")) {
            return List.of(link);
        }
        boolean off = isOffDelay(part);
        double[] points = new double[2 * 7];
        for (int i = 0; i < 7; i++) {
            double angle = Math.PI * (0.15 + 0.7 * i / 6);
            points[2 * i] = -9 * Math.cos(angle);
            points[2 * i + 1] = off ? -20 + 8 * Math.sin(angle) : -8 - 8 * Math.sin(angle);
        }
        return List.of(link, axis.lines(at, points));
    }

    /** The half circle at the fixed side of a contactor's pole. */
    private Stroke bump(Point at) {
        double[] points = new double[2 * 9];
        for (int i = 0; i < 9; i++) {
            double angle = Math.PI * i / 8;
            points[2 * i] = -HALF - 4 * Math.cos(angle);
            points[2 * i + 1] = 4 * Math.sin(angle);
        }
        return axis.lines(at, points);
    }

    private Mark.Symbol fuse(Subject subject, Box box, Point at) {
        return new Mark.Symbol(
                subject,
                "",
                box,
                List.of(axis.lines(at, -HALF, -5, HALF, -5, HALF, 5, -HALF, 5, -HALF, -5)),
                List.of(axis.lines(at, -HALF, 0, -7, 0, -4, -4), axis.lines(at, HALF, 0, 7, 0, 4, 4)),
                List.of(axis.lines(at, -HALF, 0, HALF, 0)));
    }

    private Mark.Symbol heater(Subject subject, Box box, Point at) {
        return new Mark.Symbol(
                subject,
                "",
                box,
                List.of(
                        axis.lines(at, -HALF, -11, HALF, -11, HALF, 11, -HALF, 11, -HALF, -11),
                        axis.lines(at, -HALF, 0, -5, 0, -5, -6, 5, -6, 5, 0, HALF, 0)),
                List.of(),
                List.of());
    }

    @Override
    public Mark.Symbol load(Part part, int load, Point at) {
        Subject subject = new Subject.OfLoad(part.tag(), load);
        LoadRole role = part.loads().get(load).role();
        Box box = axis.box(at, 2 * HALF + 2, 2 * HALF + 2);
        return switch (role) {
            case COIL, SHUNT_RELEASE, UNDERVOLTAGE_RELEASE, SOLENOID -> new Mark.Symbol(
                    subject, "", box, coil(part, at), List.of(), List.of(axis.area(at, -9, -8, 9, -8, 9, 8, -9, 8)));
            case WINDING -> part.loads().get(load).from().startsWith("A")
                    ? armature(subject, box, at)
                    : winding(subject, box, at);
            case RESISTOR -> new Mark.Symbol(
                    subject,
                    "",
                    box,
                    List.of(axis.lines(at, -HALF, -7, HALF, -7, HALF, 7, -HALF, 7, -HALF, -7)),
                    List.of(),
                    List.of());
            case INPUT -> new Mark.Symbol(subject, "", box, input(part, load, at), List.of(), List.of());
            case READING -> new Mark.Symbol(
                    subject,
                    "",
                    box,
                    List.of(
                            axis.lines(at, -HALF, -13, HALF, -13, HALF, 13, -HALF, 13, -HALF, -13),
                            axis.lines(at, -HALF, -13, 0, 0, -HALF, 13)),
                    List.of(),
                    List.of(axis.area(at, 2, -8, 11, -8, 11, 8, 2, 8)));
            case HORN -> new Mark.Symbol(subject, "", box, horn(at), List.of(), waves(at));
            case LAMP -> new Mark.Symbol(subject, "", box, lamp(at), List.of(), rays(at));
        };
    }

    /** A coil; in that of a timer a field with a cross if it acts late, a filled one if it lets go late (IEC 60617, 07-15-07 and 07-15-08). */
    private List<Stroke> coil(Part part, Point at) {
        List<Stroke> coil =
                new ArrayList<>(List.of(axis.lines(at, -HALF, -13, HALF, -13, HALF, 13, -HALF, 13, -HALF, -13)));
        double field = -HALF + 8;
        if (part.family() == Family.TIMER && isOffDelay(part)) {
            coil.add(axis.area(at, -HALF, -13, field, -13, field, 13, -HALF, 13));
        } else if (part.family() == Family.TIMER) {
            coil.add(axis.lines(at, field, -13, field, 13));
            coil.add(axis.lines(at, -HALF, -13, field, 13));
            coil.add(axis.lines(at, -HALF, 13, field, -13));
        }
        return coil;
    }

    /** What a supply's input is drawn as: two windings on a core, a square with the kinds of current on either side of a diagonal, or a plain box. */
    private List<Stroke> input(Part part, int load, Point at) {
        Optional<Source.Law> law = part.sources().stream()
                .flatMap(source -> source.following().stream())
                .filter(following -> following.load() == load)
                .map(Source.Following::law)
                .findFirst();
        if (law.isEmpty()) {
            return List.of(axis.lines(at, -HALF, -7, HALF, -7, HALF, 7, -HALF, 7, -HALF, -7));
        }
        if (law.get() == Source.Law.IN_PROPORTION) {
            return List.of(
                    axis.lines(at, halfCircles(0, -1)),
                    axis.lines(at, -HALF, 5, HALF, 5),
                    axis.lines(at, halfCircles(10, 1)));
        }
        double[] wave = new double[2 * 9];
        for (int i = 0; i < 9; i++) {
            wave[2 * i] = -9 + i;
            wave[2 * i + 1] = -6 - 2 * Math.sin(Math.PI * i / 4);
        }
        return List.of(
                axis.lines(at, -HALF, -HALF, HALF, -HALF, HALF, HALF, -HALF, HALF, -HALF, -HALF),
                axis.lines(at, -HALF, HALF, HALF, -HALF),
                axis.lines(at, wave),
                axis.lines(at, 1, 5, 9, 5),
                axis.dashes(at, 1, 8, 9, 8));
    }

    /** Four half circles in a row. */
    private Mark.Symbol winding(Subject subject, Box box, Point at) {
        return new Mark.Symbol(
                subject,
                "",
                box,
                List.of(axis.lines(at, halfCircles(0, -1))),
                List.of(),
                List.of(axis.lines(at, -HALF, 4, HALF, 4)));
    }

    /**
     * The points of four half circles in a row.
     *
     * @param across where they begin and end
     * @param side -1 if they are above that or left of it, 1 if on the other side
     */
    private static double[] halfCircles(double across, int side) {
        double radius = HALF / 4;
        double[] points = new double[2 * 4 * 7];
        for (int i = 0; i < 4 * 7; i++) {
            double angle = Math.PI * (i % 7) / 6;
            points[2 * i] = -HALF + radius * (2 * (i / 7) + 1) - radius * Math.cos(angle);
            points[2 * i + 1] = across + side * 1.6 * radius * Math.sin(angle);
        }
        return points;
    }

    /** A circle between two brushes. */
    private Mark.Symbol armature(Subject subject, Box box, Point at) {
        return new Mark.Symbol(
                subject,
                "",
                box,
                List.of(
                        new Stroke.Circle(at, HALF - 3, false),
                        axis.lines(at, -HALF, -4, -HALF + 3, -4, -HALF + 3, 4, -HALF, 4, -HALF, -4),
                        axis.lines(at, HALF, -4, HALF - 3, -4, HALF - 3, 4, HALF, 4, HALF, -4)),
                List.of(),
                List.of(new Stroke.Circle(at, HALF - 6, false)));
    }

    private List<Stroke> lamp(Point at) {
        double reach = HALF / Math.sqrt(2);
        return List.of(
                new Stroke.Circle(at, HALF, false),
                axis.lines(at, -reach, -reach, reach, reach),
                axis.lines(at, -reach, reach, reach, -reach));
    }

    private List<Stroke> horn(Point at) {
        return List.of(
                axis.lines(at, -HALF, 0, -6, 0, -6, -6, 2, -6, 9, -12, 9, 12, 2, 6, -6, 6, -6, 0),
                axis.lines(at, 9, 0, HALF, 0));
    }

    private List<Stroke> waves(Point at) {
        return List.of(
                axis.lines(at, 13, -14, 19, -20), axis.lines(at, 13, 14, 19, 20), axis.lines(at, 14, -6, 21, -9));
    }

    private List<Stroke> rays(Point at) {
        List<Stroke> rays = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            double angle = Math.PI / 8 + Math.PI * i / 4;
            double along = Math.cos(angle);
            double across = Math.sin(angle);
            rays.add(axis.lines(at, along * (HALF + 3), across * (HALF + 3), along * (HALF + 9), across * (HALF + 9)));
        }
        return rays;
    }
}
