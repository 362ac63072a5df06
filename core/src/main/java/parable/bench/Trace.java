package parable.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What the motors of a run have done: a sample at every event and every few milliseconds while a speed changes. */
final class Trace {

    private static final long EVERY = 5_000;

    private final Map<Integer, List<Sample>> samples = new HashMap<>();

    /** Adds the present of a motor; between events only if the last sample is old enough. */
    void add(int motor, Sample sample, boolean event) {
        List<Sample> of = samples.computeIfAbsent(motor, any -> new ArrayList<>());
        if (event || of.isEmpty() || sample.time() - of.get(of.size() - 1).time() >= EVERY) {
            of.add(sample);
        }
    }

    /** Forgets what came after a time. */
    void cutAfter(long time) {
        samples.values().forEach(of -> of.removeIf(sample -> sample.time() > time));
    }

    /** The samples of a motor in the order of time. */
    List<Sample> of(int motor) {
        return Collections.unmodifiableList(samples.getOrDefault(motor, List.of()));
    }
}
