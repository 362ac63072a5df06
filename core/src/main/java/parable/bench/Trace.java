package parable.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.function.ToLongFunction;

/** What motors and overload releases have done: a sample at every event and every few milliseconds while a speed changes. */
final class Trace {

    private static final long EVERY = 5_000;

    /** By the positions of their parts; so are the releases. Most parts are neither. */
    private final Map<Integer, List<Sample>> motors = new HashMap<>();

    private final Map<Integer, List<Warmth>> releases = new HashMap<>();

    /** Adds the present of a motor; between events only if the last sample is old enough. */
    void add(int motor, Sample sample, boolean event) {
        List<Sample> of = motors.computeIfAbsent(motor, any -> new ArrayList<>());
        if (event || of.isEmpty() || sample.time() - of.get(of.size() - 1).time() >= EVERY) {
            of.add(sample);
        }
    }

    /** Adds the present of an overload release; between events only if the last one is old enough. */
    void add(int release, Warmth warmth, boolean event) {
        List<Warmth> of = releases.computeIfAbsent(release, any -> new ArrayList<>());
        if (event || of.isEmpty() || warmth.time() - of.get(of.size() - 1).time() >= EVERY) {
            of.add(warmth);
        }
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

    private static <T> void takeOver(
            Map<Integer, List<T>> others, Map<Integer, List<T>> own, IntUnaryOperator positions) {
        others.forEach((from, samples) -> {
            int to = positions.applyAsInt(from);
            if (to >= 0) {
                own.computeIfAbsent(to, any -> new ArrayList<>()).addAll(samples);
            }
        });
    }

    /** Forgets what came after a time. */
    void cutAfter(long time) {
        motors.values().forEach(of -> cutAfter(of, Sample::time, time));
        releases.values().forEach(of -> cutAfter(of, Warmth::time, time));
    }

    private static <T> void cutAfter(List<T> samples, ToLongFunction<T> timeOf, long time) {
        int kept = samples.size();
        while (kept > 0 && timeOf.applyAsLong(samples.get(kept - 1)) > time) {
            kept--;
        }
        samples.subList(kept, samples.size()).clear();
    }

    /** Forgets what was over before a time; the last sample before it is kept. */
    void cutBefore(long time) {
        motors.values()
                .forEach(of -> of.subList(0, indexAt(of, Sample::time, time)).clear());
        releases.values()
                .forEach(of -> of.subList(0, indexAt(of, Warmth::time, time)).clear());
    }

    /** How many samples are kept, of all parts together. */
    long size() {
        return motors.values().stream().mapToLong(List::size).sum()
                + releases.values().stream().mapToLong(List::size).sum();
    }

    /** The samples of a motor in the order of time. */
    List<Sample> of(int motor) {
        return Collections.unmodifiableList(motors.getOrDefault(motor, List.of()));
    }

    /** The last sample of a motor at or before a time, the first if there is none; empty for what is no motor. */
    Optional<Sample> motorAt(int motor, long time) {
        return at(motors.getOrDefault(motor, List.of()), Sample::time, time);
    }

    /** The last warmth of a release at or before a time, the first if there is none; empty for what has no release. */
    Optional<Warmth> releaseAt(int release, long time) {
        return at(releases.getOrDefault(release, List.of()), Warmth::time, time);
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
