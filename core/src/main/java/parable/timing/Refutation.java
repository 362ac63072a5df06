package parable.timing;

import java.util.List;
import parable.bench.Pace;
import parable.scenario.Scenario;

/**
 * How the bench has shown that a claim fails.
 *
 * @param script what hands do, from a bench at time 0
 * @param instant when the claim is broken, in microseconds
 * @param story what happens until then, line by line
 * @param pace the times that the changes take
 */
public record Refutation(Scenario script, long instant, List<String> story, Pace pace) {

    /** Not modified: the list is copied. */
    public Refutation {
        story = List.copyOf(story);
    }

    /** Whether nothing more is done than to switch on. */
    public boolean isAtOnce() {
        return script.steps().stream().allMatch(step -> step.time() == 0);
    }
}
