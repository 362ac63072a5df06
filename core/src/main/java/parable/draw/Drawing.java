package parable.draw;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Place;
import parable.circuit.Terminal;

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

    /** What stands on a rung at a point, empty if nothing does. */
    public Optional<Place> placeAt(double x, double y) {
        return itemSpots()
                .filter(spot -> spot.box().contains(x, y))
                .map(Mark.ItemSpot::place)
                .findFirst();
    }

    /** Where something on a rung is drawn, empty if it is not. */
    public Optional<Box> boxOf(Place place) {
        return itemSpots()
                .filter(spot -> spot.place().equals(place))
                .map(Mark.ItemSpot::box)
                .findFirst();
    }

    private Stream<Mark.ItemSpot> itemSpots() {
        return marks.stream().filter(Mark.ItemSpot.class::isInstance).map(Mark.ItemSpot.class::cast);
    }

    /** The terminal nearest to a point, empty if none is as near as this. */
    public Optional<Terminal> terminalNear(double x, double y, double within) {
        return spots().filter(spot -> distance(spot, x, y) <= within)
                .min(Comparator.comparingDouble(spot -> distance(spot, x, y)))
                .map(Mark.TerminalSpot::terminal);
    }

    /** Where a terminal is, empty if it is not drawn. */
    public Optional<Point> pointAt(Terminal terminal) {
        return spots().filter(spot -> spot.terminal().equals(terminal))
                .map(Mark.TerminalSpot::at)
                .findFirst();
    }

    private Stream<Mark.TerminalSpot> spots() {
        return marks.stream().filter(Mark.TerminalSpot.class::isInstance).map(Mark.TerminalSpot.class::cast);
    }

    private static double distance(Mark.TerminalSpot spot, double x, double y) {
        return Math.hypot(spot.at().x() - x, spot.at().y() - y);
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

    /** The drawing together with more that was drawn to the right of it; the marks are not modified. */
    Drawing with(double widthOfAll, double heightOfOthers, List<Mark> others) {
        List<Mark> all = new ArrayList<>(marks.size() + others.size());
        all.addAll(marks);
        all.addAll(others);
        return new Drawing(widthOfAll, Math.max(height, heightOfOthers), all);
    }
}
