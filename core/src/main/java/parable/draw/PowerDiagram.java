package parable.draw;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import parable.circuit.Circuit;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.draw.LaneOrder.Placed;
import parable.draw.Mark.Anchor;
import parable.draw.Mark.TextRole;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Source;

/** The power circuit: one column a pole, from the supply at the top to the motor at the bottom. */
final class PowerDiagram extends LaneDiagram {

    private static final double LEFT = 74;
    private static final double COLUMN = 44;
    private static final double ROOM_FOR_TAG = 46;
    private static final double NOTE_LINE = 14;
    private static final double LETTER = 6;

    /** As many of a rating have room where a tag has. */
    private static final int LETTERS_BESIDE = 7;

    private static final double BELOW_LANDING = 26;
    private static final double BESIDE = 20;
    private static final double BESIDE_MOTOR = 12;
    private static final double POINTER = 37;

    private static final double ROOM_FOR_MARKING = 10;
    private static final double ROOM_FOR_STRIP = 18;
    private static final double MOTOR_RADIUS = 47;
    static final Pitch PITCH = new Pitch(30, 104, 14);

    private final PointUses uses;
    private final Map<Object, Point> lastPole = new HashMap<>();
    private final List<Point> motors = new ArrayList<>();
    private final Map<String, Point> circles = new HashMap<>();
    private final double[] columns;
    private final Set<String> tagged = new HashSet<>();
    private final PoleBars bars = new PoleBars();
    private double lowest;

    private PowerDiagram(Assembly assembly, Practice practice) {
        super(assembly, Symbols.of(practice, Axis.DOWN), Axis.DOWN, Circuit.POWER, PITCH);
        uses = new PointUses(this);
        columns = new double[rungs.size()];
    }

    @Override
    boolean keepsShort() {
        return true;
    }

    /** Makes room at the left of each column in which a tag will stand. */
    @Override
    void arrange() {
        Set<Object> tagsByLine = new HashSet<>();
        for (int lane = 0; lane < columns.length; lane++) {
            double room = 0;
            for (Map.Entry<RungItem.Passage, Integer> device : linesOn(lane).entrySet()) {
                if (tagsByLine.add(List.of(device.getKey().tag(), device.getValue()))) {
                    room = Math.max(room, roomFor(part(device.getKey().tag())));
                }
            }
            columns[lane] = (lane == 0 ? LEFT - COLUMN : columns[lane - 1] + room) + COLUMN;
        }
    }

    /** For a tag and what is written below it, which must not come near the frame of a device beside. */
    private static double roomFor(Part part) {
        int longest = Ratings.of(part).stream().mapToInt(String::length).max().orElse(0);
        return ROOM_FOR_TAG + LETTER * Math.max(0, longest - LETTERS_BESIDE);
    }

    /** The power diagram of a sheet. */
    static Drawing of(Assembly assembly, Practice practice, StripSigns signs) {
        PowerDiagram diagram = new PowerDiagram(assembly, practice);
        diagram.layOut(signs);
        List<Mark> marks = diagram.nodesAcross();
        for (int lane = 0; lane < diagram.rungs.size(); lane++) {
            marks.addAll(diagram.lane(lane));
        }
        assembly.parts().stream()
                .filter(part -> part.family() == Family.SUPPLY)
                .forEach(supply -> new SupplyBars(diagram, marks).draw(supply));
        diagram.bars.draw(assembly, marks);
        double width = diagram.columns[diagram.columns.length - 1] + COLUMN;
        return new Drawing(width, Math.max(diagram.end(), diagram.lowest) + 20, marks);
    }

    @Override
    double across(int lane) {
        return columns[lane];
    }

    @Override
    boolean runsAcross(RungItem.NamedPoint point, int node) {
        return !point.rail() && uses.isNamedAgain(point, node);
    }

    @Override
    Optional<Object> groupOf(RungItem item) {
        if (item instanceof RungItem.TerminalEnd landing) {
            String tag = landing.terminal().tag();
            return Optional.of(hasWindingsInColumns(tag) ? tag : List.of("landing", tag));
        }
        RungItem.Passage passage = (RungItem.Passage) item;
        boolean ofAnotherMotor = part(passage.tag()).family() == Family.MOTOR && !isThreePhaseMotor(passage);
        return Optional.of(ofAnotherMotor ? passage : passage.tag());
    }

    /** Whether columns go through the windings of a three-phase motor, as with six leads. */
    private boolean hasWindingsInColumns(String tag) {
        return rungs.stream()
                .flatMap(rung -> rung.items().stream())
                .anyMatch(item -> item instanceof RungItem.Passage passage
                        && passage.tag().equals(tag)
                        && isThreePhaseMotor(passage));
    }

    /** Three-phase motors are drawn as one circle, of others each winding by itself. */
    private boolean isThreePhaseMotor(RungItem.Passage passage) {
        return isThreePhaseMotor(part(passage.tag()));
    }

    static boolean isThreePhaseMotor(Part part) {
        return !part.lineLeads().isEmpty();
    }

    @Override
    double belowLanding() {
        return BELOW_LANDING;
    }

    @Override
    boolean standsAtTheEnd(Placed placed) {
        return false;
    }

    @Override
    void drawDevice(List<Mark> marks, int lane, Placed placed, Point at) {
        RungItem.Passage passage = (RungItem.Passage) placed.item();
        if (isThreePhaseMotor(passage)) {
            drawWinding(marks, lane, passage, placed.reversed(), at);
            return;
        }
        marks.add(symbol(passage, at));
        String above = placed.reversed() ? passage.to() : passage.from();
        String below = placed.reversed() ? passage.from() : passage.to();
        label(marks, at.plus(6, -Symbols.HALF - 6), above, TextRole.MARKING, Anchor.START);
        label(marks, at.plus(6, Symbols.HALF + 13), below, TextRole.MARKING, Anchor.START);
        bars.note(passage.tag(), at);
        Optional<Point> pole = Optional.ofNullable(lastPole.put(List.of(passage.tag(), at.y()), at));
        if (tagged.add(passage.tag())) {
            double aside = heightAbove(passage) + 9;
            label(marks, at.plus(-aside, 1), passage.tag(), TextRole.TAG, Anchor.END);
            double line = 15;
            for (String rating : Ratings.of(part(passage.tag()))) {
                label(marks, at.plus(-aside, line), rating, TextRole.NOTE, Anchor.END);
                line += NOTE_LINE;
            }
            if (tellsItsCondition(part(passage.tag()))) {
                marks.add(new Mark.ConditionSpot(at.plus(-aside, line), passage.tag(), Anchor.END));
            }
        } else if (pole.isEmpty()) {
            label(marks, at.plus(-heightAbove(passage) - 9, 1), passage.tag(), TextRole.TAG, Anchor.END);
        }
        boolean heaters = part(passage.tag()).family() == Family.OVERLOAD_RELAY;
        double offset = heaters ? 0 : -5;
        double reach = heaters ? 11 : 0;
        pole.ifPresent(from ->
                marks.add(new Mark.Link(passage.tag(), from.plus(offset + reach, 0), at.plus(offset - reach, 0))));
    }

    private static boolean tellsItsCondition(Part part) {
        return part.family() != Family.RESISTOR && part.family() != Family.CONVERTER;
    }

    @Override
    double halfLength(int lane, Placed placed) {
        return placed.item() instanceof RungItem.Passage passage && isThreePhaseMotor(passage)
                ? chord(lane, part(passage.tag()))
                : super.halfLength(lane, placed);
    }

    /** The markings of a motor's middle winding stand clear of the wires above and below. */
    @Override
    double roomAround(Placed placed) {
        double strip = assembly.sheet().fieldwork().method() == WiringMethod.TERMINAL_STRIP ? ROOM_FOR_STRIP : 0;
        if (placed.item() instanceof RungItem.TerminalEnd landing) {
            return isThreePhaseMotor(part(landing.terminal().tag())) ? strip : 0;
        }
        boolean motor = placed.item() instanceof RungItem.Passage passage && isThreePhaseMotor(passage);
        return motor ? ROOM_FOR_MARKING + strip : 0;
    }

    /** Half of what a lane cuts out of the motor's circle. */
    private double chord(int lane, Part motor) {
        double aside = across(lane) - centreOf(motor, lane);
        return Math.abs(aside) < MOTOR_RADIUS ? Math.sqrt(MOTOR_RADIUS * MOTOR_RADIUS - aside * aside) : Symbols.HALF;
    }

    private double centreOf(Part motor, int lane) {
        return lanesOfWindings(motor).stream()
                .mapToDouble(this::across)
                .average()
                .orElse(across(lane));
    }

    /** A winding of a motor with six leads: the lane goes in at the top and out at the bottom of the circle. */
    private void drawWinding(List<Mark> marks, int lane, RungItem.Passage passage, boolean reversed, Point at) {
        Part motor = part(passage.tag());
        if (tagged.add(motor.tag())) {
            drawMotor(marks, motor, new Point(centreOf(motor, lane), at.y()));
        }
        double half = chord(lane, motor);
        boolean right = at.x() > centreOf(motor, lane) + 1;
        double aside = right ? 5 : -5;
        Anchor anchor = right ? Anchor.START : Anchor.END;
        label(marks, at.plus(aside, -half - 3), reversed ? passage.to() : passage.from(), TextRole.MARKING, anchor);
        label(marks, at.plus(aside, half + 12), reversed ? passage.from() : passage.to(), TextRole.MARKING, anchor);
    }

    @Override
    double drawLanding(List<Mark> marks, int lane, Placed placed, double along, boolean end) {
        RungItem.TerminalEnd landing = (RungItem.TerminalEnd) placed.item();
        Part part = part(landing.terminal().tag());
        String marking = landing.terminal().marking();
        boolean frame = part.bare().contains(marking)
                && (part.family() == Family.CONVERTER || part.family() == Family.MOTOR && !isThreePhaseMotor(part));
        if (part.family() == Family.METALWORK || frame) {
            return drawMetal(marks, lane, part, along + 16);
        }
        if (end && part.family() != Family.MOTOR) {
            label(
                    marks,
                    new Point(across(lane), along + 30),
                    landing.terminal().toString(),
                    TextRole.TAG,
                    Anchor.MIDDLE);
            lowest = Math.max(lowest, along + 34);
            return along + 16;
        }
        if (part.family() == Family.SUPPLY) {
            label(marks, new Point(across(lane), along + 18), marking, TextRole.MARKING, Anchor.MIDDLE);
            return along + BELOW_LANDING;
        }
        if (part.family() == Family.MOTOR) {
            return drawMotorLead(marks, lane, part, marking, along + PITCH.slot() / 2);
        }
        boolean besideItsOwn = lane > 0 && isOn(lane - 1, part);
        label(
                marks,
                new Point(across(lane), along + 18),
                besideItsOwn ? marking : landing.terminal().toString(),
                TextRole.TAG,
                Anchor.MIDDLE);
        return along + BELOW_LANDING;
    }

    /** What of a device its protective conductor leads to; of a transformer or DC supply also the side that is linked to it. */
    private static List<String> metalOf(Part part) {
        return switch (part.family()) {
            case MOTOR -> List.of("frame");
            case CONVERTER -> part.sources().stream()
                    .filter(Source::grounded)
                    .findFirst()
                    .map(source -> List.of("case", source.reference().equals("-") ? "minus" : source.reference()))
                    .orElse(List.of("case"));
            default -> List.of(part.device().label());
        };
    }

    /** Where a protective conductor lands on metal: the sign of earth (IEC 60417-5017), and what the metal is. */
    private double drawMetal(List<Mark> marks, int lane, Part metal, double along) {
        String number = numberAt(new Terminal(metal.tag(), metal.bare().get(0)));
        Point at = new Point(across(lane), along);
        for (int bar = 0; bar < 3; bar++) {
            double half = 10 - 3.5 * bar;
            marks.add(new Mark.WireLine(number, List.of(at.plus(-half, 4 * bar), at.plus(half, 4 * bar))));
        }
        label(marks, at.plus(0, 24), metal.tag(), TextRole.TAG, Anchor.MIDDLE);
        double line = 38;
        for (String words : metalOf(metal)) {
            label(marks, at.plus(0, line), words, TextRole.NOTE, Anchor.MIDDLE);
            line += NOTE_LINE;
        }
        lowest = Math.max(lowest, along + line - NOTE_LINE + 4);
        return along;
    }

    private String numberAt(Terminal terminal) {
        return assembly.nodes()
                .all()
                .get(assembly.nodes().indexOf(terminal).orElseThrow())
                .number();
    }

    /** The lead of a motor: straight down into the circle, or beside it down to its middle and in from the side. */
    private double drawMotorLead(List<Mark> marks, int lane, Part motor, String marking, double middle) {
        double centre = centreOf(motor, lane);
        if (tagged.add(motor.tag())) {
            drawMotor(marks, motor, new Point(centre, middle));
        }
        double aside = across(lane) - centre;
        double above = MOTOR_RADIUS + (Math.abs(aside) < 1 ? 3 : -4);
        label(marks, new Point(across(lane) - 5, middle - above), marking, TextRole.MARKING, Anchor.END);
        if (Math.abs(aside) < MOTOR_RADIUS) {
            return middle - Math.sqrt(MOTOR_RADIUS * MOTOR_RADIUS - aside * aside);
        }
        String number = numberAt(new Terminal(motor.tag(), marking));
        marks.add(new Mark.WireLine(
                number,
                List.of(
                        new Point(across(lane), middle),
                        new Point(centre + Math.signum(aside) * MOTOR_RADIUS, middle))));
        return middle;
    }

    private List<Integer> lanesOfWindings(Part motor) {
        return IntStream.range(0, rungs.size())
                .filter(lane -> rungs.get(lane)
                        .terminals()
                        .anyMatch(terminal -> terminal.tag().equals(motor.tag())
                                && motor.loads().stream()
                                        .anyMatch(load -> load.from().equals(terminal.marking()))))
                .boxed()
                .toList();
    }

    private void drawMotor(List<Mark> marks, Part motor, Point centre) {
        motors.add(centre);
        circles.put(motor.tag(), centre);
        marks.add(new Mark.Symbol(
                new Subject.OfMotor(motor.tag()),
                "",
                Box.around(centre, 2 * MOTOR_RADIUS, 2 * MOTOR_RADIUS),
                List.of(new Stroke.Circle(centre, MOTOR_RADIUS, false)),
                List.of(),
                List.of(new Stroke.Circle(centre, MOTOR_RADIUS - 5, false))));
        label(marks, centre.plus(0, -21), motor.tag(), TextRole.TAG, Anchor.MIDDLE);
        label(marks, centre.plus(0, -7), "3 ~", TextRole.NOTE, Anchor.MIDDLE);
        double line = 6;
        for (String rating : Ratings.ofMotor(motor)) {
            label(marks, centre.plus(0, line), rating, TextRole.NOTE, Anchor.MIDDLE);
            line += NOTE_LINE - 1;
        }
        marks.add(new Mark.ConditionSpot(centre.plus(0, 33), motor.tag(), Anchor.MIDDLE));
        if (motor.device().setting("leads").filter("6"::equals).isPresent()) {
            label(marks, centre.plus(-MOTOR_RADIUS - 6, 4), motor.device().label(), TextRole.NOTE, Anchor.END);
        } else {
            label(marks, centre.plus(0, MOTOR_RADIUS + 16), motor.device().label(), TextRole.NOTE, Anchor.MIDDLE);
        }
        lowest = Math.max(lowest, centre.y() + MOTOR_RADIUS + 22);
    }

    boolean isOn(int lane, Part part) {
        return rungs.get(lane).items().get(0) instanceof RungItem.TerminalEnd landing
                && landing.terminal().tag().equals(part.tag());
    }

    @Override
    double drawEnd(List<Mark> marks, int lane, Placed placed, double along) {
        RungItem.NamedPoint point = (RungItem.NamedPoint) placed.item();
        double end = along + POINTER;
        double across = across(lane);
        marks.add(new Mark.WireLine(numberOf(point), List.of(new Point(across - 4, end - 6), new Point(across, end))));
        marks.add(new Mark.WireLine(numberOf(point), List.of(new Point(across + 4, end - 6), new Point(across, end))));
        label(marks, new Point(across, end + 14), "to " + point.name(), TextRole.NOTE, Anchor.MIDDLE);
        double lower = 14;
        if (rungs.get(lane).isExcepted()) {
            lower += NOTE_LINE;
            label(marks, new Point(across, end + lower), Rung.EXCEPTED, TextRole.NOTE, Anchor.MIDDLE);
        }
        lowest = Math.max(lowest, end + lower + 4);
        return end;
    }

    /** Those of a motor side by side, above its circle or below it. */
    @Override
    double besideDevice(Placed placed, boolean next, double end) {
        Terminal terminal = placed.item() instanceof RungItem.TerminalEnd landing
                ? landing.terminal()
                : ((RungItem.Passage) placed.item()).lineSide();
        Optional<Point> circle = Optional.ofNullable(circles.get(terminal.tag()));
        double aside = circle.isPresent() ? MOTOR_RADIUS + BESIDE_MOTOR : BESIDE;
        double from = circle.map(Point::y).orElse(end);
        return next ? from + aside : from - aside;
    }

    /** At the right above and below a motor, at the left beside what else is there, where it is free of the numbers of wires. */
    @Override
    void drawStripNumber(List<Mark> marks, String number, Point at) {
        boolean motor = circles.values().stream()
                .anyMatch(circle -> Math.abs(Math.abs(at.y() - circle.y()) - MOTOR_RADIUS - BESIDE_MOTOR) < 1);
        label(marks, at.plus(motor ? 6 : -6, 4), number, TextRole.MARKING, motor ? Anchor.START : Anchor.END);
    }

    @Override
    double drawBeginning(List<Mark> marks, int lane, Placed placed, double device) {
        RungItem.NamedPoint point = (RungItem.NamedPoint) placed.item();
        Point tip = new Point(across(lane), device - POINTER);
        marks.add(new Mark.WireLine(numberOf(point), List.of(tip.plus(-4, 6), tip)));
        marks.add(new Mark.WireLine(numberOf(point), List.of(tip.plus(4, 6), tip)));
        label(marks, tip.plus(0, -5), "to " + point.name(), TextRole.NOTE, Anchor.MIDDLE);
        return tip.y();
    }

    private String numberOf(RungItem.NamedPoint point) {
        return assembly.sheet().rails().stream()
                .filter(rail -> point.rail() && rail.name().equals(point.name()))
                .map(Rail::number)
                .findFirst()
                .orElse(point.name());
    }

    /** At the right of the wire, or at the left where a motor is at the right. */
    @Override
    void drawNumber(List<Mark> marks, String number, double along, double across) {
        boolean motor = motors.stream()
                .anyMatch(centre -> across < centre.x()
                        && across > centre.x() - 2 * MOTOR_RADIUS
                        && Math.abs(along + 22 - centre.y()) < MOTOR_RADIUS);
        label(
                marks,
                new Point(across + (motor ? -5 : 5), along + 27),
                number,
                TextRole.WIRE_NUMBER,
                motor ? Anchor.END : Anchor.START);
    }
}
