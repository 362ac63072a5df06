package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Sketches;
import parable.bench.Progress;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.program.StructuredText;
import parable.proof.Equivalence;

/** Circuits in common use that no starter of the library is, translated. */
class SketchTranslationTest {

    /** Explored together with their controllers they take the best part of a minute. */
    private static final Set<String> LONG =
            Set.of("Sequence of three motors by hand", "Sequence of three motors by time");

    /**
     * Those that the comparison calls different. In the stories that were looked at hands are quicker than a controller reads, or the bench shows the same of both;
     * which of them is a mistake of the translation, if any, is not known.
     */
    private static final Set<String> CALLED_DIFFERENT = Set.of(
            "Local and common stops",
            "Two motors with their own stops",
            "Two motors behind one E-stop",
            "Pump alternation by a relay",
            "Duty and standby",
            "First-up alarm");

    private static final Set<String> REFUSED =
            Set.of("E-stop on an undervoltage release", "Solenoid valve by level", "Running lamp that blinks");

    static Stream<Sketches.Sketch> common() {
        return Sketches.in("sound")
                .filter(sketch -> !LONG.contains(sketch.name())
                        && !CALLED_DIFFERENT.contains(sketch.name())
                        && !REFUSED.contains(sketch.name()));
    }

    static Stream<Sketches.Sketch> large() {
        return Sketches.in("sound").filter(sketch -> LONG.contains(sketch.name()));
    }

    private static Sheet translated(Sheet sheet) throws TranslationException {
        return Translation.of(Examples.fitted(sheet), Practice.IEC, TranslationChoices.PROPOSED)
                .sheet();
    }

    private static void assertSame(Sheet relays) throws TranslationException {
        Equivalence found =
                Equivalence.of(Examples.fitted(relays), Examples.fitted(translated(relays)), Progress.UNWATCHED);

        assertThat(found.difference()).isEmpty();
        assertThat(found.verdict()).isEqualTo(Equivalence.Answer.EQUIVALENT);
    }

    @ParameterizedTest
    @MethodSource("common")
    void isTheSameMachineWithAController(Sketches.Sketch sketch) throws TranslationException {
        assertSame(sketch.sheet());
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("large")
    void alsoWhereThatTakesLong(Sketches.Sketch sketch) throws TranslationException {
        assertSame(sketch.sheet());
    }

    /** Whatever is drawn, also what is wrong: a translation or a refusal that names the place. */
    static Stream<Sketches.Sketch> anything() {
        return Stream.of("truth", "times", "plc").flatMap(Sketches::in);
    }

    @ParameterizedTest
    @MethodSource("anything")
    void whatCannotBeTranslatedIsRefusedInWords(Sketches.Sketch sketch) {
        try {
            Sheet controlled = translated(sketch.sheet());
            assertThat(controlled.program()).isPresent();
        } catch (TranslationException refused) {
            assertThat(refused).hasMessageMatching("(?s).+: found .+, expected .+");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "E-stop on an undervoltage release, 'Q1: found a side that no contact joins with a rail'",
        "Solenoid valve by level, 'found no contactor''s coil in the ladder'",
        "Running lamp that blinks, 'KT: found a flasher timer with 3 stages'"
    })
    void theWordsSayWhatIsInTheWay(String sketch, String words) {
        assertThatExceptionOfType(TranslationException.class)
                .isThrownBy(() -> translated(Sketches.sheet("sound", sketch)))
                .withMessageContaining(words);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Relay that switches a load of its own | KA1 := S5 AND NOT mismatch;",
                "Relay that switches a load of its own | KA1_late(IN := KA1 AND NOT KA1_in OR NOT KA1 AND KA1_in, PT := T#150ms);",
                "Branches drawn in any order | K1 := guard AND S0 AND (S1 OR S3 OR K1 AND NOT K1_out OR S2) AND NOT mismatch AND (K1 OR K1_out);",
                "Trips of two motors | K1 := guard AND NOT F2 AND S0 AND (S1 OR K1 AND NOT K1_out) AND NOT mismatch AND (K1 OR K1_out);",
                "Trips of two motors | K2 := guard AND NOT F3 AND S2 AND NOT mismatch AND (K2 OR K2_out);",
                "Monitoring relay | K1 := guard AND S0 AND KA AND (S1 OR K1 AND NOT K1_out) AND NOT mismatch AND (K1 OR K1_out);",
                "Lamp by a contact | P1 := NOT K1_out;",
                "Timer that runs on | KT(IN := K1 AND NOT K1_out, PT := T#3s);",
                "Timer that runs on | P1 := KT.Q;"
            })
    void theProgramSaysWhatTheLadderDoes(String sketch, String line) throws TranslationException {
        assertThat(StructuredText.write(translated(Sketches.sheet("plc", sketch))
                                .program()
                                .orElseThrow())
                        .lines())
                .contains(line);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Relay that switches a load of its own | L KA4[11-14] @17 KA1[A1-A2] N",
                "Relay that switches a load of its own | P KA1[11-14] @11 A1[I5-IC] M",
                "Trips of two motors | L S4[11-12] @20 KA1[A1-A2] N",
                "Trips of two motors | @20 F2[95-96] @21 KA2[11-14] @17 K1[A1-A2] N",
                "Trips of two motors | @20 F3[95-96] @22 KA3[11-14] @19 K2[A1-A2] N",
                "Trips of two motors | P F2[97-98] @7 A1[I1-IC] M",
                "Monitoring relay | C KA[A1-A2] N",
                "Monitoring relay | P KA[11-14] @8 A1[I2-IC] M",
                "Timer that runs on | L A1[QC1-Q4] @15 P1[X1-X2] N"
            })
    void thePanelHasWhatStaysInCopper(String sketch, String rung) throws TranslationException {
        Sheet controlled = translated(Sketches.sheet("plc", sketch));
        List<String> rungs = controlled.control().stream()
                .map(one -> new parable.circuit.Rung(one.items(), "").text())
                .toList();

        assertThat(rungs).contains(rung);
        assertThat(controlled.power().stream()
                        .map(parable.circuit.Rung::text)
                        .filter(text -> sketch.startsWith("Relay that") && text.contains("KA1[11-14]")))
                .hasSize(sketch.startsWith("Relay that") ? 1 : 0);
    }
}
