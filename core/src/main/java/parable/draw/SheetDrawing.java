package parable.draw;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.LoadRole;

/** The drawing of a sheet: power circuit and ladder. */
public final class SheetDrawing {

    private static final double GAP = 10;
    private static final Drawing EMPTY = new Drawing(400, 200, List.of());
    private static final Drawing NOTHING = new Drawing(0, 0, List.of());

    private static final List<String> EMPTY_LADDER = List.of("The ladder is empty.");
    private static final List<String> WITHOUT_LADDER = List.of(
            "No ladder: the hand switches the motor itself.",
            "There is no coil, and so no no-volt release: nothing lets go",
            "when the power fails. When it returns, whatever is still",
            "switched on runs again by itself.");

    private SheetDrawing() {}

    /** The drawing with a heading and lines below it to its right. */
    private static Drawing noted(Drawing motors, List<String> lines) {
        List<Mark> marks = new ArrayList<>();
        double left = motors.width() + GAP;
        marks.add(new Mark.Text(new Point(left, 60), lines.get(0), Mark.TextRole.HEADING, Mark.Anchor.START));
        for (int i = 1; i < lines.size(); i++) {
            Point at = new Point(left, 66 + 18 * i);
            marks.add(new Mark.Text(at, lines.get(i), Mark.TextRole.TAG, Mark.Anchor.START));
        }
        return motors.with(left + 460, 180, List.of(Band.of(marks)));
    }

    /**
     * The drawing of an assembled sheet with the symbols of a practice; a circuit without rungs takes no room, and a sheet without any is blank.
     */
    public static Drawing of(Assembly assembly, Practice practice) {
        return of(assembly, practice, Arrangement.BESIDE);
    }

    /** The drawing as {@link #of(Assembly, Practice)} has it, or with the ladder elsewhere. */
    public static Drawing of(Assembly assembly, Practice practice, Arrangement arrangement) {
        StripSigns signs = StripSigns.of(assembly);
        boolean power = !assembly.sheet().power().isEmpty();
        boolean control = !assembly.sheet().control().isEmpty();
        if (!power) {
            return control ? LadderDiagram.on(NOTHING, new Point(0, 0), assembly, practice, signs) : EMPTY;
        }
        Drawing motors = PowerDiagram.of(assembly, practice, signs);
        Point corner = arrangement == Arrangement.BESIDE
                ? new Point(motors.width() + GAP, 0)
                : new Point(0, motors.height() + GAP);
        return control
                ? LadderDiagram.on(motors, corner, assembly, practice, signs)
                : noted(motors, whyNoLadder(assembly));
    }

    private static List<String> whyNoLadder(Assembly assembly) {
        boolean byHand = assembly.parts().stream()
                .noneMatch(part -> part.loads().stream().anyMatch(load -> load.role() == LoadRole.COIL));
        return byHand ? WITHOUT_LADDER : EMPTY_LADDER;
    }
}
