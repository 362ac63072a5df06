package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatNullPointerException;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FieldworkTest {

    private static final Terminal S1 = new Terminal("S1", "13");
    private static final Terminal K1 = new Terminal("K1", "A1");
    private static final Terminal M1 = new Terminal("M1", "U1");

    private static Reading reading(String step, String found) {
        return new Reading(step, found, "", "E. Marsh", "2026-11-26 10:00");
    }

    @Test
    void aTickIsOfTheWireWhicheverEndIsNamedFirst() {
        Fieldwork work = Fieldwork.NONE.ticked(S1, K1, Tick.DONE, true).ticked(K1, S1, Tick.TUGGED, true);

        assertThat(work.ticks(K1, S1)).containsExactlyInAnyOrder(Tick.DONE, Tick.TUGGED);
        assertThat(work.ticks(S1, M1)).isEmpty();
        assertThat(work.wires()).hasSize(1);
    }

    @Test
    void withTheLastTickAWireIsGone() {
        Fieldwork work = Fieldwork.NONE
                .ticked(S1, K1, Tick.DONE, true)
                .ticked(S1, M1, Tick.CHECKED, true)
                .ticked(S1, K1, Tick.DONE, false);

        assertThat(work.wires()).extracting(WireTicks::toString).containsExactly("S1:13 M1:U1 checked");
        assertThat(work.ticked(S1, M1, Tick.TUGGED, false)).isEqualTo(work);
        assertThat(work.ticked(S1, M1, Tick.CHECKED, false).wires()).isEmpty();
    }

    @Test
    void aStepIsFoundOnceAndWhatIsFoundLaterCounts() {
        Fieldwork work = Fieldwork.NONE
                .with(reading("dead: look", "K1 out"))
                .with(reading("live: volts", "229 V"))
                .with(reading("dead: look", "K1 in"));

        assertThat(work.readings()).hasSize(2);
        assertThat(work.reading("dead: look").orElseThrow().found()).isEqualTo("K1 in");
        assertThat(work.forget("dead: look").readings()).containsExactly(reading("live: volts", "229 V"));
        assertThat(work.forget("never read")).isEqualTo(work);
    }

    @Test
    void undoneKeepsHowItIsWiredAndNothingElse() {
        Fieldwork work = Fieldwork.NONE
                .by(WiringMethod.TERMINAL_STRIP)
                .choosing(List.of(new WireChoice(S1, K1)))
                .ticked(S1, K1, Tick.DONE, true)
                .with(reading("dead: look", "K1 out"));

        assertThat(work.undone())
                .isEqualTo(new Fieldwork(
                        WiringMethod.TERMINAL_STRIP, List.of(new WireChoice(S1, K1)), List.of(), List.of()));
    }

    @Test
    void newNamesReachTicksChoicesAndSteps() {
        Relabelling names = new Relabelling(Map.of("M1", "MTR1", "S1", "PB2"), Map.of(M1, "T1"));
        Fieldwork work = Fieldwork.NONE
                .choosing(List.of(new WireChoice(S1, K1)))
                .ticked(S1, M1, Tick.DONE, true)
                .with(reading("Ohms from S1 13 to M1 U1", "0"));

        Fieldwork renamed = work.relabelled(names);

        assertThat(renamed.choices())
                .containsExactly(new WireChoice(new Terminal("PB2", "13"), new Terminal("K1", "A1")));
        assertThat(renamed.ticks(new Terminal("MTR1", "T1"), new Terminal("PB2", "13")))
                .containsExactly(Tick.DONE);
        assertThat(renamed.reading("Ohms from PB2 13 to MTR1 T1")).isPresent();
    }

    @Test
    void whatIsGivenInIsNotHeldOnTo() {
        List<Reading> mine = new java.util.ArrayList<>(List.of(reading("dead: look", "K1 out")));
        Fieldwork work = new Fieldwork(WiringMethod.POINT_TO_POINT, List.of(), List.of(), mine);
        mine.clear();

        assertThat(work.readings()).hasSize(1);
        assertThatNullPointerException()
                .isThrownBy(() -> new Fieldwork(null, List.of(), List.of(), List.of()))
                .withMessage("method");
    }
}
