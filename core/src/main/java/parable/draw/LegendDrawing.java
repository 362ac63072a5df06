package parable.draw;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Practice;
import parable.circuit.RungItem;
import parable.draw.Mark.Anchor;
import parable.draw.Mark.TextRole;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.wiring.PanelLayout;

/** The legend of a sheet: each symbol that is on it once, with what it stands for and the devices that have it. */
public final class LegendDrawing {

    private static final int COLUMNS = 3;
    private static final double WIDTH = 330;
    private static final double ROW = 64;
    private static final double TOP = 44;
    private static final double SYMBOL = 42;
    private static final double WORDS = 84;
    private static final double STUB = 14;
    private static final double LINE = 15;
    private static final int MOST_TAGS = 8;

    /** A symbol and the tags of the devices that have it. */
    private record Entry(Mark.Symbol symbol, String words, List<String> tags) {}

    private final Assembly assembly;
    private final Practice practice;
    private final Symbols symbols;
    private final Map<String, Entry> entries = new LinkedHashMap<>();
    private final List<Mark> marks = new ArrayList<>();
    private int cell;

    private LegendDrawing(Assembly assembly, Practice practice) {
        this.assembly = assembly;
        this.practice = practice;
        this.symbols = Symbols.of(practice, Axis.RIGHT);
    }

    /** The legend of a sheet in the symbols of a practice. */
    public static Drawing of(Assembly assembly, Practice practice) {
        LegendDrawing legend = new LegendDrawing(assembly, practice);
        for (Circuit circuit : Circuit.values()) {
            assembly.sheet().rungs(circuit).forEach(rung -> rung.items().forEach(legend::collect));
        }
        legend.entries.values().forEach(legend::draw);
        legend.drawSigns();
        if (!assembly.sheet().control().isEmpty()) {
            legend.drawReference();
        }
        int rows = (legend.cell + COLUMNS - 1) / COLUMNS;
        return new Drawing(COLUMNS * WIDTH, TOP + rows * ROW, legend.marks);
    }

    private void collect(RungItem item) {
        if (item instanceof RungItem.Passage passage) {
            Part part = assembly.part(passage.tag()).orElseThrow();
            Optional<Integer> contact = part.contactBetween(passage.from(), passage.to());
            contact.ifPresentOrElse(
                    index -> add(symbols.contact(part, index, new Point(0, 0)), words(part, index), part.tag()),
                    () -> part.loadBetween(passage.from(), passage.to())
                            .filter(load -> !PowerDiagram.isThreePhaseMotor(part))
                            .ifPresent(load ->
                                    add(symbols.load(part, load, new Point(0, 0)), loadWords(part, load), part.tag())));
        }
    }

    private void add(Mark.Symbol symbol, String words, String tag) {
        Entry entry = entries.computeIfAbsent(words, any -> new Entry(symbol, words, new ArrayList<>()));
        if (!entry.tags.contains(tag)) {
            entry.tags.add(tag);
        }
    }

    private String words(Part part, int index) {
        Contact contact = part.contacts().get(index);
        if (contact.isThroughPath()) {
            return "heater of the overload relay";
        }
        if (part.family() == Family.FUSE) {
            return "fuse";
        }
        String device = part.family() == Family.BREAKER && part.heater().isPresent()
                ? "motor-protective breaker"
                : device(part);
        if (contact.pole()) {
            return device + ", main pole";
        }
        if (contact.output()) {
            return "controller, output";
        }
        String function = part.family() == Family.TIMER
                ? " (" + part.device().setting("function").orElse("on-delay") + ")"
                : "";
        String rest = device + function + ", contact " + (contact.isNormallyClosed() ? "closed" : "open") + " at rest";
        boolean forced = part.family() == Family.EMERGENCY_STOP && contact.isNormallyClosed();
        return forced && practice == Practice.IEC ? rest + ", opened by force" : rest;
    }

    private static String device(Part part) {
        return switch (part.family()) {
            case MACHINE_SWITCH, CONVERTER -> part.device()
                    .kind()
                    .replace('-', ' ')
                    .replace("dc ", "DC ");
            default -> part.family().words();
        };
    }

    private static String loadWords(Part part, int load) {
        Load one = part.loads().get(load);
        return switch (one.role()) {
            case COIL -> part.family() == Family.TIMER
                    ? "coil of a timer, " + part.device().setting("function").orElse("on-delay")
                    : "coil of a " + part.family().words();
            case SHUNT_RELEASE -> "shunt release: voltage trips the breaker";
            case UNDERVOLTAGE_RELEASE -> "undervoltage release: no voltage trips it";
            case READING -> "controller, input";
            case WINDING -> "winding of a motor";
            case INPUT, LAMP, HORN, SOLENOID, RESISTOR -> part.family() == Family.CONTROLLER
                    ? "controller, supply"
                    : device(part);
        };
    }

    private Point next() {
        Point at = new Point(WIDTH * (cell % COLUMNS) + SYMBOL, TOP + ROW * (cell / COLUMNS));
        cell++;
        return at;
    }

    private void draw(Entry entry) {
        Point at = next();
        marks.add(moved(entry.symbol, at));
        stub(at.plus(-Symbols.HALF - STUB, 0), at.plus(-Symbols.HALF, 0));
        stub(at.plus(Symbols.HALF, 0), at.plus(Symbols.HALF + STUB, 0));
        List<String> tags = entry.tags;
        String told = String.join(", ", tags.subList(0, Math.min(MOST_TAGS, tags.size())))
                + (tags.size() > MOST_TAGS ? ", \u2026" : "");
        words(at, entry.words, told);
    }

    private static Mark.Symbol moved(Mark.Symbol symbol, Point by) {
        return new Mark.Symbol(
                symbol.subject(),
                "",
                new Box(
                        symbol.box().x() + by.x(),
                        symbol.box().y() + by.y(),
                        symbol.box().width(),
                        symbol.box().height()),
                moved(symbol.always(), by),
                moved(symbol.off(), by),
                moved(symbol.on(), by));
    }

    private static List<Stroke> moved(List<Stroke> strokes, Point by) {
        return strokes.stream().map(stroke -> moved(stroke, by)).toList();
    }

    private static Stroke moved(Stroke stroke, Point by) {
        if (stroke instanceof Stroke.Lines lines) {
            return new Stroke.Lines(shifted(lines.points(), by), lines.dashed());
        }
        if (stroke instanceof Stroke.Circle circle) {
            return new Stroke.Circle(circle.centre().plus(by.x(), by.y()), circle.radius(), circle.filled());
        }
        return new Stroke.Area(shifted(((Stroke.Area) stroke).corners(), by));
    }

    private static List<Point> shifted(List<Point> points, Point by) {
        return points.stream().map(point -> point.plus(by.x(), by.y())).toList();
    }

    private void stub(Point from, Point to) {
        marks.add(new Mark.WireLine("", List.of(from, to)));
    }

    private void words(Point at, String what, String which) {
        Point beside = new Point(at.x() - SYMBOL + WORDS, at.y());
        marks.add(new Mark.Text(beside.plus(0, which.isEmpty() ? 4 : -3), what, TextRole.NOTE, Anchor.START));
        if (!which.isEmpty()) {
            marks.add(new Mark.Text(beside.plus(0, LINE - 3), which, TextRole.WIRE_NUMBER, Anchor.START));
        }
    }

    /** How the places of coils and contacts are told. */
    private void drawReference() {
        Point at = next();
        marks.add(new Mark.Text(at.plus(0, 4), "5C", TextRole.NOTE, Anchor.MIDDLE));
        words(at, "rung 5, column C", "");
    }

    /** What is on every sheet beside the symbols of devices. */
    private void drawSigns() {
        Point joined = next();
        stub(joined.plus(-2 * STUB, 0), joined.plus(2 * STUB, 0));
        stub(joined.plus(0, -STUB), joined.plus(0, STUB));
        marks.add(new Mark.Junction("", joined));
        words(joined, "wires joined; without a dot they cross", "");
        Point number = next();
        stub(number.plus(-2 * STUB, 0), number.plus(2 * STUB, 0));
        marks.add(new Mark.Text(number.plus(-STUB, -6), "12", TextRole.WIRE_NUMBER, Anchor.MIDDLE));
        marks.add(new Mark.Text(number.plus(STUB, 14), "A1", TextRole.MARKING, Anchor.MIDDLE));
        words(number, "bold: number of the wire; small: terminal", "");
        Point together = next();
        marks.add(new Mark.Link("", together.plus(-2 * STUB, 0), together.plus(2 * STUB, 0)));
        words(together, "dashed: moved together", "");
        if (assembly.parts().stream().anyMatch(part -> part.family() == Family.INTERLOCK)) {
            Point barred = next();
            marks.add(new Mark.Link("", barred.plus(-2 * STUB, 0), barred.plus(2 * STUB, 0)));
            marks.add(PoleBars.triangle(barred));
            words(barred, "mechanical interlock: never both in", "");
        }
        if (!PanelLayout.of(assembly).strip().isEmpty()) {
            Point strip = next();
            stub(strip.plus(-2 * STUB, 0), strip.plus(2 * STUB, 0));
            marks.add(new Mark.Figure(Box.around(strip, 6, 6), List.of(new Stroke.Circle(strip, 3, false))));
            marks.add(new Mark.Text(strip.plus(0, -6), "7", TextRole.MARKING, Anchor.MIDDLE));
            words(strip, "terminal of the strip, by its number", "");
        }
        Point earth = next();
        stub(earth.plus(0, -STUB), earth);
        for (int bar = 0; bar < 3; bar++) {
            double half = 10 - 3.5 * bar;
            stub(earth.plus(-half, 4 * bar), earth.plus(half, 4 * bar));
        }
        words(earth, "protective conductor on metal", "");
        Point pointer = next();
        stub(pointer.plus(-2 * STUB, 0), pointer.plus(STUB, 0));
        stub(pointer.plus(STUB - 6, -4), pointer.plus(STUB, 0));
        stub(pointer.plus(STUB - 6, 4), pointer.plus(STUB, 0));
        words(pointer, "goes on where the name at the arrow is", "");
    }
}
