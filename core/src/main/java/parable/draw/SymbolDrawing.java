package parable.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.parts.Part;

/** A single symbol, as it is on a ladder, with a piece of wire at both sides. */
public final class SymbolDrawing {

    private static final double WIDTH = 56;
    private static final double HEIGHT = 40;
    private static final double LINE = 25;
    private static final double RADIUS = 14;
    private static final double BETWEEN_LINES = 7;

    private SymbolDrawing() {}

    /** The symbol of a contact, by its position among the part's contacts; as it is before anything is done to it, so that a fuse is sound. */
    public static Drawing ofContact(Part part, int contact, Practice practice) {
        Mark.Symbol symbol = Symbols.of(practice, Axis.RIGHT).contact(part, contact, new Point(WIDTH / 2, LINE));
        boolean closed = part.initial() > 0 && part.contacts().get(contact).closedAt(part.initial());
        return drawn(closed ? inItsOtherPosition(symbol) : symbol);
    }

    private static Mark.Symbol inItsOtherPosition(Mark.Symbol symbol) {
        List<Stroke> strokes =
                Stream.concat(symbol.always().stream(), symbol.on().stream()).toList();
        return new Mark.Symbol(symbol.subject(), symbol.wire(), symbol.box(), strokes, List.of(), List.of());
    }

    /** The symbol of a three-phase motor with its lines. */
    public static Drawing ofMotor(Part motor) {
        Point centre = new Point(WIDTH / 2 + RADIUS / 2, LINE - 3);
        List<Stroke> strokes = new ArrayList<>(List.of(new Stroke.Circle(centre, RADIUS, false)));
        for (int line = -1; line <= 1; line++) {
            double y = centre.y() + line * BETWEEN_LINES;
            double end = centre.x() - Math.sqrt(RADIUS * RADIUS - line * line * BETWEEN_LINES * BETWEEN_LINES);
            strokes.add(new Stroke.Lines(List.of(new Point(4, y), new Point(end, y)), false));
        }
        Box box = Box.around(centre, 2 * RADIUS, 2 * RADIUS);
        Subject subject = new Subject.OfMotor(motor.tag());
        return new Drawing(WIDTH, HEIGHT, List.of(new Mark.Symbol(subject, "", box, strokes, List.of(), List.of())));
    }

    /** The symbol of a coil, lamp or other load, by its position among the part's loads. */
    public static Drawing ofLoad(Part part, int load, Practice practice) {
        return drawn(Symbols.of(practice, Axis.RIGHT).load(part, load, new Point(WIDTH / 2, LINE)));
    }

    private static Drawing drawn(Mark.Symbol symbol) {
        Mark before = new Mark.WireLine("", List.of(new Point(4, LINE), new Point(WIDTH / 2 - Symbols.HALF, LINE)));
        Mark behind =
                new Mark.WireLine("", List.of(new Point(WIDTH / 2 + Symbols.HALF, LINE), new Point(WIDTH - 4, LINE)));
        return new Drawing(WIDTH, HEIGHT, List.of(before, behind, symbol));
    }
}
