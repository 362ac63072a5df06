package parable.app.point;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Point;
import parable.offer.Spot;
import parable.parts.Assembly;

/** Where on a drawing the places are at which something can go. */
final class SpotMarks {

    /** From the middle of a contact down to where one points to put something in parallel; its name is above that. */
    private static final double BELOW = 46;

    /** From the symbol to the middle of a wire that leads to no other symbol. */
    private static final double BESIDE = 20;

    /** From the first symbol of a rung to the left of the rail. */
    private static final double BEFORE_RAIL = 62;

    private static final double HALF_A_ROW = 41;

    /** From the last symbol of a rung past one more column, the rail, and the remark beside it. */
    private static final double BEHIND_RAIL = 140;

    private static final double REMARK = 234;

    /**
     * A place and where it is.
     *
     * @param at in drawing units
     */
    record SpotMark(Spot spot, Point at) {
        double distance(double x, double y) {
            return Math.hypot(x - at.x(), y - at.y());
        }
    }

    private final Assembly assembly;
    private final Drawing drawing;
    private final PowerMarks power;

    SpotMarks(Assembly assembly, Drawing drawing) {
        this.assembly = assembly;
        this.drawing = drawing;
        power = new PowerMarks(assembly.sheet(), drawing);
    }

    /** The nearest place, empty if none is as near as this. */
    Optional<SpotMark> near(double x, double y, double within) {
        int rungs = assembly.sheet().control().size();
        List<SpotMark> marks = new ArrayList<>();
        drawing.rungsBetween(y - HALF_A_ROW, y + HALF_A_ROW).stream()
                .filter(rung -> rung < rungs)
                .forEach(rung -> marks.addAll(ofRung(rung)));
        return Stream.concat(marks.stream(), power.all())
                .filter(mark -> mark.distance(x, y) <= within)
                .min(Comparator.comparingDouble(mark -> mark.distance(x, y)));
    }

    /** The places beside one on the same rung, itself among them. */
    List<SpotMark> beside(Spot spot) {
        if (isPower(spot)) {
            return power.ofRung(rung(spot));
        }
        int rung = rung(spot);
        return rung < assembly.sheet().control().size() ? ofRung(rung) : List.of();
    }

    static boolean isPower(Spot spot) {
        return spot.selected()
                .filter(stretch -> stretch.at().circuit() == Circuit.POWER)
                .isPresent();
    }

    /** The rung that a place is on; of a new rung the one above it. */
    private static int rung(Spot spot) {
        return spot instanceof Spot.NewRung fresh
                ? Math.max(0, fresh.rung() - 1)
                : spot.selected().map(stretch -> stretch.at().rung()).orElse(0);
    }

    /** The places of a rung of the ladder from the line to the return, those in series first, then those in parallel, then the new rung below it. */
    List<SpotMark> ofRung(int rung) {
        List<RungItem> items = assembly.sheet().control().get(rung).items();
        List<SpotMark> marks = new ArrayList<>();
        List<SpotMark> parallel = new ArrayList<>();
        Optional<Box> before = Optional.empty();
        for (int item = 0; item < items.size(); item++) {
            Place place = new Place(Circuit.CONTROL, rung, item);
            Optional<Box> drawn = items.get(item) instanceof RungItem.Passage ? drawing.boxOf(place) : Optional.empty();
            if (drawn.isEmpty()) {
                continue;
            }
            Box box = drawn.get();
            double left =
                    before.map(one -> (one.x() + one.width() + box.x()) / 2).orElse(box.x() - BESIDE);
            marks.add(new SpotMark(new Spot.InSeries(place, false), new Point(left, middle(box))));
            if (!isLoad(items.get(item))) {
                Point below = new Point(box.x() + box.width() / 2, middle(box) + BELOW);
                parallel.add(new SpotMark(new Spot.Around(place, item), below));
                if (isLast(items, item)) {
                    Point behind = new Point(box.x() + box.width() + BESIDE, middle(box));
                    marks.add(new SpotMark(new Spot.InSeries(place, true), behind));
                }
            }
            before = drawn;
        }
        marks.addAll(parallel);
        ladderLeft().ifPresent(x -> first(rung)
                .ifPresent(box -> marks.add(new SpotMark(
                        new Spot.NewRung(rung + 1), new Point(x - BEFORE_RAIL, middle(box) + HALF_A_ROW)))));
        return marks;
    }

    /** The place around all that is between two wires of a rung; empty if they are on different rungs, or nothing is between them. */
    Optional<Spot> around(Spot one, Spot other) {
        if (!(one instanceof Spot.InSeries a)
                || !(other instanceof Spot.InSeries b)
                || a.at().circuit() != Circuit.CONTROL
                || b.at().circuit() != Circuit.CONTROL
                || a.at().rung() != b.at().rung()) {
            return Optional.empty();
        }
        List<RungItem> items = assembly.sheet().control().get(a.at().rung()).items();
        int[] between = IntStream.range(Math.min(behind(a), behind(b)), Math.max(behind(a), behind(b)))
                .filter(item -> items.get(item) instanceof RungItem.Passage)
                .toArray();
        boolean load = IntStream.of(between).anyMatch(item -> isLoad(items.get(item)));
        return between.length == 0 || load
                ? Optional.empty()
                : Optional.of(new Spot.Around(
                        new Place(Circuit.CONTROL, a.at().rung(), between[0]), between[between.length - 1]));
    }

    /** The first position on the rung that is behind a wire. */
    private static int behind(Spot.InSeries wire) {
        return wire.at().item() + (wire.after() ? 1 : 0);
    }

    /** Where a place is, empty if it is not drawn. */
    Optional<Point> at(Spot spot) {
        Optional<Point> drawn = beside(spot).stream()
                .filter(mark -> mark.spot().equals(spot))
                .map(SpotMark::at)
                .findFirst();
        return isPower(spot)
                ? drawn.or(() -> spot.selected()
                        .flatMap(stretch -> drawing.boxOf(stretch.at()))
                        .map(box -> new Point(box.x() + box.width() / 2, box.y() + box.height() / 2)))
                : drawn.or(() -> first(rung(spot)).map(box -> new Point(box.x(), middle(box) + HALF_A_ROW)));
    }

    /** Behind what must stay in view while something is chosen for a place: the ladder, or the lines of the power circuit. */
    Optional<Double> right(Spot spot) {
        return isPower(spot) ? power.right(spot) : ladderRight();
    }

    private static double middle(Box box) {
        return box.y() + box.height() / 2;
    }

    private static boolean isLast(List<RungItem> items, int item) {
        return items.stream().skip(item + 1L).noneMatch(RungItem.Passage.class::isInstance);
    }

    private boolean isLoad(RungItem item) {
        return item instanceof RungItem.Passage passage
                && assembly.part(passage.tag())
                        .flatMap(part -> part.loadBetween(passage.from(), passage.to()))
                        .isPresent();
    }

    private Optional<Box> first(int rung) {
        if (rung >= assembly.sheet().control().size()) {
            return Optional.empty();
        }
        List<RungItem> items = assembly.sheet().control().get(rung).items();
        for (int item = 0; item < items.size(); item++) {
            Optional<Box> box = drawing.boxOf(new Place(Circuit.CONTROL, rung, item));
            if (items.get(item) instanceof RungItem.Passage && box.isPresent()) {
                return box;
            }
        }
        return Optional.empty();
    }

    /** Behind the last symbols of all rungs and the words beside them; empty without a ladder. */
    private Optional<Double> ladderRight() {
        double right = Double.NEGATIVE_INFINITY;
        for (int rung = 0; rung < Math.min(20, assembly.sheet().control().size()); rung++) {
            boolean remarked = !assembly.sheet().control().get(rung).remark().isEmpty();
            List<RungItem> items = assembly.sheet().control().get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                Optional<Box> box = drawing.boxOf(new Place(Circuit.CONTROL, rung, item));
                right = Math.max(
                        right,
                        box.map(one -> one.x() + one.width() + (remarked ? REMARK : BEHIND_RAIL))
                                .orElse(right));
            }
        }
        return Double.isInfinite(right) ? Optional.empty() : Optional.of(right);
    }

    /** Of the first symbols of all rungs the one that is furthest to the left. */
    private Optional<Double> ladderLeft() {
        double left = Double.POSITIVE_INFINITY;
        for (int rung = 0; rung < Math.min(20, assembly.sheet().control().size()); rung++) {
            left = Math.min(left, first(rung).map(Box::x).orElse(left));
        }
        return Double.isInfinite(left) ? Optional.empty() : Optional.of(left);
    }
}
