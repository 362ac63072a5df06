package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.Sketches;
import parable.bench.Progress;

/** What claims say, and with what they are provided, word by word. */
class ClaimWordsTest {

    private static final String PAIRS = "Two pairs, one of them barred";
    private static final Map<String, Proof> PROOFS = new ConcurrentHashMap<>();

    private static Proof proof(String name) {
        return PROOFS.computeIfAbsent(
                name,
                any -> Proof.of(
                        Examples.fitted(Sketches.sheet("claims", name)),
                        Proof.Timing.WITHIN_TIMES,
                        Progress.UNWATCHED));
    }

    /** Each pair of contactors answers for itself, and a bar answers for a hand. */
    @ParameterizedTest
    @CsvSource({"never-together:K1:K2, false", "never-together:K3:K4, true", "no-short, true"})
    void onlyWhatNoInterlockBarsIsProvidedWithNoHand(String id, boolean hand) {
        Claim claim = proof(PAIRS).claim(id).orElseThrow();

        assertThat(claim.verdict().holds()).isTrue();
        assertThat(claim.provided().contains("no hand pushes in the armature of K3 or K4"))
                .isEqualTo(hand);
        assertThat(String.join(", ", claim.provided())).doesNotContain("K1 or K2");
    }

    /** That nothing is shorted needs no proviso that nothing is shorted; the others do. */
    @Test
    void noClaimIsProvidedWithItself() {
        assertThat(proof(PAIRS).claim("no-short").orElseThrow().provided())
                .noneMatch(condition -> condition.contains("shorted"));
        assertThat(proof(PAIRS).claim("dead:M2").orElseThrow().provided())
                .anyMatch(condition -> condition.startsWith("nothing is shorted first"));
    }

    /** How long a brake stays is a matter of its timer; where a finger keeps it, there is nothing to claim. */
    @Test
    void aBrakeWithoutATimerHasNoTime() {
        Proof byHand = proof("Braked while the stop is held");

        assertThat(byHand.claims()).extracting(Claim::id).noneMatch(id -> id.startsWith("brake:"));
        assertThat(byHand.claim("alone:K2").orElseThrow().text())
                .isEqualTo("While K2 alone is in, M1 is braked by direct current.");
        assertThat(byHand.claim("dead:M1").orElseThrow().verdict().holds()).isTrue();
    }
}
