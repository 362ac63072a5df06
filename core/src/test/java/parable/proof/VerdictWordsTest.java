package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.Sketches;
import parable.bench.Progress;
import parable.circuit.Sheet;

/** A verdict is told with what it leaves out, so that nobody reads more into it. */
class VerdictWordsTest {

    private static Optional<String> told(Sheet sheet, String id) {
        return Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED).claims().stream()
                .filter(claim -> claim.id().equals(id))
                .map(Claim::verdictWords)
                .findFirst();
    }

    @Test
    void whatHoldsWithoutMoreIsToldWithoutMore() {
        assertThat(told(Examples.washPump(), "stops:S0")).contains(Verdict.HOLDS_AT_ANY_SPEED.words());
    }

    @Test
    void whatIsProvedOnlyUntilAShortCircuitSaysSo() {
        assertThat(told(Sketches.sheet("times", "Kept apart by a timer alone"), "stops:F2"))
                .contains("Holds, if nothing is shorted first: what lies behind the short circuit was not looked at");
    }
}
