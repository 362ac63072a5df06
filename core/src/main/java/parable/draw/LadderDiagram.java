package parable.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.RungItem;
import parable.draw.LaneOrder.Placed;
import parable.draw.Mark.Anchor;
import parable.draw.Mark.TextRole;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.FittedRung;
import parable.parts.LoadRole;
import parable.parts.Part;

/** The control circuit as a ladder: rails upright, one rung below the other, coils and lamps at the right. */
final class LadderDiagram extends LaneDiagram {

    private static final double TOP = 84;
    private static final double ROW = 82;
    private static final double NAMES = 40;
    private static final double COLUMN_NAMES = 14;
    private static final double LINE_SPACE = 31;
    private static final double NOTE_LINE = 14;
    private static final double START = 40;
    private static final double SLOT = 84;
    private static final double BETWEEN_PARTS = 20;
    private static final double BESIDE = 20;
    private static final double SHORT_RAIL = 14;
    private static final double CLEAR_OF_RAIL = 4;

    /** In letters. */
    private static final int MOST_BESIDE_A_WIRE = 13;

    private final CrossReferences references;
    private final PointUses uses;
    private final LadderParts parts;
    private final double[] rows;
    private final double left;
    private final double top;
    private final Practice practice;
    private final List<List<String>> remarks;

    private LadderDiagram(Assembly assembly, Practice practice, Point corner) {
        super(
                assembly,
                Symbols.of(practice, Axis.RIGHT),
                Axis.RIGHT,
                Circuit.CONTROL,
                new Pitch(corner.x() + START, SLOT, 14));
        left = corner.x();
        top = corner.y();
        this.practice = practice;
        references = new CrossReferences(assembly, this::columnOf);
        uses = new PointUses(this);
        remarks = rungs.stream().map(rung -> Remark.lines(rung.remark())).toList();
        parts = LadderParts.of(this);
        rows = new double[rungs.size() + 1];
        rows[0] = top + TOP;
        for (int i = 0; i < rungs.size(); i++) {
            boolean ends = i + 1 < rungs.size() && parts.beginsWith(i + 1);
            rows[i + 1] = rows[i] + ROW + NOTE_LINE * notesUnder(fitted.get(i)) + (ends ? BETWEEN_PARTS : 0);
        }
    }

    /**
     * A drawing with the ladder of a sheet on it.
     *
     * @param corner its upper left corner, right of or below all that is there
     */
    static Drawing on(Drawing motors, Point corner, Assembly assembly, Practice practice, StripSigns signs) {
        LadderDiagram ladder = new LadderDiagram(assembly, practice, corner);
        ladder.layOut(signs);
        List<Band> bands = new ArrayList<>();
        bands.add(Band.of(ladder.nodesAcross()));
        for (int lane = 0; lane < ladder.rungs.size(); lane++) {
            bands.add(ladder.band(lane));
        }
        bands.add(Band.of(ladder.railNames()));
        bands.add(Band.of(ladder.columnNames()));
        return motors.with(
                Math.max(ladder.end() + 40, ladder.end() + 20 + ladder.roomForRemarks()),
                ladder.rows[ladder.rungs.size()] - 30,
                bands);
    }

    private Band band(int lane) {
        double foot = rows[lane] + NOTE_LINE * remarks.get(lane).size();
        return Band.ofRung(lane, rows[lane] - ROW, Math.max(rows[lane + 1], foot) + ROW, () -> drawnRung(lane));
    }

    /** A rung with its number before it and its remark behind it; below what is told there of a wire that leads to where nothing is drawn. */
    private List<Mark> drawnRung(int lane) {
        List<Mark> marks = lane(lane);
        Point number = new Point(left + 24, rows[lane] + 4);
        label(marks, number, Integer.toString(lane + 1), TextRole.NOTE, Anchor.END);
        boolean open = marks.stream()
                .anyMatch(mark -> mark instanceof Mark.Text text && text.at().x() > end());
        double first = rows[lane] + 4 + (open ? NOTE_LINE : 0);
        for (int line = 0; line < remarks.get(lane).size(); line++) {
            Point at = new Point(end() + 14, first + NOTE_LINE * line);
            label(marks, at, remarks.get(lane).get(line), TextRole.NOTE, Anchor.START);
        }
        return marks;
    }

    private int notesUnder(FittedRung rung) {
        int most = 0;
        for (int item = 0; item < rung.length(); item++) {
            most = Math.max(most, noteLines(rung, item) - 1);
        }
        return most;
    }

    private List<String> underCoil(Part part, int load) {
        if (!part.contacts().isEmpty()) {
            return Stream.of(
                            Ratings.ofCoil(part, load).stream(),
                            timing(part).stream(),
                            references.underCoil(part).stream())
                    .flatMap(lines -> lines)
                    .toList();
        }
        String label = part.device().label();
        Stream<String> ratings = part.family() == Family.CONVERTER ? Ratings.of(part).stream() : Stream.of();
        return Stream.concat(label.isEmpty() ? Stream.of() : Stream.of(label), ratings)
                .toList();
    }

    /** What a timer does and after how long: {@code on-delay 5 s}, on two lines where one is too long. */
    private static List<String> timing(Part part) {
        if (part.family() != Family.TIMER) {
            return List.of();
        }
        String function = part.device().setting("function").orElse("on-delay");
        String time = part.device().setting("setting").orElse("5 s");
        String line = function + " " + time;
        return line.length() > MOST_BESIDE_A_WIRE ? List.of(function, time) : List.of(line);
    }

    private boolean isLoad(RungItem.Passage passage) {
        return part(passage.tag()).loadBetween(passage.from(), passage.to()).isPresent();
    }

    @Override
    double across(int lane) {
        return rows[lane];
    }

    @Override
    int partOf(int lane) {
        return parts.of(lane);
    }

    @Override
    boolean runsAcross(RungItem.NamedPoint point, int node) {
        return point.rail() || uses.isNamedAgain(point, node);
    }

    @Override
    Optional<Object> groupOf(RungItem item) {
        return Optional.empty();
    }

    @Override
    boolean standsAtTheEnd(Placed placed) {
        return placed.item() instanceof RungItem.Passage passage && isLoad(passage);
    }

    @Override
    void drawDevice(List<Mark> marks, int lane, Placed placed, Point at) {
        RungItem.Passage passage = (RungItem.Passage) placed.item();
        Part part = part(passage.tag());
        marks.add(symbol(passage, at));
        String left = placed.reversed() ? passage.to() : passage.from();
        String right = placed.reversed() ? passage.from() : passage.to();
        double aside = part.family() == Family.PILOT_LAMP ? 32 : 25;
        label(marks, at.plus(-aside, 14), left, TextRole.MARKING, Anchor.MIDDLE);
        label(marks, at.plus(aside, 14), right, TextRole.MARKING, Anchor.MIDDLE);
        label(marks, at.plus(0, -heightAbove(passage) - 5), passage.tag(), TextRole.TAG, Anchor.MIDDLE);
        colourLetter(part, passage)
                .ifPresent(letter -> label(marks, at.plus(0, 4), letter, TextRole.WIRE_NUMBER, Anchor.MIDDLE));
        List<String> notes = notes(passage);
        for (int i = 0; i < notes.size(); i++) {
            double beside = isLoad(passage) ? -CLEAR_OF_RAIL : 0;
            label(marks, at.plus(beside, 33 + i * NOTE_LINE), notes.get(i), TextRole.NOTE, Anchor.MIDDLE);
        }
    }

    /** The letter of a lamp's colour within its circle, as North American drawings have it (NEMA ICS 19). */
    private Optional<String> colourLetter(Part part, RungItem.Passage passage) {
        boolean lamp = part.loadBetween(passage.from(), passage.to())
                .filter(load -> part.loads().get(load).role() == LoadRole.LAMP)
                .isPresent();
        return lamp && practice == Practice.NORTH_AMERICAN
                ? part.device()
                        .setting("colour")
                        .map(colour -> colour.equals("yellow")
                                ? "A"
                                : colour.substring(0, 1).toUpperCase(Locale.ROOT))
                : Optional.empty();
    }

    /** What is written below a symbol. */
    private List<String> notes(RungItem.Passage passage) {
        Part part = part(passage.tag());
        return part.contactBetween(passage.from(), passage.to())
                .map(contact -> Stream.concat(
                                coilNote(part).stream(),
                                positions(part, part.contacts().get(contact)).stream())
                        .toList())
                .orElseGet(() -> underCoil(
                        part, part.loadBetween(passage.from(), passage.to()).orElseThrow()));
    }

    /** How many lines {@link #notes} has, none for what a rung does not go through. */
    private int noteLines(FittedRung rung, int item) {
        if (rung.contact(item) >= 0) {
            return linesAtContact(rung.partIndex(item));
        }
        return rung.load(item) >= 0 ? linesAtLoad(assembly.parts().get(rung.partIndex(item)), rung.load(item)) : 0;
    }

    private int linesAtContact(int index) {
        Part part = assembly.parts().get(index);
        boolean coil = references.hasCoil(index) || !part.device().label().isEmpty();
        return (coil ? 1 : 0) + (part.drive() instanceof Drive.ByTurning ? 1 : 0);
    }

    private int linesAtLoad(Part part, int load) {
        return part.contacts().isEmpty()
                ? underCoil(part, load).size()
                : (Ratings.tellsVoltage(part, load) ? 1 : 0) + timing(part).size() + references.linesUnderCoil(part);
    }

    /** The positions of something turned in which a contact is closed: {@code closed: hand, auto}. */
    private static Optional<String> positions(Part part, Contact contact) {
        return !(part.drive() instanceof Drive.ByTurning turning)
                ? Optional.empty()
                : Optional.of("closed: "
                        + IntStream.range(0, turning.positions().size())
                                .filter(contact::closedAt)
                                .mapToObj(turning.positions()::get)
                                .collect(Collectors.joining(", ")));
    }

    private List<String> coilNote(Part part) {
        return references.ofCoil(part).map(place -> List.of("coil: " + place)).orElseGet(() -> {
            String label = part.device().label();
            return label.isEmpty() ? List.of() : List.of(label);
        });
    }

    @Override
    double drawLanding(List<Mark> marks, int lane, Placed placed, double along, boolean end) {
        RungItem.TerminalEnd landing = (RungItem.TerminalEnd) placed.item();
        Point at = axis.point(along + SLOT / 2, across(lane));
        label(marks, at.plus(0, -8), landing.terminal().toString(), TextRole.TAG, Anchor.MIDDLE);
        return at.x();
    }

    @Override
    double drawEnd(List<Mark> marks, int lane, Placed placed, double along) {
        double end = along + 30;
        label(
                marks,
                axis.point(end + 4, across(lane) + 4),
                "to " + placed.item().text(),
                TextRole.NOTE,
                Anchor.START);
        return end;
    }

    @Override
    double besideDevice(Placed placed, boolean next, double end) {
        return next ? end + BESIDE : end - BESIDE;
    }

    /** Above the numbers of wires. */
    @Override
    void drawStripNumber(List<Mark> marks, String number, Point at) {
        label(marks, at.plus(0, -17), number, TextRole.MARKING, Anchor.MIDDLE);
    }

    @Override
    double drawBeginning(List<Mark> marks, int lane, Placed placed, double device) {
        double begin = device - 16;
        label(
                marks,
                axis.point(begin - 4, across(lane) + 4),
                "to " + placed.item().text(),
                TextRole.NOTE,
                Anchor.END);
        return begin;
    }

    @Override
    void drawNumber(List<Mark> marks, String number, double along, double across) {
        label(marks, new Point(along + 5, across - 6), number, TextRole.WIRE_NUMBER, Anchor.START);
    }

    private double roomForRemarks() {
        double room = 0;
        for (List<String> lines : remarks) {
            for (String line : lines) {
                room = Math.max(room, Remark.width(line));
            }
        }
        return room;
    }

    /** The name of each rail where it begins, in each part anew: one rail may go on below the foot of another. */
    private List<Mark> railNames() {
        List<Mark> marks = new ArrayList<>();
        for (Rail rail : assembly.sheet().rails()) {
            assembly.nodes().indexOf(rail.number()).stream()
                    .flatMap(node -> IntStream.range(0, parts.count()).mapToObj(part -> inPart(node, part)))
                    .flatMap(node -> laidOut(node).stream())
                    .forEach(node -> {
                        Point at = new Point(nodeAt(node), nameAbove(firstLaneOf(node)));
                        label(marks, at, rail.name(), TextRole.HEADING, Anchor.MIDDLE);
                        drawShort(marks, rail, node);
                    });
        }
        return marks;
    }

    /** A letter over each column, as the references to contacts and coils have it. */
    private List<Mark> columnNames() {
        List<Mark> marks = new ArrayList<>();
        double[] columns = rungs.isEmpty() ? new double[0] : columns();
        for (int column = 0; column < columns.length; column++) {
            Point at = new Point(columns[column], top + COLUMN_NAMES);
            label(marks, at, CrossReferences.letter(column), TextRole.COLUMN, Anchor.MIDDLE);
        }
        return marks;
    }

    /** A rail with one rung only is still seen to be a rail. */
    private void drawShort(List<Mark> marks, Rail rail, LaneItem node) {
        if (hasOneLane(node)) {
            Point at = new Point(nodeAt(node), rows[firstLaneOf(node)]);
            marks.add(new Mark.WireLine(rail.number(), List.of(at.plus(0, -SHORT_RAIL), at.plus(0, SHORT_RAIL))));
        }
    }

    private double nameAbove(int lane) {
        return rows[lane] - (lane == 0 ? TOP - NAMES : LINE_SPACE);
    }
}
