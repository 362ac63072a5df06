package parable.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.ColourCode;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.proof.Claim;
import parable.proof.Proof;
import parable.proof.Verdict;

/** Each mistake that the trade knows, in a file of its own with the right circuit beside it. */
class MistakesTest {

    @ParameterizedTest
    @CsvSource({
        "seal-in-forgotten, start-does-not-hold",
        "stops-in-parallel, stop-stops-nothing",
        "starts-in-series, starts-in-series",
        "seal-in-around-the-stop, stop-stops-nothing",
        "interlock-missing, interlock-missing",
        "interlock-from-the-same-contactor, interlock-missing",
        "interlock-from-the-same-contactor, comes-to-rest",
        "interlock-one-sided, interlock-one-sided",
        "mechanical-interlock-missing, mechanical-interlock-missing",
        "mechanical-interlock-missing, no-short",
        "phases-not-exchanged, same-direction",
        "phases-exchanged-twice, same-direction",
        "two-block-jog, jog-release-race",
        "two-block-jog, certain:S3",
        "overload-only-reports, trip-does-not-stop",
        "overload-only-reports, stops:F2",
        "overload-stops-by-its-open-contact, stops-by-open-contact",
        "estop-through-an-open-contact, stops-by-open-contact",
        "contact-behind-the-coil, contact-behind-coil",
        "coil-of-another-voltage, wrong-voltage",
        "alternating-coil-on-direct-supply, wrong-voltage",
        "supplies-joined, short-when-tried",
        "two-loads-in-series, too-little-voltage",
        "main-not-held-when-star-drops, start-does-not-hold",
        "timer-contacts-confused, nothing-starts",
        "timer-contacts-confused-with-direct-main, full-voltage-first",
        "timer-of-the-wrong-kind, never-pulls-in",
        "timer-of-the-wrong-kind, timer-function",
        "star-and-delta-together, no-short",
        "restart-not-declared, restarts-when-power-returns",
        "contact-used-twice, contact-used-twice",
        "start-button-red, operator-colour",
        "stop-button-green, operator-colour",
        "trip-lamp-green, lamp-colour",
        "overload-set-too-high, overload-setting",
        "changeover-taken-for-two-contacts, changeover-split",
        "changeover-the-wrong-way-round, changeover-common",
        "three-under-one-screw, three-conductors"
    })
    void isCaughtAndItsTwinIsNot(String mistake, String caughtBy) throws Exception {
        assertThat(raised(sheet(mistake, "wrong"))).contains(caughtBy);
        assertThat(raised(sheet(mistake, "right"))).isEmpty();
    }

    /** What is found, notes left out, and the claims that fail. */
    private static List<String> raised(Sheet sheet) {
        List<String> raised = new ArrayList<>();
        Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::code)
                .forEach(raised::add);
        Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED).claims().stream()
                .filter(claim -> claim.verdict() == Verdict.FAILS)
                .map(Claim::id)
                .forEach(raised::add);
        return raised;
    }

    private static Sheet sheet(String mistake, String name) throws IOException, JobFormatException {
        try (InputStream file = MistakesTest.class.getResourceAsStream("/mistakes/" + mistake + ".parable.json")) {
            String text = new String(file.readAllBytes(), StandardCharsets.UTF_8);
            return JobFile.read(text).sheet(name).orElseThrow();
        }
    }

    /** More contacts than a device has cannot even be opened. */
    @Test
    void aContactThatTheDeviceDoesNotHaveIsRefused() {
        String text = Examples.pressHouseText().replaceFirst("K1\\[13-14\\]", "K1[43-44]");

        assertThatThrownBy(() -> JobFile.read(text))
                .isInstanceOf(JobFormatException.class)
                .hasMessageContaining("43");
    }
}
