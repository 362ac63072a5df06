package parable.timing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import parable.bench.Bench;
import parable.bench.Pace;
import parable.parts.TimeRange;
import parable.reach.CircuitMachine;

/**
 * How long something takes at the least and at the most within the stated times, measured on the bench. Each duration is a sum and
 * difference of times as long as things happen in the same order; so it is shortest and longest where each of the times is at one of its
 * ends, and which end that is, shows by moving one time after the other. That the order stays is looked at in every run, and in further
 * runs in which one device is slow and all others are fast, and the other way round.
 */
public final class Corners {

    private final Replay replay;
    private final Set<String> telling;
    private final List<CircuitMachine.Move> hands;
    private final List<Long> times;
    private final long until;

    /** A time that may be longer or shorter: of one device, of one kind of change. */
    private record Key(String tag, Pace.Change change) {}

    /**
     * What was measured in one run.
     *
     * @param order what happened in which order, the same for all runs that can be compared
     * @param durations in microseconds, in an order of their own
     * @param flaw the instant at which the run shows that what is claimed is not so, empty if it does not
     */
    public record Measured(String order, List<Long> durations, Optional<Long> flaw) {
        public Measured {
            durations = List.copyOf(durations);
        }
    }

    /** What all runs together show. */
    public sealed interface Result {

        /** So long each duration is at the least and at the most, and the devices whose times matter for that. */
        record Within(List<Long> least, List<Long> most, Set<String> tags) implements Result {}

        /** One of the runs shows that what is claimed is not so. */
        record Flawed(Refutation refutation) implements Result {}

        /** The order of events is not always the same, so that nothing can be said. */
        record Open() implements Result {}
    }

    /** A run with some times at an end of their range. */
    private record Run(Measured measured, Optional<Refutation> flawed) {}

    /**
     * Measures a script.
     *
     * @param telling what only lights lamps and sounds horns, so that its times move nothing
     * @param hands what hands do
     * @param times when, in microseconds
     * @param until when a run ends, in microseconds
     */
    public Corners(Replay replay, Set<String> telling, List<CircuitMachine.Move> hands, List<Long> times, long until) {
        this.replay = replay;
        this.telling = Set.copyOf(telling);
        this.hands = List.copyOf(hands);
        this.times = List.copyOf(times);
        this.until = until;
    }

    /** Measures at all ends that matter. */
    public Result of(Function<Bench, Measured> measure) {
        Set<Key> keys = new LinkedHashSet<>();
        Run nominal = run(measure, (tag, change, now, range) -> {
            if (range.shortest() < range.longest() && !telling.contains(tag)) {
                keys.add(new Key(tag, change));
            }
            return range.nominal();
        });
        int count = nominal.measured().durations().size();
        long[][] least = new long[2][count];
        Set<String> tags = new LinkedHashSet<>();
        List<Map<Key, Boolean>> corners = new ArrayList<>();
        for (int corner = 0; corner < 2 * count; corner++) {
            corners.add(new LinkedHashMap<>());
        }
        if (nominal.flawed().isPresent()) {
            return new Result.Flawed(nominal.flawed().get());
        }
        for (Map<Key, Boolean> corner : races(keys)) {
            Optional<Result> trouble = trouble(nominal, run(measure, at(corner)));
            if (trouble.isPresent()) {
                return trouble.get();
            }
        }
        for (Key key : keys) {
            Run low = run(measure, at(Map.of(key, false)));
            Run high = run(measure, at(Map.of(key, true)));
            Optional<Result> trouble = trouble(nominal, low).or(() -> trouble(nominal, high));
            if (trouble.isPresent()) {
                return trouble.get();
            }
            for (int d = 0; d < count; d++) {
                long grows = high.measured().durations().get(d)
                        - low.measured().durations().get(d);
                if (grows != 0) {
                    tags.add(key.tag());
                    corners.get(2 * d).put(key, grows < 0);
                    corners.get(2 * d + 1).put(key, grows > 0);
                }
            }
        }
        for (int corner = 0; corner < 2 * count; corner++) {
            Run run = run(measure, at(corners.get(corner)));
            Optional<Result> trouble = trouble(nominal, run);
            if (trouble.isPresent()) {
                return trouble.get();
            }
            least[corner % 2][corner / 2] = run.measured().durations().get(corner / 2);
        }
        return new Result.Within(boxed(least[0]), boxed(least[1]), tags);
    }

    /** All slow, all fast, each device slow while the others are fast, and the other way round. */
    private static List<Map<Key, Boolean>> races(Set<Key> keys) {
        Set<String> tags = new LinkedHashSet<>(List.of(""));
        keys.forEach(key -> tags.add(key.tag()));
        List<Map<Key, Boolean>> races = new ArrayList<>();
        for (String tag : tags) {
            for (boolean slow : new boolean[] {true, false}) {
                Map<Key, Boolean> race = new LinkedHashMap<>();
                keys.forEach(key -> race.put(key, key.tag().equals(tag) == slow));
                races.add(race);
            }
        }
        return races;
    }

    private static List<Long> boxed(long[] durations) {
        return Arrays.stream(durations).boxed().toList();
    }

    private static Optional<Result> trouble(Run nominal, Run run) {
        if (run.flawed().isPresent()) {
            return run.flawed().map(Result.Flawed::new);
        }
        boolean comparable = run.measured().order().equals(nominal.measured().order());
        return comparable ? Optional.empty() : Optional.of(new Result.Open());
    }

    private Run run(Function<Bench, Measured> measure, Pace pace) {
        Bench bench = replay.playFromRest(hands, times, pace, until);
        Measured measured = measure.apply(bench);
        return new Run(
                measured, measured.flaw().map(instant -> replay.shown(bench, instant, Pace.from(times.get(0), pace))));
    }

    private static Pace at(Map<Key, Boolean> ends) {
        return (tag, change, now, range) -> end(ends, new Key(tag, change), range);
    }

    private static long end(Map<Key, Boolean> ends, Key key, TimeRange range) {
        if (!ends.containsKey(key)) {
            return range.nominal();
        }
        return ends.get(key) ? range.longest() : range.shortest();
    }
}
