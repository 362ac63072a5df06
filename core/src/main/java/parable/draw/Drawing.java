package parable.draw;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Terminal;

/** A drawing. It does not change; what of it is not in view need not have been drawn yet. May be used from any thread. */
public final class Drawing {

    private final double width;
    private final double height;
    private final List<Band> bands;

    /**
     * A drawing of marks.
     *
     * @param width in drawing units
     * @param height in drawing units
     * @param marks in the order they are drawn, the lowest first; not modified
     */
    public Drawing(double width, double height, List<Mark> marks) {
        this(List.of(Band.of(marks)), width, height);
    }

    private Drawing(List<Band> bands, double width, double height) {
        this.width = width;
        this.height = height;
        this.bands = List.copyOf(bands);
    }

    /** In drawing units. */
    public double width() {
        return width;
    }

    /** In drawing units. */
    public double height() {
        return height;
    }

    /** All marks in the order they are drawn, the lowest first. */
    public List<Mark> marks() {
        return allMarks().toList();
    }

    private Stream<Mark> allMarks() {
        return bands.stream().flatMap(band -> band.marks().stream());
    }

    /** Those of the marks that may be seen between two heights, in the same order. */
    public List<Mark> marksBetween(double top, double bottom) {
        return bands.stream()
                .filter(band -> band.reaches(top, bottom))
                .flatMap(band -> band.marks().stream())
                .filter(mark -> mark.reaches(top, bottom))
                .toList();
    }

    /** The rungs of the ladder, by their positions, of which something may be seen between two heights. */
    public List<Integer> rungsBetween(double top, double bottom) {
        return bands.stream()
                .filter(band -> band.reaches(top, bottom))
                .flatMap(band -> band.rung().stream())
                .toList();
    }

    /** The symbols, in the order they are drawn. */
    public Stream<Mark.Symbol> symbols() {
        return symbols(bands.stream());
    }

    /** The symbols that are on no rung of the ladder, those of the power circuit, in the order they are drawn. */
    public Stream<Mark.Symbol> symbolsBesideLadder() {
        return symbols(bands.stream().filter(band -> band.rung().isEmpty()));
    }

    /** The symbols on a rung of the ladder, in the order they are drawn; none if it has no such rung. */
    public Stream<Mark.Symbol> symbolsOn(int rung) {
        return symbols(bands.stream().filter(band -> band.rung().equals(Optional.of(rung))));
    }

    private static Stream<Mark.Symbol> symbols(Stream<Band> bands) {
        return bands.flatMap(band -> band.marks().stream())
                .filter(Mark.Symbol.class::isInstance)
                .map(Mark.Symbol.class::cast);
    }

    /** The number of the wire nearest to a point, empty if none is as near as this. */
    public Optional<String> wireNear(double x, double y, double within) {
        return wires().filter(wire -> wire.distance(x, y) <= within)
                .min(Comparator.comparingDouble(wire -> wire.distance(x, y)))
                .map(Mark.WireLine::number);
    }

    /** What is on a rung at a point, empty if nothing does. */
    public Optional<Place> placeAt(double x, double y) {
        return itemSpots(marksBetween(y, y).stream())
                .filter(spot -> spot.box().contains(x, y))
                .map(Mark.ItemSpot::place)
                .findFirst();
    }

    /** Where something on a rung is drawn, empty if it is not. */
    public Optional<Box> boxOf(Place place) {
        Optional<Integer> rung = place.circuit() == Circuit.CONTROL ? Optional.of(place.rung()) : Optional.empty();
        return itemSpots(bands.stream().filter(band -> band.rung().equals(rung)).flatMap(band -> band.marks().stream()))
                .filter(spot -> spot.place().equals(place))
                .map(Mark.ItemSpot::box)
                .findFirst();
    }

    private static Stream<Mark.ItemSpot> itemSpots(Stream<Mark> marks) {
        return marks.filter(Mark.ItemSpot.class::isInstance).map(Mark.ItemSpot.class::cast);
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
        return allMarks().filter(Mark.TerminalSpot.class::isInstance).map(Mark.TerminalSpot.class::cast);
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

    private Stream<Mark.WireLine> wires() {
        return allMarks().filter(Mark.WireLine.class::isInstance).map(Mark.WireLine.class::cast);
    }

    /** The drawing together with more that was drawn to the right of it or below. */
    Drawing with(double widthOfAll, double heightOfOthers, List<Band> others) {
        List<Band> all = new ArrayList<>(bands);
        all.addAll(others);
        return new Drawing(all, Math.max(width, widthOfAll), Math.max(height, heightOfOthers));
    }
}
