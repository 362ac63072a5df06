package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.starters.Library;

/** Cables and the terminal strip against the wires that they are made of. */
class CablesTest {

    static Stream<Sheet> sheets() {
        return Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .map(sheet -> sheet.withFieldwork(Fieldwork.NONE.by(WiringMethod.TERMINAL_STRIP)));
    }

    private static Set<String> placesOf(PanelLayout layout, Wire wire) {
        return new TreeSet<>(
                Set.of(layout.place(wire.from().tag()), layout.place(wire.to().tag())));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void whateverLeavesItsPlaceIsACoreOfOneCableExceptOverTheHinge(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        PanelLayout layout = PanelLayout.of(assembly);
        List<Wire> cores = new ArrayList<>();
        for (Cable cable : Cables.of(assembly, Practice.IEC)) {
            assertThat(cable.wires()).as(cable.name()).isNotEmpty().allSatisfy(wire -> {
                assertThat(placesOf(layout, wire)).containsExactlyInAnyOrder(cable.from(), cable.to());
                assertThat(wire.conductor().size()).isEqualTo(cable.size());
            });
            cores.addAll(cable.wires());
        }

        assertThat(cores).doesNotHaveDuplicates();
        assertThat(WireList.of(assembly, Practice.IEC).wires())
                .filteredOn(Wire::crosses)
                .filteredOn(wire -> !placesOf(layout, wire).equals(Set.of("door", "panel")))
                .containsExactlyInAnyOrderElementsOf(cores);
    }

    @ParameterizedTest
    @EnumSource(Practice.class)
    void aCableHasAUsualNumberOfCoresAndASpareForControl(Practice practice) {
        Set<Integer> usual = practice == Practice.IEC
                ? Set.of(2, 3, 4, 5, 7, 12, 18, 25, 34, 50)
                : Set.of(2, 3, 4, 5, 7, 9, 12, 15, 19, 25, 37);
        int spared = 0;
        for (Sheet sheet : sheets().toList()) {
            for (Cable cable : Cables.of(Examples.fitted(sheet), practice)) {
                boolean control = cable.wires().stream().anyMatch(wire -> wire.rung() > 0);
                assertThat(usual).contains(cable.cores());
                assertThat(cable.spares()).isGreaterThanOrEqualTo(control ? 1 : 0);
                int smaller = usual.stream()
                        .filter(cores -> cores < cable.cores())
                        .mapToInt(Integer::intValue)
                        .max()
                        .orElse(0);
                assertThat(smaller - cable.wires().size())
                        .as("the next smaller one would not do")
                        .isLessThan(control ? 1 : 0);
                spared += control ? 1 : 0;
            }
        }
        assertThat(spared).isPositive();
    }

    @Test
    void cablesAreNumberedInTheOrderOfTheirFirstWires() {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        List<Cable> cables = Cables.of(pump, Practice.IEC);
        List<Wire> wires = WireList.of(pump, Practice.IEC).wires();

        assertThat(cables).extracting(Cable::name).startsWith("W1", "W2");
        assertThat(cables)
                .extracting(cable -> wires.indexOf(cable.wires().get(0)))
                .isSorted();
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void thePlanSaysOfEachTerminalWhatIsOnEitherSideAndWhichCore(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        PanelLayout layout = PanelLayout.of(assembly);
        List<Wire> wires = WireList.of(assembly, Practice.IEC).wires();
        List<Cable> cables = Cables.of(assembly, Practice.IEC);
        List<TerminalPlan.Line> plan = TerminalPlan.of(assembly, Practice.IEC);

        assertThat(plan).extracting(TerminalPlan.Line::at).isEqualTo(layout.strip());
        for (TerminalPlan.Line line : plan) {
            Terminal here = line.at().terminal();
            assertThat(line.inside()).hasSizeLessThanOrEqualTo(2).allMatch(end -> layout.place(end.tag())
                    .equals("panel"));
            assertThat(line.outside()).hasSizeBetween(1, 2).allMatch(end -> layout.place(end.tag())
                    .equals(line.at().place()));
            Stream.concat(line.inside().stream(), line.outside().stream()).forEach(end -> assertThat(wires)
                    .anyMatch(wire -> Set.of(wire.from(), wire.to()).equals(Set.of(here, end))
                            && wire.number().equals(line.at().number())));
            if (line.at().place().equals("door")) {
                assertThat(line.cable()).isEmpty();
                assertThat(line.core()).isZero();
            } else {
                Cable cable = cables.stream()
                        .filter(one -> one.name().equals(line.cable()))
                        .findFirst()
                        .orElseThrow();
                Wire core = cable.wires().get(line.core() - 1);
                assertThat(List.of(core.from(), core.to())).contains(here);
            }
        }
    }

    @Test
    void withoutAStripThereIsNoPlan() {
        Sheet direct = Examples.ofLibrary("Wash pump").withFieldwork(Fieldwork.NONE.by(WiringMethod.POINT_TO_POINT));

        assertThat(TerminalPlan.of(Examples.fitted(direct), Practice.IEC)).isEmpty();
    }
}
