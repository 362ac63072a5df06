package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.program.StructuredText;

/** What the rules say of a controller's terminals and program; each change of a sound sheet brings one finding that it had not. */
class ControllerRulesTest {

    private static final RungNotation NOTATION = new RungNotation(Set.of("L", "N", "P", "M"));

    private static Sheet sound() throws Exception {
        try (InputStream file = ControllerRulesTest.class.getResourceAsStream(
                "/mistakes/plc-emergency-stop-in-the-program.parable.json")) {
            return JobFile.read(new String(file.readAllBytes(), StandardCharsets.UTF_8))
                    .sheet("right")
                    .orElseThrow();
        }
    }

    private static List<Finding> found(Sheet sheet, String code) {
        return Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                .filter(finding -> finding.code().equals(code))
                .toList();
    }

    /** The sheet with something else in the text of its program. */
    private static Sheet programmed(Sheet sheet, String before, String after) throws Exception {
        String text = StructuredText.write(sheet.program().orElseThrow());
        assertThat(text).contains(before);
        return sheet.withProgram(Optional.of(StructuredText.read(text.replace(before, after))));
    }

    private static Sheet rung(Sheet sheet, String beginning, String instead) throws Exception {
        Rung other = NOTATION.read(instead);
        List<Rung> rungs = sheet.control().stream()
                .map(rung -> rung.text().startsWith(beginning) ? other : rung)
                .toList();
        assertThat(rungs).contains(other);
        return sheet.withRungs(Circuit.CONTROL, rungs);
    }

    private static Sheet withoutRung(Sheet sheet, String beginning) {
        List<Rung> rungs = sheet.control().stream()
                .filter(rung -> !rung.text().startsWith(beginning))
                .toList();
        assertThat(rungs).hasSize(sheet.control().size() - 1);
        return sheet.withRungs(Circuit.CONTROL, rungs);
    }

    @ParameterizedTest
    @CsvSource({
        "plc-no-program",
        "plc-no-controller",
        "plc-no-terminal",
        "plc-input-not-wired",
        "plc-output-not-wired",
        "plc-input-unused",
        "plc-trip-only-in-program"
    })
    void theSoundSheetHasNoneOfThem(String code) throws Exception {
        assertThat(found(sound(), code)).isEmpty();
    }

    @Test
    void aControllerWithoutAProgramIsTold() throws Exception {
        assertThat(found(sound().withProgram(Optional.empty()), "plc-no-program"))
                .singleElement()
                .satisfies(finding -> assertThat(finding.where()).containsExactly("A1"));
    }

    @Test
    void aProgramWithoutAControllerIsTold() throws Exception {
        Sheet relays = Examples.ofLibrary("Wash pump").withProgram(sound().program());

        assertThat(found(relays, "plc-no-controller")).hasSize(1);
        assertThat(found(Examples.ofLibrary("Wash pump"), "plc-no-controller")).isEmpty();
    }

    @Test
    void anAddressBeyondTheTerminalsIsTold() throws Exception {
        Sheet input = programmed(sound(), "S1 AT %IX0.2", "S1 AT %IX3.1");
        assertThat(found(input, "plc-no-terminal")).singleElement().satisfies(finding -> {
            assertThat(finding.where()).contains("S1");
            assertThat(finding.text() + finding.reason()).contains("I25");
        });
        Sheet output = programmed(sound(), "P1 AT %QX0.1", "P1 AT %QX2.0");
        assertThat(found(output, "plc-no-terminal")).singleElement().satisfies(finding -> assertThat(finding.where())
                .contains("P1"));
    }

    @Test
    void aBitThatIsReadWhereNoWireLandsIsTold() throws Exception {
        Sheet sheet = withoutRung(sound(), "P S1[13-14]");
        assertThat(found(sheet, "plc-input-not-wired")).singleElement().satisfies(finding -> assertThat(finding.text())
                .contains("S1", "I2"));
    }

    @Test
    void anOutputBehindWhichNothingIsIsTold() throws Exception {
        Sheet sheet = withoutRung(sound(), "P A1[QC0-Q1]");
        assertThat(found(sheet, "plc-output-not-wired")).singleElement().satisfies(finding -> assertThat(finding.text())
                .contains("P1", "Q1"));
    }

    @Test
    void anInputThatIsWiredAndNeverReadIsTold() throws Exception {
        Sheet sheet = programmed(sound(), "guard AND S0 AND (S1 OR K1_in)", "guard AND (S1 OR K1_in)");
        assertThat(found(sheet, "plc-input-unused")).singleElement().satisfies(finding -> assertThat(finding.text())
                .contains("I1"));
    }

    @Test
    void anOverloadThatOnlyTheProgramHeedsIsADanger() throws Exception {
        Sheet around = rung(
                rung(sound(), "L F2[95-96]", "L S4[11-12] @14 KA1[A1-A2] N"),
                "P KA1[11-14]",
                "P F2[95-96] @30 KA1[11-14] @6 A1[I0-IC] M");
        assertThat(found(around, "plc-trip-only-in-program")).singleElement().satisfies(finding -> {
            assertThat(finding.where()).contains("F2");
            assertThat(finding.severity()).isIn(Severity.DANGER, Severity.ERROR);
        });
    }
}
