package parable.timing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import parable.parts.TimeRange;

/**
 * Times for the steps of a story that keep to all ranges: a system of bounds on differences, solved by the method of Bellman and Ford.
 */
final class Schedule {

    /** A time that something took: what a clock that began with one step showed when it was read at another. */
    record Taken(int part, Instant.Kind kind, int begun, int read, TimeRange range, boolean ranOut) {}

    private static final long SLACK = 2_000_000;

    /** The time of one step exceeds that of another by so much at the most. */
    private record Bound(int one, int other, long most) {}

    private record Clock(int part, Instant.Kind kind) {}

    private final List<Bound> bounds = new ArrayList<>();
    private final List<Taken> taken = new ArrayList<>();
    private final int steps;

    private Schedule(int steps) {
        this.steps = steps;
    }

    /** The bounds of a way; the step of number 0 is the beginning. */
    static Schedule of(List<Instant.Event> beginning, List<TimedSearch.TimedStep> way) {
        Schedule schedule = new Schedule(way.size() + 1);
        Map<Clock, Taken> running = new HashMap<>();
        for (int i = 0; i <= way.size(); i++) {
            if (i > 0) {
                schedule.bounds.add(new Bound(i - 1, i, 0));
            }
            for (Instant.Event event : i == 0 ? beginning : way.get(i - 1).events()) {
                schedule.take(event, i, running);
            }
        }
        int end = way.size();
        running.values().forEach(clock -> schedule.read(clock, end, false));
        return schedule;
    }

    private void take(Instant.Event event, int step, Map<Clock, Taken> running) {
        Clock clock = new Clock(event.part(), event.kind());
        switch (event.deed()) {
            case STARTED -> running.put(clock, new Taken(event.part(), event.kind(), step, step, event.range(), false));
            case STOPPED -> read(running.remove(clock), step, false);
            case RAN_OUT -> read(running.remove(clock), step, true);
            case TURNED -> running.put(new Clock(event.part(), Instant.Kind.TAKEN_BACK), running.remove(clock));
        }
    }

    private void read(Taken clock, int step, boolean ranOut) {
        Taken read = new Taken(clock.part(), clock.kind(), clock.begun(), step, clock.range(), ranOut);
        taken.add(read);
        bounds.add(new Bound(step, clock.begun(), clock.range().longest()));
        if (ranOut) {
            bounds.add(new Bound(clock.begun(), step, -clock.range().shortest()));
        }
    }

    /** What every clock showed that was begun. */
    List<Taken> taken() {
        return taken;
    }

    /** Times in microseconds for all steps, the first at 0, each as early as can be; empty if the ranges cannot all be kept. */
    Optional<long[]> earliest() {
        long[] times = new long[steps];
        return settles(times, bound -> {
                    long least = times[bound.one()] - bound.most();
                    boolean tighter = times[bound.other()] < least;
                    times[bound.other()] = Math.max(times[bound.other()], least);
                    return tighter;
                })
                ? Optional.of(times)
                : Optional.empty();
    }

    /** The same, each as late as can be, but none more than two seconds after the last of the earliest. */
    Optional<long[]> latest() {
        return earliest().flatMap(early -> {
            long[] times = new long[steps];
            Arrays.fill(times, early[steps - 1] + SLACK);
            times[0] = 0;
            return settles(times, bound -> {
                        long most = times[bound.other()] + bound.most();
                        boolean tighter = times[bound.one()] > most;
                        times[bound.one()] = Math.min(times[bound.one()], most);
                        return tighter;
                    })
                    ? Optional.of(times)
                    : Optional.empty();
        });
    }

    private boolean settles(long[] times, Predicate<Bound> tighten) {
        for (int round = 0; round <= steps; round++) {
            boolean tighter = false;
            for (Bound bound : bounds) {
                tighter |= tighten.test(bound);
            }
            if (!tighter) {
                return times[0] == 0;
            }
        }
        return false;
    }
}
