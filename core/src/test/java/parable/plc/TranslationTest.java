package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.bench.Progress;
import parable.check.Check;
import parable.check.Severity;
import parable.circuit.ColourCode;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.PlcOpenXml;
import parable.program.Program;
import parable.program.StructuredText;
import parable.proof.Equivalence;
import parable.starters.Library;

class TranslationTest {

    /** A relay sheet of the library with the practice of its job. */
    private record Relays(Sheet sheet, Practice practice) {
        @Override
        public String toString() {
            return sheet.name();
        }
    }

    static Stream<Relays> relayStarters() {
        return Share.oneIn(
                2,
                Library.jobs().stream()
                        .filter(job -> !job.name().equals("Tern Hollow bad examples"))
                        .flatMap(job ->
                                sheets(job).filter(one -> one.sheet().program().isEmpty()))
                        .filter(one -> !one.sheet().control().isEmpty()));
    }

    private static Stream<Relays> sheets(Job job) {
        return job.sheets().stream().map(sheet -> new Relays(sheet, job.practice()));
    }

    private static Sheet translated(Relays relays, TranslationChoices choices) throws TranslationException {
        return Translation.of(Examples.fitted(relays.sheet()), relays.practice(), choices)
                .sheet();
    }

    private static Equivalence compared(Sheet one, Sheet other) {
        return Equivalence.of(Examples.fitted(one), Examples.fitted(other), Progress.UNWATCHED);
    }

    @ParameterizedTest
    @MethodSource("relayStarters")
    void everyRelayStarterIsTheSameMachineWithAController(Relays relays) throws Exception {
        Sheet controlled = translated(relays, TranslationChoices.PROPOSED);
        Equivalence found = compared(relays.sheet(), controlled);

        assertThat(found.difference()).isEmpty();
        assertThat(found.verdict()).isEqualTo(Equivalence.Answer.EQUIVALENT);
        assertThat(found.states()).isGreaterThan(5);
    }

    @ParameterizedTest
    @MethodSource("relayStarters")
    void aTranslationRaisesNothing(Relays relays) throws Exception {
        assertThat(Check.of(Examples.fitted(translated(relays, TranslationChoices.PROPOSED)), ColourCode.EITHER))
                .filteredOn(finding -> finding.severity() != Severity.NOTE)
                .isEmpty();
    }

    /** Also with transistors at the outputs, and with a plain auxiliary contact. */
    @ParameterizedTest
    @MethodSource("relayStarters")
    void otherChoicesAreTheSameMachineToo(Relays relays) throws Exception {
        TranslationChoices other = new TranslationChoices(SealIn.AUXILIARY, true, 500, Map.of());

        assertThat(compared(relays.sheet(), translated(relays, other)).difference())
                .isEmpty();
    }

    @ParameterizedTest
    @MethodSource("relayStarters")
    void theProgramComesBackFromBothForms(Relays relays) throws Exception {
        Program program =
                translated(relays, TranslationChoices.PROPOSED).program().orElseThrow();

        assertThat(StructuredText.read(StructuredText.write(program))).isEqualTo(program);
        assertThat(PlcOpenXml.read(PlcOpenXml.write(program))).isEqualTo(program);
    }

    static Stream<Program> libraryPrograms() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream()).flatMap(sheet -> sheet.program().stream());
    }

    @ParameterizedTest
    @MethodSource("libraryPrograms")
    void theProgramsOfTheLibraryComeBackFromBothForms(Program program) throws Exception {
        assertThat(StructuredText.read(StructuredText.write(program))).isEqualTo(program);
        assertThat(PlcOpenXml.read(PlcOpenXml.write(program))).isEqualTo(program);
    }

    /** Held by its own output the program does not know that the selector has let the contactor drop out. */
    @Test
    void aSealInByTheOutputBitIsFoundToDiffer() throws Exception {
        Relays selector = new Relays(Examples.ofLibrary("Direction selector"), Practice.IEC);
        Sheet controlled = translated(selector, new TranslationChoices(SealIn.OUTPUT_BIT, false, 1000, Map.of()));
        Equivalence found = compared(selector.sheet(), controlled);

        assertThat(found.verdict()).isEqualTo(Equivalence.Answer.DIFFERENT);
        assertThat(found.difference().orElseThrow().actions())
                .containsExactly("S1 is pressed", "S1 is let go and in the same instant S5 is turned to reverse");
        assertThat(found.difference().orElseThrow().shownByOther().story()).isNotEmpty();
    }

    /** What the relays race for is told apart from a mistake. */
    @Test
    void aRaceOfTheRelaysIsInherent() throws Exception {
        Relays platen = new Relays(Examples.ofLibrary("Press platen"), Practice.IEC);

        assertThat(compared(platen.sheet(), translated(platen, TranslationChoices.PROPOSED))
                        .inherent())
                .singleElement()
                .asString()
                .contains("race");
    }

    @Test
    void whatGuardsStaysInCopperUnlessSomebodyDecidesOtherwise() throws Exception {
        Relays pump = new Relays(Examples.ofLibrary("Wash pump"), Practice.IEC);
        Sheet proposed = translated(pump, TranslationChoices.PROPOSED);
        Sheet decided =
                translated(pump, new TranslationChoices(SealIn.AUXILIARY, false, 1000, Map.of("S4 11-12", false)));

        assertThat(rungs(proposed)).anyMatch(rung -> rung.contains("F2[95-96]") && rung.contains("S4[11-12]"));
        assertThat(rungs(decided)).noneMatch(rung -> rung.contains("F2[95-96]") && rung.contains("S4[11-12]"));
        assertThat(Check.of(Examples.fitted(decided), ColourCode.EITHER))
                .anyMatch(finding -> finding.code().equals("plc-estop-only-in-program"));
    }

    private static List<String> rungs(Sheet sheet) {
        return sheet.control().stream().map(rung -> rung.text()).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "Drum switch, 'Drum switch: found no contactor''s coil in the ladder, expected one that a controller could switch'",
        "By controller, 'By controller: found a controller on the sheet already, expected a sheet of relays alone'"
    })
    void whatCannotBeTranslatedIsRefusedInWords(String name, String words) {
        Relays sheet = new Relays(Examples.ofLibrary(name), Practice.IEC);

        assertThatThrownBy(() -> translated(sheet, TranslationChoices.PROPOSED)).hasMessage(words);
    }

    @Test
    void inputsTellWhatTheyReadAndThereforeTheInstruction() {
        List<IoPoint> points = IoList.of(Examples.fitted(Examples.ofLibrary("Bottle rinser")));

        assertThat(points)
                .filteredOn(IoPoint::isInput)
                .extracting(point -> point.device() + " " + point.contact() + " "
                        + (point.atRest() ? 1 : 0) + (point.acted() ? 1 : 0)
                        + (point.needsClosedInstruction() ? " closed" : " open"))
                .containsExactly(
                        "S4 21-22 10 open",
                        "Q1 13-14 10 open",
                        "S0 11-12 10 open",
                        "S1 13-14 01 open",
                        "S2 13-14 01 open",
                        "K1 13-14 01 open",
                        "K2 13-14 01 open",
                        "F2 97-98 01 closed");
        IoPoint stop = points.get(2);
        assertThat(stop.effect(false)).endsWith("right.");
        assertThat(stop.effect(true)).endsWith("wrong.");
        assertThat(stop.variable()).isEqualTo(Optional.of("S0"));
    }
}
