package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Sketches;
import parable.bench.Progress;
import parable.circuit.ColourCode;
import parable.circuit.Sheet;
import parable.proof.Proof;

/** What a proof once passed, or said of one state only: each circuit raises what its file says, its twin raises nothing. */
class TruthTest {

    static Stream<Sketches.Sketch> circuits() {
        return Sketches.in("truth");
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void raisesWhatIsWrongAndNothingElse(Sketches.Sketch circuit) {
        List<String> raised = raised(circuit.sheet(), circuit.raises().isEmpty());

        if (circuit.raises().isEmpty()) {
            assertThat(raised).isEmpty();
        } else {
            assertThat(circuit.raises())
                    .allSatisfy(expected -> assertThat(raised).anyMatch(found -> found.startsWith(expected)));
        }
    }

    /** The claims that do not hold, and the rules that speak; of a sound circuit only dangers and errors. */
    private static List<String> raised(Sheet sheet, boolean onlyWrong) {
        List<String> raised = new ArrayList<>();
        Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                .filter(finding -> finding.severity().isWrong() || !onlyWrong && finding.severity() == Severity.WARNING)
                .map(Finding::code)
                .forEach(raised::add);
        Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED).claims().stream()
                .filter(claim -> !claim.verdict().holds())
                .map(claim -> claim.id() + " " + claim.verdict() + " " + claim.story())
                .forEach(raised::add);
        return raised;
    }
}
