package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Progress;
import parable.check.Check;
import parable.check.Finding;
import parable.check.Severity;
import parable.circuit.ColourCode;
import parable.circuit.Job;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.proof.Equivalence;
import parable.proof.Proof;
import parable.proof.Verdict;

/** Each typical mistake with a controller, in a file of its own: the relays, the program with the mistake, and the right one. */
class ProgramMistakesTest {

    private static Assembly sheet(String mistake, String name) throws Exception {
        try (InputStream file =
                ProgramMistakesTest.class.getResourceAsStream("/mistakes/" + mistake + ".parable.json")) {
            Job job = JobFile.read(new String(file.readAllBytes(), StandardCharsets.UTF_8));
            return Examples.fitted(job.sheet(name).orElseThrow());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "plc-stop-read-closed, plc-rest-reads-as-pressed, no motor runs",
        "plc-seal-in-around-the-stop, plc-seal-around-stop, M1 runs forward",
        "plc-interlock-in-the-program, plc-interlock-only-in-program, something is shorted",
        "plc-output-twice, plc-output-twice, M1 runs forward",
        "plc-feedback-inverted, plc-feedback-inverted, it may never come to rest"
    })
    void isNamedByItsRuleAndRefutedByAStory(String mistake, String rule, String instead) throws Exception {
        Equivalence wrong = Equivalence.of(sheet(mistake, "relays"), sheet(mistake, "wrong"), Progress.UNWATCHED);
        Equivalence right = Equivalence.of(sheet(mistake, "relays"), sheet(mistake, "right"), Progress.UNWATCHED);

        assertThat(Check.of(sheet(mistake, "wrong"), ColourCode.EITHER))
                .extracting(Finding::code)
                .contains(rule);
        assertThat(Check.of(sheet(mistake, "right"), ColourCode.EITHER))
                .filteredOn(finding -> finding.severity() != Severity.NOTE)
                .isEmpty();
        assertThat(wrong.verdict()).isEqualTo(Equivalence.Answer.DIFFERENT);
        assertThat(wrong.difference().orElseThrow().other()).startsWith(instead);
        assertThat(wrong.difference().orElseThrow().shownByOther().story()).isNotEmpty();
        assertThat(right.verdict()).isEqualTo(Equivalence.Answer.EQUIVALENT);
    }

    /** An E-stop in the program behaves the same as long as the controller is sound: only the rule tells. */
    @Test
    void anEmergencyStopInTheProgramIsADanger() throws Exception {
        assertThat(Check.of(sheet("plc-emergency-stop-in-the-program", "wrong"), ColourCode.EITHER))
                .extracting(Finding::code)
                .contains("plc-estop-only-in-program");
        assertThat(Check.of(sheet("plc-emergency-stop-in-the-program", "right"), ColourCode.EITHER))
                .extracting(Finding::code)
                .doesNotContain("plc-estop-only-in-program");
    }

    @ParameterizedTest
    @CsvSource({"plc-stop-read-closed, stops:S0", "plc-seal-in-around-the-stop, stops:S0", "plc-output-twice, stops:S0"
    })
    void failsAClaimOfItsOwn(String mistake, String claim) throws Exception {
        Proof proof = Proof.of(sheet(mistake, "wrong"), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);

        assertThat(proof.claim(claim).orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
        assertThat(proof.claim(claim).orElseThrow().story()).isNotEmpty();
    }

    /** With the interlock in the program alone the slow contactor meets the quick one, within the stated times. */
    @Test
    @Tag("long")
    void theInterlockInTheProgramAloneShortsTheLinesWithinTheStatedTimes() throws Exception {
        Proof proof =
                Proof.of(sheet("plc-interlock-in-the-program", "wrong"), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);

        assertThat(proof.claim("no-short").orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    }
}
