package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;

class StatementTest {

    private static Claim proved(Sheet sheet, String sentence) {
        Proof proof = Proof.of(
                Examples.fitted(sheet.withClaims(List.of(sentence))), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);
        return proof.claims().stream()
                .filter(claim -> claim.id().startsWith("own:"))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Mill           | KY and KD are never in together.           | At no instant KY is in and KD is in.",
                "Mill           | P1 lit only while M1 turns                 | Once all has settled, if P1 is on, then M1 is fed.",
                "Mill           | P1 is lit exactly while KM is in           | Once all has settled, P1 is on exactly when KM is in.",
                "Mill           | KM in, or KD in, only while M1 runs        | Once all has settled, if KM is in or KD is in, then M1 is fed.",
                "Mill           | M1 never runs in reverse                   | At no instant M1 is fed in reverse.",
                "Mill           | KY, KD and KM are never in together        | At no instant two of these: KY is in, KD is in, KM is in.",
                "Mill           | ky never in while kd in                    | At no instant KY is in while KD is in.",
                "Mill           | KM in whenever M1 runs or KD is in         | Once all has settled, if M1 is fed or KD is in, then KM is in.",
                "Mill           | At every instant KD in only when KM and KT are in | At every instant, if KD is in, then KM is in and KT is in.",
                "Mill           | M1 runs only if there is power and S4 is not hit | Once all has settled, if M1 is fed, then there is power and it is not so that S4 is held."
            })
    void readsPlainSentences(String sheet, String sentence, String reading) throws StatementException {
        assertThat(Statement.read(sentence, Examples.fitted(Examples.ofLibrary(sheet)))
                        .reading())
                .isEqualTo(reading);
    }

    @Test
    void theExamplesCanBeRead() throws StatementException {
        int read = 0;
        for (Sheet sheet : Examples.sheets().toList()) {
            for (String example : Statement.examples(Examples.fitted(sheet))) {
                assertThat(Statement.read(example, Examples.fitted(sheet)).text())
                        .isEqualTo(example);
                read++;
            }
        }
        assertThat(read).isGreaterThan(50);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "K9 never in while KY in   | 0  | K9: the sheet has no such device",
                "KY never lit              | 9  | KY: \"lit\" cannot be said of it; expected one of in, out.",
                "KY and KD in              | 12 | It says nothing of when",
                "KY in while KD out        | 6  | \"while\" alone is not clear",
                "KY and KD or KM never in  | 10 | \"and\" and \"or\" between devices",
                "KY in only while M1 never runs | 20 | \"never\" stands before while",
                "P1 lit only while         | 17 | Nothing is said there",
                "P1 only while KY in       | 3  | P1: it is not said how it stands"
            })
    void saysWhatItDoesNotUnderstandAndWhere(String sentence, int at, String message) {
        Assembly mill = Examples.fitted(Examples.ofLibrary("Mill"));

        assertThatThrownBy(() -> Statement.read(sentence, mill))
                .isInstanceOfSatisfying(StatementException.class, trouble -> assertThat(trouble.at())
                        .isEqualTo(at))
                .hasMessageStartingWith(message);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Mill          | KY and KD never in together             | HOLDS_AT_ANY_SPEED",
                "Mill          | P1 lit exactly while KM in              | HOLDS_AT_ANY_SPEED",
                "Mill          | KM and KD never in together             | FAILS",
                "Mill          | M1 never runs in reverse                | HOLDS_AT_ANY_SPEED",
                "Mill          | KY in whenever KM in                    | FAILS",
                "Press platen  | M1 never runs in reverse                | FAILS",
                "Press platen  | K1 and K2 never in together             | HOLDS_AT_ANY_SPEED",
                "Press platen  | M1 turns only while K1 or K2 in         | HOLDS_AT_ANY_SPEED",
                "Press platen  | M1 turns only while S0 is not held      | HOLDS_AT_ANY_SPEED",
                "Press platen  | M1 turns only while S1 held             | FAILS",
                "Press platen  | M1 never runs forward                   | FAILS",
                "Wash pump     | K1 out whenever F2 tripped              | HOLDS_AT_ANY_SPEED",
                "Wash pump     | K1 in only while F2 healthy             | HOLDS_AT_ANY_SPEED",
                "Wash pump     | K1 in whenever F2 healthy               | FAILS",
                "Wash pump     | K1 in only while F2 tripped             | FAILS",
                "Mill          | P1 off whenever KM out                  | HOLDS_AT_ANY_SPEED",
                "Mill          | P1 off whenever KM in                   | FAILS",
                "Juice separator | M1 braked only while K2 in            | HOLDS_AT_ANY_SPEED",
                "Juice separator | M1 never braked                       | FAILS",
                "Press platen  | Z1 never lit                            | UNFINISHED"
            })
    void provesWhatIsClaimed(String sheet, String sentence, Verdict verdict) {
        Claim claim = proved(Examples.ofLibrary(sheet), sentence);

        assertThat(claim.verdict()).as(claim.text() + claim.story()).isEqualTo(verdict);
        assertThat(claim.refutation().isPresent()).isEqualTo(verdict == Verdict.FAILS);
    }

    @Test
    void aClaimAboutTwoCircuitsIsProvedOnBothTogether() {
        Sheet two = IndependentPartsTest.starters(2, false);

        assertThat(proved(two, "K1 and K2 never in together").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(proved(two, "K1 in only while M1 turns").verdict()).isEqualTo(Verdict.HOLDS_AT_ANY_SPEED);
    }

    @Test
    void staysInTheFileAndFollowsARenamedDevice() throws JobFormatException {
        Sheet sheet = Examples.ofLibrary("Mill").withClaims(List.of("KY and KD are never in together."));
        Job job = new Job("Mill house", Practice.IEC, List.of(sheet.retagged(Map.of("KY", "K7"))), Extras.NONE);

        Job read = JobFile.read(JobFile.text(job));

        assertThat(read.sheets().get(0).claims()).containsExactly("K7 and KD are never in together.");
        assertThat(read).isEqualTo(job);
    }
}
