package parable.draw;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Some of the marks of a drawing. They are drawn when they are first asked for, for most of a long drawing is not in view; may be asked from any thread. */
final class Band {

    private final double top;
    private final double bottom;
    private final Optional<Integer> rung;
    private final Supplier<List<Mark>> pen;
    private Optional<List<Mark>> drawn = Optional.empty();

    private Band(double top, double bottom, Optional<Integer> rung, Supplier<List<Mark>> pen) {
        this.top = top;
        this.bottom = bottom;
        this.rung = rung;
        this.pen = pen;
    }

    /** Marks that are there already; not modified. */
    static Band of(List<Mark> marks) {
        List<Mark> all = List.copyOf(marks);
        return new Band(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, Optional.empty(), () -> all);
    }

    /**
     * The marks on a rung of the ladder, which alone hold what is on it.
     *
     * @param rung its position, 0 for the first
     * @param top none of them reaches above it
     * @param bottom none of them reaches below it
     * @param pen draws them
     */
    static Band ofRung(int rung, double top, double bottom, Supplier<List<Mark>> pen) {
        return new Band(top, bottom, Optional.of(rung), pen);
    }

    /** The rung of the ladder that it is of, empty if it is of none or of more. */
    Optional<Integer> rung() {
        return rung;
    }

    /** Whether any of it may be seen between two heights. */
    boolean reaches(double from, double to) {
        return bottom >= from && top <= to;
    }

    /** In the order they are drawn, the lowest first; the list cannot be changed. */
    synchronized List<Mark> marks() {
        if (drawn.isEmpty()) {
            drawn = Optional.of(List.copyOf(pen.get()));
        }
        return drawn.get();
    }
}
