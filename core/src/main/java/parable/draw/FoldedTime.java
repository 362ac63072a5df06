package parable.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * Time as it is laid out on a strip: a stretch in which nothing happens takes no more room than a given one, so that what happened stays together. All
 * times are in microseconds from the start of the run.
 */
public final class FoldedTime {

    private final List<Fold> folds;

    /**
     * A stretch that is folded.
     *
     * @param from where it begins, after the room that it keeps
     * @param cut how much of it is not laid out
     */
    public record Fold(double from, double cut) {}

    private FoldedTime(List<Fold> folds) {
        this.folds = List.copyOf(folds);
    }

    /** Time with nothing folded. */
    public static FoldedTime plain() {
        return new FoldedTime(List.of());
    }

    /**
     * Time in which something happened now and then.
     *
     * @param happened when something happened, ascending
     * @param end the present
     * @param kept how much of a stretch in which nothing happens is laid out, positive
     * @param least the shortest stretch of which some is cut; what would save less is left whole
     */
    public static FoldedTime of(List<Long> happened, double end, double kept, double least) {
        List<Fold> folds = new ArrayList<>();
        double before = 0;
        for (double at : happened) {
            fold(folds, before, at, kept, least);
            before = Math.max(before, at);
        }
        fold(folds, before, end, kept, least);
        return new FoldedTime(folds);
    }

    private static void fold(List<Fold> folds, double from, double to, double kept, double least) {
        if (to - from > Math.max(least, kept)) {
            folds.add(new Fold(from + kept, to - from - kept));
        }
    }

    /** What is folded, from the first on. */
    public List<Fold> folds() {
        return folds;
    }

    /** How much is laid out up to a time; a time within a fold is where the fold is. */
    public double laid(double time) {
        double laid = time;
        for (Fold fold : folds) {
            if (time <= fold.from()) {
                break;
            }
            laid -= Math.min(fold.cut(), time - fold.from());
        }
        return laid;
    }

    /** The time up to which so much is laid out; at a fold the end of it, where something happened again. */
    public double time(double laid) {
        double time = laid;
        for (Fold fold : folds) {
            if (time < fold.from()) {
                break;
            }
            time += fold.cut();
        }
        return time;
    }
}
