package parable.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import parable.Examples;
import parable.bench.Condition;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;
import parable.starters.Library;

class SheetDrawingTest {

    /** The height of what is looked at, in drawing units. */
    private static final double VIEW = 150;

    private static List<Mark.WireLine> wires(Drawing drawing) {
        return drawing.marks().stream()
                .filter(Mark.WireLine.class::isInstance)
                .map(Mark.WireLine.class::cast)
                .toList();
    }

    private static List<String> texts(Drawing drawing) {
        return drawing.marks().stream()
                .filter(Mark.Text.class::isInstance)
                .map(mark -> ((Mark.Text) mark).text())
                .toList();
    }

    /** Each contact and coil is in the column and on the rung that the references name. */
    @ParameterizedTest
    @EnumSource(Practice.class)
    void aReferenceNamesTheRungAndTheColumnInWhichSomethingIsDrawn(Practice practice) {
        Pattern reference = Pattern.compile("(coil|\\d+-\\d+): (\\d+)([A-Z]+)");
        for (Sheet sheet :
                Library.jobs().stream().flatMap(job -> job.sheets().stream()).toList()) {
            Drawing drawing = SheetDrawing.of(Examples.fitted(sheet), practice);
            List<Mark.Text> labels = labels(drawing);
            for (Mark.Text label : labels) {
                Matcher told = reference.matcher(label.text());
                if (told.matches()) {
                    double column =
                            at(labels, told.group(3), Mark.TextRole.COLUMN).x();
                    String tag = tagAbove(labels, label);
                    List<Mark.Text> named = labels.stream()
                            .filter(other -> other.role() == Mark.TextRole.TAG
                                    && other.text().equals(tag)
                                    && Math.abs(other.at().x() - column) < 30)
                            .toList();
                    double rung = labels.stream()
                            .filter(other -> other.role() == Mark.TextRole.NOTE
                                    && other.anchor() == Mark.Anchor.END
                                    && other.text().equals(told.group(2)))
                            .mapToDouble(other -> other.at().y())
                            .findFirst()
                            .orElseThrow();
                    assertThat(named)
                            .as(sheet.name() + ": " + tag + " " + label.text())
                            .anyMatch(other -> Math.abs(other.at().y() - rung) < 50);
                }
            }
        }
    }

    private static List<Mark.Text> labels(Drawing drawing) {
        return drawing.marks().stream()
                .filter(Mark.Text.class::isInstance)
                .map(Mark.Text.class::cast)
                .toList();
    }

    private static Point at(List<Mark.Text> labels, String text, Mark.TextRole role) {
        return labels.stream()
                .filter(label -> label.role() == role && label.text().equals(text))
                .map(Mark.Text::at)
                .findFirst()
                .orElseThrow();
    }

    /** The tag of the symbol that a note is under. */
    private static String tagAbove(List<Mark.Text> labels, Mark.Text note) {
        return labels.stream()
                .filter(label -> label.role() == Mark.TextRole.TAG
                        && Math.abs(label.at().x() - note.at().x()) < 8
                        && label.at().y() < note.at().y())
                .max(Comparator.comparingDouble(label -> label.at().y()))
                .orElseThrow()
                .text();
    }

    @Test
    void thePumpIsDrawnWholeWithNumbersAndReferences() {
        Drawing drawing = SheetDrawing.of(Examples.fitted(Examples.washPump()), Practice.IEC);

        assertThat(texts(drawing))
                .contains("1", "2", "3", "4", "5", "6", "7", "8", "9", "1L1", "2L3", "A1", "A2", "95", "96")
                .containsSequence("poles: power", "13-14: 3E", "21-22: 5A");
        assertThat(drawing.symbols().map(symbol -> symbol.subject().tag()))
                .contains("G1", "Q1", "F1", "K1", "F2", "M1", "S4", "S0", "S1", "S2", "S3", "P1", "P2", "P3");
    }

    @Test
    void aMechanicalInterlockIsDrawnBetweenThePoles() {
        Drawing drawing = SheetDrawing.of(
                Examples.fitted(Examples.pressHouse().sheet("Press platen").orElseThrow()), Practice.IEC);

        assertThat(texts(drawing)).contains("X1").doesNotContain("X1: bars K2");
        assertThat(drawing.marks())
                .filteredOn(mark -> mark instanceof Mark.Link link && link.tag().equals("X1"))
                .isNotEmpty();
    }

    @Test
    void aSheetWithNothingOnItIsDrawnAllTheSame() {
        assertThat(SheetDrawing.of(Examples.fitted(Examples.sheet("", "", "")), Practice.IEC)
                        .marks())
                .isEmpty();
        assertComplete(Examples.fitted(Examples.sheet(
                "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\"}, {\"tag\": \"P1\", \"kind\": \"pilot-lamp\"}",
                "\"G1[L] L\", \"G1[N] N\"",
                "")));
    }

    /** Poles in one order on one phase and in the other order on the next cannot stand in line; they are drawn apart. */
    @Test
    void polesThatContradictEachOtherAreDrawnApart() {
        assertComplete(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"}, {"tag": "Q1", "kind": "circuit-breaker"},
                {"tag": "K1", "kind": "contactor"}
                """,
                "\"G1[L1] Q1[1-2] K1[1-2] @9\", \"G1[L2] K1[3-4] Q1[3-4] @9\", \"G1[L3] @9\"",
                "")));
    }

    @Test
    void aWireIsFoundWhereItIsDrawnAndNowhereElse() {
        Drawing drawing = SheetDrawing.of(Examples.fitted(Examples.washPump()), Practice.IEC);

        for (Mark.WireLine wire : wires(drawing)) {
            Point from = wire.points().get(0);
            Point to = wire.points().get(1);
            double x = (from.x() + to.x()) / 2;
            double y = (from.y() + to.y()) / 2;
            assertThat(drawing.wireNear(x, y, 0.1)).isPresent();
        }
        assertThat(drawing.wireNear(-50, -50, 9)).isEmpty();
        assertThat(drawing.pointOn("no such wire")).isEmpty();
    }

    @Test
    void everyPassageOfEveryRungHasItsSymbolAndEveryNodeItsWire() throws IOException, JobFormatException {
        for (var file : Examples.all().toList()) {
            JobFile.open(file).sheets().forEach(sheet -> assertComplete(Examples.fitted(sheet)));
        }
    }

    /** Every sheet that ships, in both dresses; a letter is taken to be a little narrower than it is in most typefaces. */
    @Test
    void wordsStandOnNoOthersAndOnNoWire() throws IOException, JobFormatException {
        List<String> covered = new ArrayList<>();
        for (var file : Examples.all().toList()) {
            for (Sheet sheet : JobFile.open(file).sheets()) {
                for (Practice practice : Practice.values()) {
                    for (Arrangement arrangement : Arrangement.values()) {
                        covered(SheetDrawing.of(Examples.fitted(sheet), practice, arrangement))
                                .forEach(what ->
                                        covered.add(sheet.name() + " " + practice + " " + arrangement + ": " + what));
                    }
                }
            }
        }
        assertThat(covered).isEmpty();
    }

    private static Stream<String> covered(Drawing drawing) {
        List<Mark.Text> labels =
                drawing.marks().stream().flatMap(SheetDrawingTest::words).toList();
        Stream<String> words = IntStream.range(0, labels.size()).boxed().flatMap(i -> labels.subList(0, i).stream()
                .filter(other -> letters(labels.get(i)).overlaps(letters(other)))
                .map(other -> labels.get(i) + " on " + other));
        Stream<String> onWires = wires(drawing).stream().flatMap(wire -> labels.stream()
                .filter(label -> pieces(wire).anyMatch(letters(label)::overlaps))
                .map(label -> label + " on wire " + wire.number()));
        Stream<String> onInterlocks = drawing.marks().stream()
                .filter(mark -> mark instanceof Mark.Link link && link.tag().matches("X1|MI"))
                .map(Mark.Link.class::cast)
                .flatMap(link -> labels.stream()
                        .filter(label -> spanned(link.from(), link.to()).overlaps(letters(label)))
                        .map(label -> label + " on the dashes of " + link.tag()));
        Stream<String> inMotors = drawing.symbols()
                .filter(symbol -> symbol.subject() instanceof Subject.OfMotor)
                .flatMap(motor -> labels.stream()
                        .filter(label -> label.role() == Mark.TextRole.WIRE_NUMBER)
                        .filter(label -> letters(label).overlaps(core(motor)))
                        .map(label -> label + " in " + motor.subject()));
        return Stream.of(words, onWires, onInterlocks, inMotors).flatMap(all -> all);
    }

    /** What is written by a mark; of the words for a condition one of middling length. */
    private static Stream<Mark.Text> words(Mark mark) {
        if (mark instanceof Mark.ConditionSpot condition) {
            return Stream.of(
                    new Mark.Text(condition.at(), Condition.TRIPPED.word(), Mark.TextRole.NOTE, condition.anchor()));
        }
        return mark instanceof Mark.Text label ? Stream.of(label) : Stream.empty();
    }

    private static Stream<Box> pieces(Mark.WireLine wire) {
        List<Point> points = wire.points();
        return IntStream.range(1, points.size()).mapToObj(i -> spanned(points.get(i - 1), points.get(i)));
    }

    private static Box letters(Mark.Text label) {
        double width = 0.5 * label.role().size() * label.text().length();
        double left =
                switch (label.anchor()) {
                    case START -> label.at().x();
                    case MIDDLE -> label.at().x() - width / 2;
                    case END -> label.at().x() - width;
                };
        double height = 0.7 * label.role().size();
        return new Box(left, label.at().y() - height, width, height);
    }

    /** No rung of one supply is drawn through a rail of another. */
    @Test
    void eachSupplyHasRailsOfItsOwn() throws IOException, JobFormatException {
        List<String> through = new ArrayList<>();
        for (var file : Examples.all().toList()) {
            for (Sheet sheet : JobFile.open(file).sheets()) {
                List<Mark.WireLine> wires = wires(SheetDrawing.of(Examples.fitted(sheet), Practice.IEC));
                Set<String> rails = sheet.rails().stream().map(Rail::number).collect(Collectors.toSet());
                wires.stream().filter(wire -> rails.contains(wire.number())).forEach(rail -> wires.stream()
                        .filter(wire -> !wire.number().equals(rail.number()) && isAcross(rail, wire))
                        .forEach(wire -> through.add(sheet.name() + ": " + wire + " through " + rail)));
            }
        }
        assertThat(through).isEmpty();
    }

    /** Whether a level wire goes through an upright one; that it touches it with an end is another matter. */
    private static boolean isAcross(Mark.WireLine upright, Mark.WireLine level) {
        Point top = upright.points().get(0);
        Point foot = upright.points().get(1);
        Point left = level.points().get(0);
        Point right = level.points().get(1);
        return top.x() == foot.x()
                && left.y() == right.y()
                && Math.min(left.x(), right.x()) < top.x()
                && Math.max(left.x(), right.x()) > top.x()
                && Math.min(top.y(), foot.y()) < left.y()
                && Math.max(top.y(), foot.y()) > left.y();
    }

    /** A wire that goes on elsewhere says where, and what it is called there is on the drawing. */
    @Test
    void everyPointerLeadsSomewhere() throws IOException, JobFormatException {
        for (var file : Examples.all().toList()) {
            for (Sheet sheet : JobFile.open(file).sheets()) {
                Drawing drawing = SheetDrawing.of(Examples.fitted(sheet), Practice.IEC);
                List<String> texts = texts(drawing);
                Set<String> rails = sheet.rails().stream().map(Rail::name).collect(Collectors.toSet());
                assertThat(texts.stream()
                                .filter(text -> text.startsWith("to "))
                                .map(text -> text.substring(3))
                                .filter(name -> !rails.contains(name)))
                        .as(sheet.name())
                        .allMatch(texts::contains);
            }
        }
    }

    /** Whoever does not know a symbol finds it beside the names of the devices that have it. */
    @ParameterizedTest
    @EnumSource(Practice.class)
    void theLegendHasEverySymbolOnce(Practice practice) throws IOException, JobFormatException {
        for (var file : Examples.all().toList()) {
            for (Sheet sheet : JobFile.open(file).sheets()) {
                Assembly assembly = Examples.fitted(sheet);
                Drawing legend = LegendDrawing.of(assembly, practice);
                List<String> texts = texts(legend);
                assertThat(texts.stream().filter(text -> assembly.part(text.split(",")[0])
                                .isEmpty()))
                        .as(sheet.name())
                        .doesNotHaveDuplicates()
                        .hasSizeGreaterThan(8);
                assertThat(covered(legend)).as(sheet.name()).isEmpty();
                Set<String> told = texts.stream()
                        .flatMap(text -> Stream.of(text.split(", ")))
                        .collect(Collectors.toSet());
                SheetDrawing.of(assembly, practice)
                        .symbols()
                        .filter(symbol -> symbol.subject() instanceof Subject.OfContact)
                        .map(symbol -> symbol.subject().tag())
                        .filter(tag -> !told.contains("\u2026"))
                        .forEach(tag -> assertThat(told).as(sheet.name()).contains(tag));
            }
        }
    }

    /** Any ladder at all, also one no electrician would draw, with rungs that lead backwards and across. */
    @Property(tries = 300, seed = "20261125")
    void noWireGoesThroughASymbolWhateverIsDrawn(@ForAll long seed) {
        assertComplete(Examples.fitted(randomLadder(new Random(seed))));
    }

    private static void assertComplete(Assembly assembly) {
        for (Practice practice : Practice.values()) {
            assertComplete(assembly, SheetDrawing.of(assembly, practice));
            assertSameInEveryView(() -> SheetDrawing.of(assembly, practice));
        }
    }

    /** What is in view is drawn the same whether or not anything else was drawn before, also when it is scrolled from the foot upwards. */
    private static void assertSameInEveryView(Supplier<Drawing> drawn) {
        Drawing whole = drawn.get();
        List<Mark> all = whole.marks();
        Drawing scrolled = drawn.get();
        for (double top = whole.height(); top > -VIEW; top -= VIEW) {
            double from = top;
            double to = top + VIEW;
            assertThat(scrolled.marksBetween(from, to))
                    .isEqualTo(
                            all.stream().filter(mark -> mark.reaches(from, to)).toList());
        }
        Drawing pointedAt = drawn.get();
        for (Mark mark : all) {
            if (mark instanceof Mark.ItemSpot spot) {
                assertThat(pointedAt.boxOf(spot.place())).contains(spot.box());
            }
        }
    }

    private static void assertComplete(Assembly assembly, Drawing drawing) {
        long passages = assembly.sheet()
                .rungs()
                .flatMap(rung -> rung.items().stream())
                .filter(item -> item instanceof RungItem.Passage passage
                        && !assembly.part(passage.tag())
                                .orElseThrow()
                                .device()
                                .kind()
                                .equals("three-phase-motor"))
                .count();
        long drawn = drawing.symbols()
                .filter(symbol ->
                        symbol.subject() instanceof Subject.OfContact || symbol.subject() instanceof Subject.OfLoad)
                .count();
        assertThat(drawn).isEqualTo(passages);
        assertNoWireThroughASymbol(drawing);
        assertNoSymbolOnAnother(drawing);
        assertThat(drawing.marks())
                .allSatisfy(mark -> assertThat(isInside(mark, drawing)).isTrue());
    }

    private static boolean isInside(Mark mark, Drawing drawing) {
        return !(mark instanceof Mark.WireLine wire)
                || wire.points().stream()
                        .allMatch(point -> point.x() >= 0
                                && point.y() >= 0
                                && point.x() <= drawing.width()
                                && point.y() <= drawing.height());
    }

    private static void assertNoWireThroughASymbol(Drawing drawing) {
        List<Mark.Symbol> symbols = drawing.symbols()
                .filter(symbol ->
                        symbol.subject() instanceof Subject.OfContact || symbol.subject() instanceof Subject.OfLoad)
                .toList();
        for (Mark.WireLine wire : wires(drawing)) {
            pieces(wire).forEach(piece -> assertThat(symbols)
                    .as("symbols under wire %s from %s", wire.number(), wire.points())
                    .noneMatch(symbol -> core(symbol).overlaps(piece)));
        }
    }

    /** The inside of a symbol, where not even its own wires go. */
    private static Box core(Mark.Symbol symbol) {
        Box box = symbol.box();
        return new Box(box.x() + 4, box.y() + 4, box.width() - 8, box.height() - 8);
    }

    private static Box spanned(Point from, Point to) {
        return new Box(
                Math.min(from.x(), to.x()) - 0.1,
                Math.min(from.y(), to.y()) - 0.1,
                Math.abs(from.x() - to.x()) + 0.2,
                Math.abs(from.y() - to.y()) + 0.2);
    }

    private static void assertNoSymbolOnAnother(Drawing drawing) {
        List<Mark.Symbol> symbols = new ArrayList<>(drawing.symbols().toList());
        for (int i = 0; i < symbols.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(symbols.get(i).box().overlaps(symbols.get(j).box()))
                        .as("%s on %s", symbols.get(i).subject(), symbols.get(j).subject())
                        .isFalse();
            }
        }
    }

    private static Sheet randomLadder(Random random) {
        int buttons = 2 + random.nextInt(8);
        String devices = IntStream.range(0, buttons)
                .mapToObj(
                        i -> "{\"tag\": \"S%d\", \"kind\": \"push-button\", \"blocks\": \"11-12 23-24\"}".formatted(i))
                .collect(Collectors.joining(", "));
        Set<String> unused = new HashSet<>();
        for (int i = 0; i < buttons; i++) {
            unused.add("S" + i + "[11-12]");
            unused.add("S" + i + "[23-24]");
        }
        List<String> rungs = new ArrayList<>();
        while (!unused.isEmpty()) {
            StringBuilder rung = new StringBuilder(point(random));
            for (int k = 1 + random.nextInt(3); k > 0 && !unused.isEmpty(); k--) {
                String next = unused.stream()
                        .sorted()
                        .skip(random.nextInt(unused.size()))
                        .findFirst()
                        .orElseThrow();
                unused.remove(next);
                rung.append(' ').append(next);
                if (random.nextBoolean()) {
                    rung.append(' ').append(point(random));
                }
            }
            rungs.add("\"" + rung + " " + point(random) + "\"");
        }
        return Examples.sheet(devices, "", String.join(", ", rungs));
    }

    private static String point(Random random) {
        int which = random.nextInt(7);
        return which == 0 ? "L" : which == 1 ? "N" : "@" + (which + 1);
    }

    /** Whoever asks for the rungs at a height gets that rung, also where the ladder is below the power circuit. */
    @Test
    void theRungsAtAHeightAreThoseThatAreDrawnThere() {
        Sheet mill = Examples.ofLibrary("Mill");
        for (Arrangement arrangement : Arrangement.values()) {
            Drawing drawing = SheetDrawing.of(Examples.fitted(mill), Practice.IEC, arrangement);
            for (int rung = 0; rung < mill.control().size(); rung++) {
                Box box = drawing.boxOf(new Place(Circuit.CONTROL, rung, 1)).orElseThrow();
                double middle = box.y() + box.height() / 2;
                assertThat(drawing.rungsBetween(middle, middle)).contains(rung).hasSizeLessThan(6);
            }
            assertThat(drawing.rungsBetween(-500, -400)).isEmpty();
        }
    }
}
