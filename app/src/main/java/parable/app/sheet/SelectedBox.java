package parable.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.desk.Stretch;
import parable.draw.Box;
import parable.draw.Drawing;

/** Where on a drawing that is what is selected. */
public final class SelectedBox {

    private SelectedBox() {}

    /** The box around all that is selected, empty if it is not drawn. */
    static Optional<Box> around(Drawing drawing, Stretch stretch) {
        Place at = stretch.first();
        List<Box> boxes = IntStream.rangeClosed(at.item(), stretch.last())
                .mapToObj(item -> drawing.boxOf(new Place(at.circuit(), at.rung(), item)))
                .flatMap(Optional::stream)
                .toList();
        return boxes.isEmpty() ? Optional.empty() : Optional.of(Box.around(boxes));
    }

    /** The frame around all that is selected: in the ladder with the tag above and the markings at both sides, but not through the words below. */
    public static Optional<Box> framed(Drawing drawing, Stretch stretch) {
        boolean ladder = stretch.first().circuit() == Circuit.CONTROL;
        return around(drawing, stretch)
                .map(box -> ladder
                        ? new Box(box.x() - 11, box.y() - 24, box.width() + 22, box.height() + 21)
                        : new Box(box.x() - 2, box.y() - 4, box.width() + 4, box.height() + 8));
    }
}
