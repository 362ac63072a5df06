package parable.draw;

import parable.parts.Assembly;

/** The drawing of a sheet: power circuit at the left, ladder beside it. */
public final class SheetDrawing {

    private static final double GAP = 10;

    private SheetDrawing() {}

    /** The drawing of an assembled sheet. */
    public static Drawing of(Assembly assembly) {
        Drawing ladder = Ladder.of(assembly);
        return assembly.sheet().power().isEmpty()
                ? ladder
                : PowerDiagram.of(assembly).beside(ladder, GAP);
    }
}
