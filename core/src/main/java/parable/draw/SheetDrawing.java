package parable.draw;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.LoadRole;

/** The drawing of a sheet: power circuit at the left, ladder beside it. */
public final class SheetDrawing {

    private static final double GAP = 10;
    private static final Drawing EMPTY = new Drawing(400, 200, List.of());

    private static final Drawing EMPTY_LADDER = noted("The ladder is empty.");
    private static final Drawing WITHOUT_LADDER = noted(
            "No ladder: the hand switches the motor itself.",
            "There is no coil, and so no no-volt release: nothing lets go",
            "when the power fails. When it returns, whatever is still",
            "switched on runs again by itself.");

    private SheetDrawing() {}

    private static Drawing noted(String heading, String... lines) {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Mark.Label(new Point(0, 60), heading, Mark.TextRole.HEADING, Mark.Anchor.START));
        for (int i = 0; i < lines.length; i++) {
            Point at = new Point(0, 84 + 18 * i);
            marks.add(new Mark.Label(at, lines[i], Mark.TextRole.TAG, Mark.Anchor.START));
        }
        return new Drawing(460, 180, marks);
    }

    /**
     * The drawing of an assembled sheet with the symbols of a practice; a circuit without rungs takes no room, and a sheet without any is blank.
     */
    public static Drawing of(Assembly assembly, Practice practice) {
        boolean power = !assembly.sheet().power().isEmpty();
        boolean control = !assembly.sheet().control().isEmpty();
        if (power && control) {
            return PowerDiagram.of(assembly, practice).beside(Ladder.of(assembly, practice), GAP);
        }
        if (power) {
            boolean byHand = assembly.parts().stream()
                    .noneMatch(part -> part.loads().stream().anyMatch(load -> load.role() == LoadRole.COIL));
            return PowerDiagram.of(assembly, practice).beside(byHand ? WITHOUT_LADDER : EMPTY_LADDER, GAP);
        }
        return control ? Ladder.of(assembly, practice) : EMPTY;
    }
}
