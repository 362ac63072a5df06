package parable.benchmark;

import java.util.List;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Sheet;
import parable.drafting.TypedRung;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.starters.Library;

/** A direct-on-line starter with as many further rungs as are asked for, half of them a start with a coil, half its seal-in. */
final class LargeSheet {

    /** In drawing units: a screen of 800 pixels where the drawing is as small as can be read. */
    private static final double SCREEN = 1000;

    private LargeSheet() {}

    static Sheet of(int rungs) throws EditException {
        Sheet sheet = Library.jobs().get(0).sheets().get(0);
        for (int n = 10; sheet.control().size() < rungs; n++) {
            sheet = with(sheet, "L /S%1$d @%2$d S%3$d @%4$d (K%1$d) N", n);
            sheet = with(sheet, "@%2$d K%1$d @%4$d", n);
        }
        return sheet;
    }

    /** What a screen shows of a drawing, from its middle on. */
    static List<Mark> screen(Drawing drawing) {
        return drawing.marksBetween(drawing.height() / 2, drawing.height() / 2 + SCREEN);
    }

    private static Sheet with(Sheet sheet, String rung, int n) throws EditException {
        String line = String.format(rung, n, 10_000 + n, 1_000 + n, 50_000 + n);
        TypedRung typed = TypedRung.read(line, sheet, "230 V AC");
        return new Edit.InsertRung(Circuit.CONTROL, sheet.control().size(), typed.rung()).on(typed.sheet());
    }
}
