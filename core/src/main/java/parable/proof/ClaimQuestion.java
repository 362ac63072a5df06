package parable.proof;

import java.util.Optional;
import java.util.function.Predicate;
import parable.bench.Moment;
import parable.timing.Replay;
import parable.timing.TimedSearch;

/**
 * A claim that something must not be, before anything is known of it.
 *
 * @param id the claim's id
 * @param text the claim in one sentence
 * @param broken the first state that breaks it at any speed, empty if none does
 * @param kind what breaks it
 * @param onBench the same, looked at on the bench
 * @param when which instants count
 */
record ClaimQuestion(
        String id,
        String text,
        Optional<Integer> broken,
        TimedSearch.Kind kind,
        Predicate<Moment> onBench,
        Replay.When when) {}
