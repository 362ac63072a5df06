package parable.scenario;

import java.util.Optional;

/**
 * What became of an expectation.
 *
 * @param step the expectation and its place in the script
 * @param foundInstead empty if it was met
 */
public record Outcome(Step.Expect step, Optional<String> foundInstead) {

    /** Whether it was met. */
    public boolean met() {
        return foundInstead.isEmpty();
    }
}
