package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.testsheet.Observation;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/** The dead power circuit closed by hand, from the lines through the motor. */
class ClosedByHandTest {

    private static Assembly assembly(String sheet) {
        return Examples.fitted(Examples.ofLibrary(sheet));
    }

    private static ClosedByHand on(Assembly assembly) {
        return new ClosedByHand(assembly, new StepRehearsal(assembly, List.of()));
    }

    /** As few armatures as will do, never both directions, star and delta each; nothing where no contactor switches the motor. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Wash pump    | close Q1, push K1's armature in",
                "Press platen | close Q1, push K1's armature in / close Q1, push K2's armature in",
                "Mill         | close Q1, push KM's armature in, push KY's armature in / close Q1, push KM's armature in, push KD's armature in",
                "Drum switch  | ''",
                "DC drum      | ''"
            })
    void asFewArmaturesAsGiveEveryLineItsWay(String sheet, String closed) {
        assertThat(on(assembly(sheet)).situations().stream()
                        .map(Situation::words)
                        .collect(Collectors.joining(" / ")))
                .isEqualTo(closed);
    }

    /** A pole that no longer conducts opens both pairs of lines that it is in, and leaves the third. */
    @Test
    void aBurntPoleOpensThePairsThatItIsIn() {
        Assembly assembly = assembly("Mill");
        ClosedByHand lines = on(assembly);
        StepRehearsal burnt = new StepRehearsal(assembly, List.of(new Fault(Fault.Kind.BURNT, "KM", "3-4")));

        assertThat(lines.pairs())
                .extracting(Observation::words)
                .containsExactly("Ohms from G1 L1 to G1 L2", "Ohms from G1 L1 to G1 L3", "Ohms from G1 L2 to G1 L3");
        StepRehearsal.Rest star = burnt.rest(lines.situations().get(0));
        assertThat(lines.pairs())
                .extracting(pair -> pair.at(star).text().equals("open"))
                .containsExactly(true, false, true);
    }

    /** Behind a breaker that trips at every start all must be found dead: through the lines, not pole by pole. */
    @Test
    void aPanelThatTripsAtOnceIsReadThroughItsLines() {
        FaultHunt hunt =
                new FaultHunt(assembly("Delta lead on the line side"), Practice.IEC, FaultSearch.Knowledge.NONE);
        for (Fault fault : List.of(
                new Fault(Fault.Kind.LOST, "G1", "L3"),
                new Fault(Fault.Kind.BURNT, "KM", "5-6"),
                new Fault(Fault.Kind.BROKEN, "M1", "W1-W2"))) {
            FaultHunt.Hunted came = hunt.hunt(List.of(fault)).orElseThrow();

            assertThat(came.names(List.of(fault))).as(fault.words()).isTrue();
            assertThat(came.harmful()).isEmpty();
            assertThat(came.looks()).as(fault.words()).isLessThan(10);
        }
    }
}
