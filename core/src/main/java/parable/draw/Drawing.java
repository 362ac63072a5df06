package parable.draw;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A drawing.
 *
 * @param width in drawing units
 * @param height in drawing units
 * @param marks in the order they are drawn, the lowest first
 */
public record Drawing(double width, double height, List<Mark> marks) {

    /** Not modified: the list is copied. */
    public Drawing {
        marks = List.copyOf(marks);
    }

    /** The symbols, in the order they are drawn. */
    public Stream<Mark.Symbol> symbols() {
        return marks.stream().filter(Mark.Symbol.class::isInstance).map(Mark.Symbol.class::cast);
    }

    /** The number of the wire nearest to a point, empty if none is as near as this. */
    public Optional<String> wireNear(double x, double y, double within) {
        return wires().filter(wire -> wire.distance(x, y) <= within)
                .min(Comparator.comparingDouble(wire -> wire.distance(x, y)))
                .map(Mark.Wire::number);
    }

    /** A point on a wire, empty if the wire is not drawn. */
    public Optional<Point> pointOn(String number) {
        return wires().filter(wire -> wire.number().equals(number))
                .map(wire -> wire.points().get(0))
                .findFirst();
    }

    private Stream<Mark.Wire> wires() {
        return marks.stream().filter(Mark.Wire.class::isInstance).map(Mark.Wire.class::cast);
    }

    /** The drawing with another to its right. */
    Drawing beside(Drawing other, double gap) {
        double shift = width + gap;
        return new Drawing(
                shift + other.width,
                Math.max(height, other.height),
                Stream.concat(marks.stream(), other.marks.stream().map(mark -> mark.moved(shift, 0)))
                        .toList());
    }
}
