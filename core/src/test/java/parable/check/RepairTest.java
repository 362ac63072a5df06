package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.proof.Proof;

/** What is offered to mend a finding: an ordinary change of the sheet after which the finding is gone and none has come. */
class RepairTest {

    @ParameterizedTest
    @CsvSource({
        "seal-in-forgotten, start-does-not-hold",
        "interlock-missing, interlock-missing",
        "interlock-one-sided, interlock-one-sided",
        "mechanical-interlock-missing, mechanical-interlock-missing",
        "timer-of-the-wrong-kind, timer-function"
    })
    void mendsWhatWasFound(String mistake, String code) throws Exception {
        Sheet wrong = sheet(mistake);
        List<Finding> findings = Check.of(Examples.fitted(wrong), ColourCode.EITHER);
        Finding finding = findings.stream()
                .filter(one -> one.code().equals(code))
                .findFirst()
                .orElseThrow();

        Repair repair = Repair.of(Examples.fitted(wrong), finding, findings, Conventions.of(Practice.IEC), () -> false)
                .orElseThrow();

        assertThat(Check.of(Examples.fitted(repair.sheet()), ColourCode.EITHER))
                .noneMatch(found -> found.severity() != Severity.NOTE);
        assertThat(Proof.of(Examples.fitted(repair.sheet()), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED)
                        .claims())
                .allMatch(claim -> claim.verdict().holds());
        assertThat(repair.words()).endsWith(".");
    }

    /** Where only the electrician can know what was meant, nothing is offered. */
    @ParameterizedTest
    @CsvSource({"phases-not-exchanged", "two-loads-in-series", "stops-in-parallel", "contact-behind-the-coil"})
    void offersNothingWhereItCouldNotKnow(String mistake) throws Exception {
        Sheet wrong = sheet(mistake);
        List<Finding> findings = Check.of(Examples.fitted(wrong), ColourCode.EITHER);

        assertThat(findings).isNotEmpty();
        assertThat(findings).allMatch(finding -> Repair.of(
                        Examples.fitted(wrong), finding, findings, Conventions.of(Practice.IEC), () -> false)
                .equals(Optional.empty()));
    }

    private static Sheet sheet(String mistake) throws Exception {
        try (var file = RepairTest.class.getResourceAsStream("/mistakes/" + mistake + ".parable.json")) {
            return JobFile.read(new String(file.readAllBytes(), StandardCharsets.UTF_8))
                    .sheet("wrong")
                    .orElseThrow();
        }
    }
}
