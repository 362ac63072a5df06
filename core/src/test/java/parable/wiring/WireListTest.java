package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Circuit;
import parable.circuit.Fieldwork;
import parable.circuit.Node;
import parable.circuit.Places;
import parable.circuit.Position;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

class WireListTest {

    /** A bar with a screw for each conductor. */
    private static final Terminal PROTECTIVE_BAR = new Terminal("G1", "PE");

    /** Every starter, wired by either method. */
    static Stream<Sheet> sheets() {
        return Share.oneIn(
                2, Library.jobs().stream().flatMap(job -> job.sheets().stream()).flatMap(sheet -> Stream.of(
                                WiringMethod.values())
                        .map(method -> sheet.withFieldwork(Fieldwork.NONE.by(method)))));
    }

    private static WireList list(Sheet sheet) {
        return WireList.of(Examples.fitted(sheet), Practice.IEC);
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everyNodeIsATreeAndNoTerminalHoldsThree(Sheet sheet) {
        List<Wire> wires = list(sheet).wires();
        List<StripTerminal> strip = PanelLayout.of(Examples.fitted(sheet)).strip();
        Map<List<Object>, Integer> conductors = new HashMap<>();
        wires.forEach(wire -> Stream.of(wire.from(), wire.to())
                .forEach(end -> conductors.merge(side(strip, end, wire), 1, Integer::sum)));

        conductors.keySet().removeIf(side -> side.get(0).equals(PROTECTIVE_BAR));
        assertThat(conductors.values()).allMatch(count -> count <= 2);
        for (Node node : Examples.fitted(sheet).nodes().all()) {
            long passes = strip.stream()
                    .filter(one -> one.number().equals(node.number()))
                    .count();
            long ofNode = wires.stream()
                    .filter(wire -> wire.number().equals(node.number()))
                    .count();
            assertThat(ofNode)
                    .as(node.number())
                    .isEqualTo(Math.max(0, node.terminals().size() + passes - 1));
        }
    }

    /** A terminal of the strip has two sides, of which the lower one leads to another place. */
    private static List<Object> side(List<StripTerminal> strip, Terminal end, Wire wire) {
        boolean onStrip = strip.stream().anyMatch(one -> one.terminal().equals(end));
        return List.of(end, onStrip && wire.crosses());
    }

    /** The sheet made of the wires alone joins the same terminals and behaves the same. */
    @ParameterizedTest
    @MethodSource("sheets")
    void theWiresAloneAreTheSameCircuit(Sheet sheet) throws ActionRefusedException {
        Assembly drawn = Examples.fitted(sheet);
        List<Rung> joints = list(sheet).wires().stream()
                .map(wire -> new Rung(List.of(end(drawn, wire.from()), end(drawn, wire.to())), ""))
                .toList();
        Assembly wired = Examples.fitted(
                sheet.withRails(List.of()).withRungs(Circuit.POWER, List.of()).withRungs(Circuit.CONTROL, joints));

        assertThat(joined(wired)).isEqualTo(joined(drawn));
        assertThat(behaviour(wired)).isEqualTo(behaviour(drawn));
    }

    /** A terminal of a device, or a point for one of the strip. */
    private static RungItem end(Assembly drawn, Terminal terminal) {
        return drawn.part(terminal.tag()).isPresent()
                ? new RungItem.TerminalEnd(terminal)
                : new RungItem.NamedPoint("9" + terminal.marking() + "9", false);
    }

    private static Set<Set<Terminal>> joined(Assembly assembly) {
        return assembly.nodes().all().stream()
                .map(node -> Set.copyOf(node.terminals()))
                .filter(terminals -> terminals.size() > 1)
                .collect(Collectors.toSet());
    }

    /** What every device does while every hand is moved in turn. */
    private static List<Map<String, Condition>> behaviour(Assembly assembly) throws ActionRefusedException {
        Bench bench = Bench.of(assembly);
        List<Map<String, Condition>> seen = new ArrayList<>();
        for (Part part : assembly.parts()) {
            for (Verb verb : List.of(Verb.CLOSE, Verb.PRESS, Verb.ACTUATE)) {
                if (part.drive().verbs().containsKey(verb)
                        && !part.drive().verbs().containsKey(Verb.TRIP)) {
                    bench.act(new Action(verb, part.tag()));
                    bench.runUntil(bench.now() + 300_000);
                    seen.add(assembly.parts().stream().collect(Collectors.toMap(Part::tag, one -> bench.moment()
                            .condition(one.tag()))));
                }
            }
        }
        return seen;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void aFinishedRungIsNotReturnedTo(Sheet sheet) {
        List<Integer> rungs =
                list(sheet).wires().stream().map(Wire::rung).distinct().toList();
        List<StripTerminal> strip = PanelLayout.of(Examples.fitted(sheet)).strip();
        Set<List<Object>> wired = new HashSet<>();

        assertThat(rungs).doesNotHaveDuplicates();
        assertThat(rungs.stream().filter(rung -> rung > 0)).isSorted();
        for (Wire wire : list(sheet).wires()) {
            assertThat(wire.seconds())
                    .isEqualTo(Stream.of(wire.from(), wire.to())
                            .filter(end -> wired.contains(side(strip, end, wire)))
                            .toList());
            Stream.of(wire.from(), wire.to()).forEach(end -> wired.add(side(strip, end, wire)));
        }
    }

    /** What leaves the back plate passes the strip, once for each place; its plan says where it goes and by which core. */
    @ParameterizedTest
    @MethodSource("sheets")
    void theStripHasATerminalForWhateverLeavesThePanel(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        PanelLayout layout = PanelLayout.of(assembly);
        List<TerminalPlan.Line> plan = TerminalPlan.of(assembly, Practice.IEC);
        List<Cable> cables = Cables.of(assembly, Practice.IEC);

        assertThat(plan).hasSameSizeAs(layout.strip()).allMatch(line -> !line.outside()
                .isEmpty());
        assertThat(plan)
                .allMatch(line -> line.cable().isEmpty() == line.at().place().equals(Places.DOOR));
        assertThat(cables).allMatch(cable -> cable.spares() >= 0);
        assertThat(cables)
                .filteredOn(cable -> cable.wires().stream().anyMatch(wire -> wire.rung() > 0))
                .allMatch(cable -> cable.spares() >= 1);
        if (!plan.isEmpty()) {
            assertThat(list(sheet).wires())
                    .filteredOn(Wire::crosses)
                    .allMatch(wire ->
                            wire.from().tag().equals(plan.get(0).at().terminal().tag())
                                    || wire.to()
                                            .tag()
                                            .equals(plan.get(0).at().terminal().tag()));
        }
    }

    /** Nothing stands where something else stands, unless somebody puts it there. */
    @ParameterizedTest
    @MethodSource("sheets")
    void devicesStandBesideEachOther(Sheet sheet) {
        PanelLayout layout = PanelLayout.of(Examples.fitted(sheet));
        for (String place : layout.places()) {
            List<Footprint> rooms = List.copyOf(layout.in(place).values());
            for (int i = 0; i < rooms.size(); i++) {
                for (int j = i + 1; j < rooms.size(); j++) {
                    Footprint one = rooms.get(i);
                    Footprint other = rooms.get(j);
                    boolean apart = one.right() <= other.x()
                            || other.right() <= one.x()
                            || one.bottom() <= other.y()
                            || other.bottom() <= one.y();
                    assertThat(apart).as("%s: %s and %s", place, one, other).isTrue();
                }
            }
        }
    }

    @Test
    void whatIsPutElsewhereTakesItsWiresWithIt() {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Sheet moved = pump.withDevices(pump.devices().stream()
                .map(device -> device.tag().equals("K1") ? device.standing(new Position(2000, 0)) : device)
                .toList());

        assertThat(list(moved).metres()).isGreaterThan(list(pump).metres() + 5);
        assertThat(PanelLayout.of(Examples.fitted(moved)).in("panel").get("K1").x())
                .isEqualTo(2000);
    }

    @Test
    void itSavesWireAgainstAlwaysReturningToTheFirstTerminal() {
        WireList pump = list(Examples.ofLibrary("Wash pump"));

        assertThat(pump.saved()).isGreaterThan(10);
        assertThat(pump.metres()).isLessThan(pump.metresFromFirst());
    }
}
