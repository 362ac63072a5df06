package parable.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.draw.Arrangement;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;

/**
 * A drawing of what is being typed, live as it would be.
 *
 * @param moment the instant that is looked at, with what is typed in it
 */
record Frame(Drawing drawing, Moment moment) {

    /** The frame of a sheet that a run would go on with. */
    static Frame of(Assembly assembly, RunModel run, Practice practice, Arrangement arrangement) {
        return new Frame(SheetDrawing.of(assembly, practice, arrangement), run.previewOf(assembly));
    }

    /** The box around the first rung that is not as it is on a sheet; empty if all are, or if nothing of it is drawn. */
    Optional<Box> firstChangeFrom(Sheet sheet) {
        for (Circuit circuit : Circuit.values()) {
            List<Rung> before = sheet.rungs(circuit);
            List<Rung> after = moment.assembly().sheet().rungs(circuit);
            for (int rung = 0; rung < after.size(); rung++) {
                if (rung >= before.size() || !after.get(rung).equals(before.get(rung))) {
                    return boxOf(circuit, rung, after.get(rung));
                }
            }
        }
        return Optional.empty();
    }

    private Optional<Box> boxOf(Circuit circuit, int rung, Rung changed) {
        List<Box> boxes = IntStream.range(0, changed.items().size())
                .mapToObj(item -> drawing.boxOf(new Place(circuit, rung, item)))
                .flatMap(Optional::stream)
                .toList();
        return boxes.isEmpty() ? Optional.empty() : Optional.of(Box.around(boxes));
    }
}
