package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;

/** Two faults at once show what neither shows alone. */
class FaultPairsTest {

    private static final FaultHunt HUNT =
            new FaultHunt(Examples.fitted(Examples.ofLibrary("Two-wire")), Practice.IEC, FaultSearch.Knowledge.NONE);

    private static FaultSearch hunted(Suspect hidden) {
        FaultHunt.Hidden panel = HUNT.new Hidden(hidden.faults());
        return HUNT.hunt(panel, HUNT.begun().with(panel.symptom().orElseThrow()), Optional.empty())
                .end();
    }

    /** Two wires come off at one tug, and a motor that lacks two lines does not hum: pairs that fit come before a single fault and a wrong reading. */
    @Test
    void readingsThatFitNeitherAloneLeadToBoth() {
        Suspect both =
                new Suspect(List.of(new Fault(Fault.Kind.OFF, "G1", "L2"), new Fault(Fault.Kind.OFF, "G1", "L3")));
        FaultSearch search = hunted(both);

        FaultSearch pairs = search.withPairs();

        assertThat(search.cannotBe()).isTrue();
        assertThat(pairs.cannotBe()).isFalse();
        assertThat(pairs.ranked().get(0).suspect().faults()).hasSize(2);
        assertThat(pairs.fitting()).contains(both);
        assertThat(pairs.ranked()).hasSize(search.ranked().size() + FaultSearch.MOST_PAIRS);
        assertThat(pairs.withPairs().ranked())
                .extracting(Weighed::suspect)
                .allMatch(one -> one.faults().size() <= 2);
    }

    /** Whoever asks for two at once is not told of something else beside the one that shows all of it. */
    @Test
    void whatOneFaultExplainsNeedsNoOther() {
        FaultSearch search = hunted(Suspect.of(new Fault(Fault.Kind.OFF, "K1", "A1")));

        assertThat(search.withPairs().verdict()).isEqualTo(search.verdict());
    }
}
