package parable.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.circuit.Circuit;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.network.NodeState;
import parable.parts.Assembly;
import parable.parts.Verb;

/** What the card says of a device and of a wire. */
class CardFactsTest {

    private final Sheet pump = Examples.ofLibrary("Wash pump");
    private final Assembly fitted = Examples.fitted(pump);

    private List<String> uses(String tag) {
        return ContactUse.of(pump, fitted.part(tag).orElseThrow()).stream()
                .map(use -> use.marking() + " " + use.where())
                .toList();
    }

    @Test
    void eachContactIsToldWithItsRungOrAsFree() {
        assertThat(uses("K1"))
                .containsExactly(
                        "1-2 power circuit",
                        "3-4 power circuit",
                        "5-6 power circuit",
                        "13-14 rung 3",
                        "21-22 rung 5",
                        "A1-A2 rung 1");
        assertThat(uses("S1")).containsExactly("13-14 rung 1");
        assertThat(uses("M1")).allSatisfy(use -> assertThat(use).endsWith("power circuit"));
    }

    @Test
    void aContactThatNoRungHasIsFree() {
        Sheet spare = pump.withDevices(pump.devices().stream()
                .map(device -> device.tag().equals("K1") ? device.with("aux", "13-14 21-22 33-34") : device)
                .toList());

        assertThat(ContactUse.of(spare, Examples.fitted(spare).part("K1").orElseThrow()))
                .filteredOn(use -> use.place().isEmpty())
                .extracting(ContactUse::marking)
                .containsExactly("33-34");
    }

    @Test
    void aWireHasItsTerminalsAndItsState() throws ActionRefusedException {
        Bench bench = Bench.of(fitted);
        WireFacts dead = WireFacts.of(fitted, bench.moment(), "7").orElseThrow();
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(1_000_000);
        WireFacts live = WireFacts.of(fitted, bench.moment(), "7").orElseThrow();

        assertThat(dead.state()).isEqualTo(NodeState.DEAD);
        assertThat(live.state()).isEqualTo(NodeState.LIVE);
        assertThat(live.terminals())
                .contains(new Terminal("K1", "A1"), new Terminal("S1", "14"), new Terminal("K1", "14"));
        assertThat(WireFacts.of(fitted, bench.moment(), "no such wire")).isEqualTo(Optional.empty());
        assertThat(WireFacts.landings(fitted, "S1")).containsExactly("13: wire 6", "14: wire 7");
    }

    @Test
    void whatIsPickedMayBeGoneAfterAnEdit() {
        assertThat(List.of(new Pick.OfDevice("K1"), new Pick.OfWire("7"), new Pick.OfRung(Circuit.CONTROL, 5)))
                .allMatch(pick -> pick.isOn(pump));
        assertThat(List.of(new Pick.OfDevice("K9"), new Pick.OfWire("77"), new Pick.OfRung(Circuit.CONTROL, 6)))
                .noneMatch(pick -> pick.isOn(pump));
    }
}
