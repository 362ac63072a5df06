package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Sketches;
import parable.bench.Progress;
import parable.circuit.ColourCode;
import parable.proof.Claim;
import parable.proof.Proof;

/** Circuits that every electrician calls sound, each with the reason why it is: neither rules nor proof may say anything else. */
class SoundCircuitsTest {

    static Stream<Sketches.Sketch> sound() {
        return Sketches.in("sound");
    }

    @ParameterizedTest
    @MethodSource("sound")
    void raisesNothing(Sketches.Sketch circuit) {
        assertThat(circuit.why()).isNotBlank();
        List<String> wrong = Check.of(Examples.fitted(circuit.sheet()), ColourCode.EITHER).stream()
                .filter(finding -> finding.severity().isWrong())
                .map(finding -> finding.code() + ": " + finding.text())
                .toList();
        Proof proof = Proof.of(Examples.fitted(circuit.sheet()), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);
        List<String> broken = proof.claims().stream()
                .filter(claim -> !claim.verdict().holds())
                .filter(claim ->
                        claim.sort() == Claim.Sort.REQUIREMENT || claim.story().isEmpty())
                .map(claim -> claim.id() + " " + claim.verdict() + " " + claim.story())
                .toList();

        assertThat(wrong).isEmpty();
        assertThat(broken).isEmpty();
        assertThat(proof.complete()).isTrue();
    }
}
