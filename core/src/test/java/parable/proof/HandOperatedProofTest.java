package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;

/** What the proof says of motors that a drum switches: a field by itself drives none, and an exchanged winding turns it the other way. */
class HandOperatedProofTest {

    @ParameterizedTest
    @ValueSource(strings = {"Drum switch", "Single-phase drum", "DC drum"})
    void tellsOffForwardAndReverseApart(String name) throws PartException {
        Proof proof = Proof.of(
                Assembly.of(Library.jobs().stream()
                        .flatMap(job -> job.sheet(name).stream())
                        .findFirst()
                        .orElseThrow()),
                Proof.Timing.ANY,
                Progress.UNWATCHED);

        assertThat(text(proof, "untouched")).contains("no motor runs");
        assertThat(text(proof, "position:S1=forward")).contains("M1 runs forward");
        assertThat(text(proof, "position:S1=reverse")).contains("M1 runs in reverse");
        assertThat(proof.claim("dead:M1").orElseThrow().verdict()).isEqualTo(Verdict.HOLDS_AT_ANY_SPEED);
    }

    private static String text(Proof proof, String id) {
        return proof.claim(id).orElseThrow().text();
    }
}
