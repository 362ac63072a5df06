package parable.app.point;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.app.point.SpotMarks.SpotMark;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.PowerLines;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Point;
import parable.offer.Spot;

/** Where in a drawn power circuit the places are at which something can go into its lines. */
final class PowerMarks {

    /** From the middle of a symbol half the way to the next column. */
    private static final double ASIDE = 22;

    /** From a symbol to the middle of a wire that leads to no other symbol. */
    private static final double BESIDE = 16;

    /** From the left of a column to behind its texts. */
    private static final double TEXTS = 70;

    private final Sheet sheet;
    private final Drawing drawing;

    PowerMarks(Sheet sheet, Drawing drawing) {
        this.sheet = sheet;
        this.drawing = drawing;
    }

    /** All of them, line by line. */
    Stream<SpotMark> all() {
        return IntStream.range(0, sheet.power().size()).boxed().flatMap(rung -> ofRung(rung).stream());
    }

    /** Those of a line from the supply to the load, in series first, then in parallel. */
    List<SpotMark> ofRung(int rung) {
        List<SpotMark> series = new ArrayList<>();
        List<SpotMark> parallel = new ArrayList<>();
        Optional<Place> before = Optional.empty();
        for (Place place : drawn(rung)) {
            series.addAll(between(before, place));
            parallel.add(beside(place));
            before = Optional.of(place);
        }
        before.map(this::below).ifPresent(series::add);
        series.addAll(parallel);
        return series;
    }

    private SpotMark beside(Place place) {
        Box box = box(place);
        return new SpotMark(
                new Spot.Around(place, place.item()), new Point(middle(box) + ASIDE, box.y() + box.height() / 2));
    }

    private SpotMark below(Place last) {
        Box box = box(last);
        return new SpotMark(new Spot.InSeries(last, true), new Point(middle(box), box.y() + box.height() + BESIDE));
    }

    private Box box(Place place) {
        return drawing.boxOf(place).orElseThrow();
    }

    private List<Place> drawn(int rung) {
        return IntStream.range(0, sheet.power().get(rung).items().size())
                .mapToObj(item -> new Place(Circuit.POWER, rung, item))
                .filter(place -> sheet.power().get(rung).items().get(place.item()) instanceof RungItem.Passage
                        && drawing.boxOf(place).isPresent())
                .toList();
    }

    /** The place on the wire between two devices; two where a branch begins between them: on its supply side and on its load side. */
    private List<SpotMark> between(Optional<Place> before, Place place) {
        Box box = box(place);
        Spot.InSeries above = new Spot.InSeries(place, false);
        if (before.isEmpty()) {
            return List.of(new SpotMark(above, new Point(middle(box), box.y() - BESIDE)));
        }
        Box upper = box(before.get());
        double from = upper.y() + upper.height();
        double gap = box.y() - from;
        return branches(before.get(), place)
                ? List.of(
                        new SpotMark(new Spot.InSeries(before.get(), true), new Point(middle(box), from + gap / 6)),
                        new SpotMark(above, new Point(middle(box), box.y() - gap / 6)))
                : List.of(new SpotMark(above, new Point(middle(box), from + gap / 2)));
    }

    private boolean branches(Place one, Place other) {
        return sheet.power().get(one.rung()).items().subList(one.item() + 1, other.item()).stream()
                .anyMatch(point -> sheet.rungs()
                                .flatMap(Rung::points)
                                .filter(point::equals)
                                .count()
                        > 1);
    }

    private static double middle(Box box) {
        return box.x() + box.width() / 2;
    }

    /** Behind the columns of the lines that a place is in; empty if none is drawn. */
    Optional<Double> right(Spot spot) {
        return spot.selected()
                .flatMap(stretch -> PowerLines.at(sheet, stretch.at()))
                .flatMap(lines -> lines.at().stream()
                        .flatMap(place -> drawing.boxOf(place).stream())
                        .map(box -> box.x() + TEXTS)
                        .max(Double::compare));
    }
}
