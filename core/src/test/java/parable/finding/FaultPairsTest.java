package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;

/** Two faults at once show what neither shows alone. */
class FaultPairsTest {

    private static final FaultHunt HUNT =
            new FaultHunt(Examples.fitted(Examples.ofLibrary("Two-wire")), Practice.IEC, FaultSearch.Knowledge.NONE);

    /** Two wires come off at one tug, and a motor that lacks two lines does not hum: pairs that fit come before a single fault and a wrong reading. */
    @ParameterizedTest
    @CsvSource({"OFF, G1, L2, OFF, G1, L3", "BURNT, K1, 5-6, BURNT, F2, 1-2"})
    void readingsThatFitNeitherAloneLeadToBoth(
            Fault.Kind kind, String tag, String place, Fault.Kind otherKind, String otherTag, String otherPlace) {
        Suspect both = new Suspect(List.of(new Fault(kind, tag, place), new Fault(otherKind, otherTag, otherPlace)));
        FaultHunt.Hidden panel = HUNT.new Hidden(both.faults());
        FaultSearch search = HUNT.hunt(panel, HUNT.begun().with(panel.symptom().orElseThrow()), Optional.empty())
                .end();

        FaultSearch pairs = search.withPairs();

        assertThat(search.cannotBe()).isTrue();
        assertThat(pairs.cannotBe()).isFalse();
        assertThat(pairs.ranked().get(0).suspect().faults()).hasSize(2);
        assertThat(pairs.fitting()).contains(both);
        assertThat(pairs.ranked()).hasSizeLessThanOrEqualTo(search.ranked().size() + FaultSearch.MOST_PAIRS);
    }
}
