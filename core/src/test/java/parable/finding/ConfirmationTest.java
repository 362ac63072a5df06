package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;

/** What is only left over is measured before it is named. */
class ConfirmationTest {

    private static final Assembly TRANSFORMER = Examples.fitted(Examples.ofLibrary("Transformer"));

    private static final FaultHunt HUNT = new FaultHunt(TRANSFORMER, Practice.IEC, FaultSearch.Knowledge.NONE);

    private static FaultSearch told(FaultHunt.Hidden hidden) {
        return HUNT.begun().with(hidden.symptom().orElseThrow());
    }

    /** The breaker trips as soon as it is closed: an earth fault behind the contactor, which a welded start keeps in. No single fault shows both. */
    @Test
    void twoFaultsAreNotTakenForAThird() {
        FaultHunt.Hidden hidden = HUNT
        .new Hidden(List.of(new Fault(Fault.Kind.WELDED, "S1", "13-14"), new Fault(Fault.Kind.EARTHED, "K1", "2")));
        FaultHunt.Hunted came = HUNT.hunt(hidden, told(hidden), Optional.empty());

        assertThat(came.end().cannotBe()).isTrue();
        assertThat(came.harmful()).isEmpty();
    }

    /** A look that makes sure says so, with what speaks for it and what against it. */
    @Test
    void aLookThatMakesSureSaysWhatSpeaksAgainstIt() {
        FaultHunt.Hidden hidden = HUNT.new Hidden(List.of(new Fault(Fault.Kind.EARTHED, "Q1", "6")));
        FaultSearch search = told(hidden);
        Proposal next = search.next().orElseThrow();
        while (!next.isToMakeSure()) {
            search = search.with(new LookResult(next.look(), hidden.found(next.look())));
            next = search.next().orElseThrow();
        }

        assertThat(next.why()).contains("makes sure").contains("left over");
        assertThat(next.shows()).hasSize(2);
        assertThat(next.shows().get(0).found()).isEqualTo(hidden.found(next.look()));
        assertThat(next.shows().get(0).suspects()).containsAll(search.verdict());
        assertThat(next.shows().get(1).means()).isEqualTo("then it is something else");
        assertThat(search.with(new LookResult(next.look(), hidden.found(next.look())))
                        .next())
                .isEmpty();
    }
}
