package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/** What happens once a machine has run for some minutes: "it trips after a while". */
class AfterMinutesTest {

    private static final Assembly WASH_PUMP = Examples.fitted(Examples.ofLibrary("Wash pump"));

    private static FaultSearch search(Assembly assembly) {
        return new FaultHunt(assembly, Practice.IEC, FaultSearch.Knowledge.NONE).begun();
    }

    private static String seen(Assembly assembly, Situation situation, Fault... faults) {
        return LookCatalogue.glance(assembly)
                .at(new StepRehearsal(assembly, List.of(faults)).rest(situation))
                .text();
    }

    @ParameterizedTest
    @CsvSource({"Wash pump, 1", "Press platen, 2", "Mill, 1", "Drum switch, 2", "Bottle rinser, 2"})
    void eachWayOfRunningByItselfMayHaveBeenLeftToItself(String sheet, int ways) {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));

        List<Situation> left = search(assembly).leftRunning();

        assertThat(left).hasSizeGreaterThanOrEqualTo(ways).allMatch(Situation::leftRunning);
        for (Situation one : left) {
            assertThat(one.words()).endsWith("leave it like that for some minutes");
            assertThat(seen(assembly, one))
                    .as(one.words())
                    .isEqualTo(seen(assembly, new Situation(one.phase(), one.hands())));
        }
    }

    /** A dial at half, a winding that takes too much, a delta that is open: all is as it should be until the release is warm. */
    @ParameterizedTest
    @CsvSource({
        "Wash pump, UNDERSET, F2, ''",
        "Wash pump, SHORTED, M1, U1-*",
        "Mill, OFF, M1, U2",
        "Mill, BURNT, KD, 3-4",
        "Mill, BROKEN, M1, V1-V2"
    })
    void theReleaseTripsOnlyAfterMinutes(String sheet, Fault.Kind kind, String tag, String place) {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));
        Situation left = search(assembly).leftRunning().get(0);
        Situation soon = new Situation(left.phase(), left.hands());
        Fault fault = new Fault(kind, tag, place);

        assertThat(seen(assembly, soon, fault)).isEqualTo(seen(assembly, soon)).contains("F2 healthy", "M1 forward");
        assertThat(seen(assembly, left, fault)).contains("F2 tripped", "M1 stopped");
    }

    @Test
    void aDialAtHalfIsFoundAndNobodyIsAskedToLetItRunAgain() {
        FaultHunt hunt = new FaultHunt(WASH_PUMP, Practice.IEC, FaultSearch.Knowledge.NONE);
        List<Fault> half = List.of(new Fault(Fault.Kind.UNDERSET, "F2", ""));
        FaultHunt.Hidden hidden = hunt.new Hidden(half);
        LookResult symptom = hidden.symptom().orElseThrow();
        assertThat(symptom.look().situation().leftRunning()).isTrue();

        FaultSearch search = hunt.begun().with(symptom);
        for (Optional<Proposal> next = search.next(); next.isPresent(); next = search.next()) {
            PanelLook look = next.get().look();
            assertThat(look.situation().leftRunning()).as(look.words()).isFalse();
            search = search.with(new LookResult(look, hidden.found(look)));
        }

        assertThat(search.verdict()).extracting(Suspect::faults).containsExactly(half);
        assertThat(search.seen()).hasSizeLessThan(8);
        assertThat(Mend.of(WASH_PUMP, Practice.IEC, search.verdict().get(0)).entry())
                .contains("F2 is set to half its current", "Set the dial of F2 to");
    }
}
