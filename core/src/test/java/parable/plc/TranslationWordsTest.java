package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.program.Program;
import parable.program.Variable;

/** What a translation says of what it did, and in which order it writes. */
class TranslationWordsTest {

    private static Translation of(String sheet) throws TranslationException {
        return Translation.of(Examples.fitted(Examples.ofLibrary(sheet)), Practice.IEC, TranslationChoices.PROPOSED);
    }

    static Stream<String> sheets() {
        return Stream.of("Wash pump", "Mill", "Press platen", "Three stations", "Mill start warning");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    Wash pump    | F2 95-96 | true  | F2 stays in copper, so that it stops the motor even if the controller has failed
                    Wash pump    | S4 11-12 | true  | S4 stays in copper, so that it stops the motor even if the controller has failed
                    Wash pump    | S0 11-12 | false | S0 goes to an input by the contact that conducts at rest: a broken wire stops the motor.
                    Press platen | K1 21-22 | true  | In copper and in the program: the two contactors must not meet
                    """)
    void whatStaysInCopperIsSaidWithItsReason(String sheet, String what, boolean copper, String why) throws Exception {
        List<Split> splits = of(sheet).splits();

        assertThat(splits)
                .filteredOn(split -> split.what().equals(what))
                .singleElement()
                .satisfies(split -> {
                    assertThat(split.inCopper()).isEqualTo(copper);
                    assertThat(split.why()).startsWith(why);
                });
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void variablesAreWrittenInputsFirstThenOutputsThenTheRest(String sheet) throws Exception {
        Sheet translated = of(sheet).sheet();
        Program program = translated.program().orElseThrow();
        List<Integer> places = program.variables().stream()
                .map(Variable::address)
                .map(address -> address.map(at -> at.area().ordinal()).orElse(Integer.MAX_VALUE))
                .toList();
        assertThat(places).isSorted().hasSizeGreaterThan(4);
    }
}
