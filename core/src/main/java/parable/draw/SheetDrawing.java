package parable.draw;

import java.util.List;
import parable.parts.Assembly;

/** The drawing of a sheet: power circuit at the left, ladder beside it. */
public final class SheetDrawing {

    private static final double GAP = 10;
    private static final Drawing EMPTY = new Drawing(400, 200, List.of());

    private SheetDrawing() {}

    /** The drawing of an assembled sheet; a circuit without rungs takes no room, and a sheet without any is blank. */
    public static Drawing of(Assembly assembly) {
        boolean power = !assembly.sheet().power().isEmpty();
        boolean control = !assembly.sheet().control().isEmpty();
        if (power && control) {
            return PowerDiagram.of(assembly).beside(Ladder.of(assembly), GAP);
        }
        if (power) {
            return PowerDiagram.of(assembly);
        }
        return control ? Ladder.of(assembly) : EMPTY;
    }
}
