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

    private static final String SHORTED_FIRST =
            "nothing is shorted first: what lies behind the short circuit was not looked at";

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
                .contains("Holds, if " + SHORTED_FIRST);
        assertThat(told(Examples.ofLibrary("Electrical interlock only"), "comes-to-rest"))
                .contains("Holds within the stated times, if " + SHORTED_FIRST);
    }

    @Test
    void allThatIsLeftOutIsTold() {
        assertThat(told(Sketches.sheet("truth", "7b Two supplies without interlock"), "comes-to-rest"))
                .contains("Holds, if " + SHORTED_FIRST + ", and if supplies and breakers are away one at a time");
    }
}
