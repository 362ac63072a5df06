package parable.training;

import java.util.Objects;

/**
 * A task as somebody did it.
 *
 * @param learner who
 * @param task its id
 * @param seed what was hidden by level
 * @param on when it ended, by ISO 8601
 * @param score what came of it
 * @param bestLooks how many looks the shortest way takes
 * @param bestMinutes and how long
 */
public record Attempt(
        String learner, String task, long seed, String on, Score score, int bestLooks, double bestMinutes) {

    public Attempt {
        Objects.requireNonNull(learner, "learner");
        Objects.requireNonNull(task, "task");
        Objects.requireNonNull(on, "on");
        Objects.requireNonNull(score, "score");
    }
}
