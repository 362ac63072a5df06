package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import parable.Examples;
import parable.Share;
import parable.check.Check;
import parable.check.Finding;
import parable.check.Repair;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WireChoice;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;

/** Wires that land where somebody wants them instead of where it would be shortest. */
class LandingTest {

    private static final int MOVES = 200;

    private static Sheet pump(WiringMethod method) {
        return Examples.ofLibrary("Wash pump").withFieldwork(Fieldwork.NONE.by(method));
    }

    private static WireList list(Sheet sheet) {
        return WireList.of(Examples.fitted(sheet), Practice.IEC);
    }

    private static Landing landing(Sheet sheet, Wire wire) {
        return Landing.of(Examples.fitted(sheet), list(sheet), wire);
    }

    private static Set<Set<Terminal>> joined(List<Wire> wires) {
        List<WireChoice> all = wires.stream()
                .map(wire -> new WireChoice(wire.from(), wire.to()))
                .toList();
        return wires.stream()
                .map(wire -> Set.copyOf(Reach.of(wire.from(), all)))
                .collect(Collectors.toSet());
    }

    /** However ends are moved, the same terminals stay joined by as many wires, and what is not crowded raises nothing. */
    @ParameterizedTest
    @EnumSource(WiringMethod.class)
    void whateverIsMovedTheSameIsJoined(WiringMethod method) {
        Random random = new Random(5);
        Sheet sheet = pump(method);
        List<Wire> proposed = list(sheet).wires();
        int crowds = 0;
        for (int i = 0; i < Share.oneIn(4, MOVES); i++) {
            List<Wire> wires = list(sheet).wires();
            Wire wire = wires.get(random.nextInt(wires.size()));
            Terminal end = random.nextBoolean() ? wire.from() : wire.to();
            Landing landing = landing(sheet, wire);
            List<Terminal> choices = landing.insteadOf(end);
            if (!choices.isEmpty()) {
                Terminal instead = choices.get(random.nextInt(choices.size()));
                sheet = sheet.withFieldwork(landing.moved(sheet.fieldwork(), end, instead));
            }
            List<Wire> after = list(sheet).wires();
            assertThat(joined(after)).isEqualTo(joined(proposed));
            assertThat(after).hasSameSizeAs(proposed);
            crowds += Crowd.of(Examples.fitted(sheet)).size();
        }
        assertThat(crowds).isPositive();
    }

    @Test
    void aThirdConductorIsFoundAndTheRepairTakesTheShortestWay() {
        Sheet sheet = pump(WiringMethod.POINT_TO_POINT);
        double shortest = list(sheet).metres();
        sheet = landed(sheet, "6", "S1:13");
        Assembly crowded = Examples.fitted(sheet);
        List<Finding> findings = Check.of(crowded, ColourCode.EITHER);
        Finding finding = findings.stream()
                .filter(one -> one.code().equals("three-conductors"))
                .findFirst()
                .orElseThrow();

        assertThat(list(sheet).metres()).isGreaterThan(shortest);
        assertThat(finding.text()).startsWith("S1 13 gets three conductors of wire 6, from ");
        Sheet repaired = Repair.of(crowded, finding, findings, Conventions.of(Practice.IEC), () -> false)
                .orElseThrow()
                .sheet();
        assertThat(list(repaired).metres()).isEqualTo(shortest);
    }

    /** Every wire of a number made to land on one terminal. */
    private static Sheet landed(Sheet sheet, String number, String terminal) {
        Terminal all = terminal(terminal);
        Sheet landed = sheet;
        while (true) {
            Sheet now = landed;
            List<Wire> astray = list(now).wires().stream()
                    .filter(wire -> wire.number().equals(number))
                    .filter(wire -> !wire.from().equals(all) && !wire.to().equals(all))
                    .toList();
            if (astray.isEmpty()) {
                return landed;
            }
            Landing landing = landing(now, astray.get(0));
            Terminal end = Stream.of(astray.get(0).from(), astray.get(0).to())
                    .filter(one -> landing.insteadOf(one).contains(all))
                    .findFirst()
                    .orElseThrow();
            landed = now.withFieldwork(landing.moved(now.fieldwork(), end, all));
        }
    }

    private static Terminal terminal(String written) {
        String[] parts = written.split(":");
        return new Terminal(parts[0], parts[1]);
    }

    @Test
    void whatWasTickedOffForAWireIsGoneWhenItLandsElsewhere() {
        Sheet sheet = pump(WiringMethod.POINT_TO_POINT);
        Wire wire = list(sheet).wires().stream()
                .filter(one -> one.number().equals("6"))
                .findFirst()
                .orElseThrow();
        Fieldwork ticked = sheet.fieldwork().ticked(wire.from(), wire.to(), Tick.DONE, true);
        Landing landing = landing(sheet, wire);
        Terminal end = Stream.of(wire.from(), wire.to())
                .filter(one -> !landing.insteadOf(one).isEmpty())
                .findFirst()
                .orElseThrow();
        Terminal instead = landing.insteadOf(end).get(0);
        Fieldwork moved = landing.moved(ticked, end, instead);

        assertThat(moved.wires()).isEmpty();
        assertThat(landing.isChosen()).isFalse();
        Sheet chosen = sheet.withFieldwork(moved);
        Wire other = list(chosen).wires().stream()
                .filter(one -> one.number().equals("6"))
                .findFirst()
                .orElseThrow();
        assertThat(landing(chosen, other).isChosen()).isTrue();
        assertThat(landing(chosen, other).asProposed(moved)).isEqualTo(sheet.fieldwork());
    }

    /** Wires that were wanted for what has changed since are not wires. */
    @Test
    void choicesThatNoLongerJoinEverythingDoNotCount() {
        Sheet sheet = pump(WiringMethod.POINT_TO_POINT);
        Fieldwork half = Fieldwork.NONE.choosing(List.of(
                new WireChoice(terminal("S2:12"), terminal("S1:13")),
                new WireChoice(terminal("S9:1"), terminal("S1:13"))));

        assertThat(list(sheet.withFieldwork(half))).isEqualTo(list(sheet));
        assertThat(Crowd.of(Examples.fitted(sheet.withFieldwork(half)))).isEmpty();
    }

    @Test
    void aWireOfAnotherSheetHasNoLandings() {
        Wire strange = list(Examples.ofLibrary("Mill")).wires().stream()
                .filter(wire -> Examples.ofLibrary("Wash pump")
                        .device(wire.from().tag())
                        .isEmpty())
                .findFirst()
                .orElseThrow();

        assertThatThrownBy(() -> landing(pump(WiringMethod.POINT_TO_POINT), strange))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(strange.number());
    }
}
