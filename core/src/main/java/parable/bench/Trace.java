package parable.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.function.ToLongFunction;

/** What motors and overload releases have done: a sample at every event and every few milliseconds while a speed changes. */
final class Trace {

    private static final long EVERY = 5_000;

    /** By the positions of their parts; so are the releases. Most parts are neither. */
    private final List<List<Sample>> motors;

    private final List<List<Warmth>> releases;

    /** An empty trace for so many parts. */
    Trace(int parts) {
        motors = new ArrayList<>(Collections.nCopies(parts, List.of()));
        releases = new ArrayList<>(Collections.nCopies(parts, List.of()));
    }

    /** Adds the present of a motor; between events only if the last sample is old enough. */
    void add(int motor, Sample sample, boolean event) {
        List<Sample> of = begun(motors, motor);
        if (event || of.isEmpty() || sample.time() - of.get(of.size() - 1).time() >= EVERY) {
            of.add(sample);
        }
    }

    /** Adds the present of an overload release; between events only if the last one is old enough. */
    void add(int release, Warmth warmth, boolean event) {
        List<Warmth> of = begun(releases, release);
        if (event || of.isEmpty() || warmth.time() - of.get(of.size() - 1).time() >= EVERY) {
            of.add(warmth);
        }
    }

    private static <T> List<T> begun(List<List<T>> all, int part) {
        List<T> samples = all.get(part);
        if (samples.isEmpty()) {
            samples = new ArrayList<>();
            all.set(part, samples);
        }
        return samples;
    }

    /**
     * Takes over what another trace holds.
     *
     * @param positions gives the position of a part here for the one it has there; less than 0 for one that is gone
     */
    void takeOver(Trace other, IntUnaryOperator positions) {
        takeOver(other.motors, motors, positions);
        takeOver(other.releases, releases, positions);
    }

    private static <T> void takeOver(List<List<T>> others, List<List<T>> own, IntUnaryOperator positions) {
        for (int from = 0; from < others.size(); from++) {
            int to = others.get(from).isEmpty() ? -1 : positions.applyAsInt(from);
            if (to >= 0) {
                begun(own, to).addAll(others.get(from));
            }
        }
    }

    /** Forgets what came after a time. */
    void cutAfter(long time) {
        motors.forEach(of -> cutAfter(of, Sample::time, time));
        releases.forEach(of -> cutAfter(of, Warmth::time, time));
    }

    private static <T> void cutAfter(List<T> samples, ToLongFunction<T> timeOf, long time) {
        int kept = samples.size();
        while (kept > 0 && timeOf.applyAsLong(samples.get(kept - 1)) > time) {
            kept--;
        }
        if (kept < samples.size()) {
            samples.subList(kept, samples.size()).clear();
        }
    }

    /** Forgets what was over before a time; the last sample before it is kept. */
    void cutBefore(long time) {
        motors.forEach(of -> cutBefore(of, Sample::time, time));
        releases.forEach(of -> cutBefore(of, Warmth::time, time));
    }

    private static <T> void cutBefore(List<T> samples, ToLongFunction<T> timeOf, long time) {
        int gone = indexAt(samples, timeOf, time);
        if (gone > 0) {
            samples.subList(0, gone).clear();
        }
    }

    /** How many samples are kept, of all parts together. */
    long size() {
        return motors.stream().mapToLong(List::size).sum()
                + releases.stream().mapToLong(List::size).sum();
    }

    /** The samples of a motor in the order of time. */
    List<Sample> of(int motor) {
        return Collections.unmodifiableList(motors.get(motor));
    }

    /** The last sample of a motor at or before a time, the first if there is none; empty for what is no motor. */
    Optional<Sample> motorAt(int motor, long time) {
        return at(motors.get(motor), Sample::time, time);
    }

    /** The last warmth of a release at or before a time, the first if there is none; empty for what has no release. */
    Optional<Warmth> releaseAt(int release, long time) {
        return at(releases.get(release), Warmth::time, time);
    }

    private static <T> Optional<T> at(List<T> samples, ToLongFunction<T> timeOf, long time) {
        return samples.isEmpty() ? Optional.empty() : Optional.of(samples.get(indexAt(samples, timeOf, time)));
    }

    private static <T> int indexAt(List<T> samples, ToLongFunction<T> timeOf, long time) {
        int low = 0;
        int high = Math.max(0, samples.size() - 1);
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (timeOf.applyAsLong(samples.get(middle)) <= time) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
