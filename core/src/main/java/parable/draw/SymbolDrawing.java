package parable.draw;

import java.util.List;
import parable.circuit.Practice;
import parable.parts.Part;

/** A single symbol, as it is on a ladder, with a piece of wire at both sides. */
public final class SymbolDrawing {

    private static final double WIDTH = 56;
    private static final double HEIGHT = 40;
    private static final double LINE = 25;

    private SymbolDrawing() {}

    /** The symbol of a contact, by its position among the part's contacts. */
    public static Drawing ofContact(Part part, int contact, Practice practice) {
        return drawn(Symbols.of(practice, Axis.RIGHT).contact(part, contact, new Point(WIDTH / 2, LINE)));
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
