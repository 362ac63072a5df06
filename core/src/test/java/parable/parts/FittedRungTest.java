package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.circuit.Terminal;
import parable.starters.Library;

/** What is looked up once for each item of a rung is what its device and its wires say, also after edits that take most of it over. */
class FittedRungTest {

    static Stream<Sheet> sheets() {
        return Share.oneIn(3, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void anItemIsWhatItsDeviceSays(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        for (Circuit circuit : Circuit.values()) {
            List<FittedRung> rungs = assembly.rungs(circuit);
            assertThat(rungs).extracting(FittedRung::rung).isEqualTo(sheet.rungs(circuit));
            for (int rung = 0; rung < rungs.size(); rung++) {
                for (int item = 0; item < rungs.get(rung).length(); item++) {
                    check(assembly, circuit, rung, item);
                }
            }
        }
    }

    private static void check(Assembly assembly, Circuit circuit, int rung, int item) {
        FittedRung fitted = assembly.rungs(circuit).get(rung);
        RungItem found = fitted.rung().items().get(item);
        if (found instanceof RungItem.Passage passage) {
            Part part = assembly.parts().get(fitted.partIndex(item));
            assertThat(part.tag()).isEqualTo(passage.tag());
            boolean contact = fitted.contact(item) >= 0;
            assertThat(contact).isNotEqualTo(fitted.load(item) >= 0);
            PartTerminals terminals = assembly.terminals(fitted.partIndex(item));
            assertThat(terminals.marking(fitted.lineTerminal(item))).isEqualTo(passage.from());
            assertThat(terminals.marking(fitted.returnTerminal(item))).isEqualTo(passage.to());
            List<Integer> ends = Stream.of(0, 1)
                    .map(end -> contact
                            ? terminals.ofContact(fitted.contact(item), end)
                            : terminals.ofLoad(fitted.load(item), end))
                    .toList();
            assertThat(List.of(fitted.lineTerminal(item), fitted.returnTerminal(item)))
                    .containsExactlyInAnyOrderElementsOf(ends);
            assertThat(node(assembly, passage.lineSide()))
                    .isEqualTo(assembly.nodes().between(circuit, rung, item - 1));
            assertThat(node(assembly, passage.returnSide()))
                    .isEqualTo(assembly.nodes().between(circuit, rung, item));
        } else if (found instanceof RungItem.TerminalEnd landing) {
            assertThat(assembly.parts().get(fitted.partIndex(item)).tag())
                    .isEqualTo(landing.terminal().tag());
            assertThat(node(assembly, landing.terminal()))
                    .isEqualTo(assembly.nodes().between(circuit, rung, item == 0 ? 0 : item - 1));
        } else {
            assertThat(fitted.partIndex(item)).isEqualTo(-1);
        }
    }

    /** A network numbers terminals in the order of the screws on the device; an inner star point has none. */
    @ParameterizedTest
    @MethodSource("sheets")
    void terminalsAreNumberedAsTheyAreListed(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        for (int p = 0; p < assembly.parts().size(); p++) {
            PartTerminals terminals = assembly.terminals(p);
            List<String> screws = IntStream.range(0, terminals.screws())
                    .mapToObj(terminals::marking)
                    .toList();
            Part part = assembly.parts().get(p);
            assertThat(screws).as(part.tag()).containsExactlyElementsOf(part.terminals());
            boolean star = part.loads().stream().anyMatch(Load::endsAtStarPoint);
            assertThat(terminals.count()).as(part.tag()).isEqualTo(screws.size() + (star ? 1 : 0));
            assertThat(screws).allSatisfy(marking -> assertThat(terminals.marking(terminals.of(marking)))
                    .isEqualTo(marking));
            assertThat(terminals.of("no such")).isEqualTo(-1);
        }
    }

    private static int node(Assembly assembly, Terminal terminal) {
        return assembly.nodes().indexOf(terminal).orElseThrow();
    }

    @Test
    void aRungKnowsWhetherAProtectiveConductorLandsOnIt() {
        Assembly pump = Examples.fitted(Examples.washPump());

        assertThat(pump.rungs(Circuit.POWER))
                .filteredOn(FittedRung::isEarthed)
                .extracting(rung ->
                        rung.rung().terminals().anyMatch(end -> end.marking().equals("PE")))
                .isNotEmpty()
                .containsOnly(true);
        assertThat(pump.rungs(Circuit.CONTROL)).noneMatch(FittedRung::isEarthed);
    }

    /** Something taken away from each rung, devices in another order, every device labelled otherwise. */
    private static List<Sheet> changed(Sheet sheet) {
        List<Sheet> changed = new ArrayList<>();
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            try {
                changed.add(Structure.taken(sheet, new Place(Circuit.CONTROL, rung, 1)));
            } catch (EditException notThere) {
                continue;
            }
        }
        List<Device> devices = new ArrayList<>(sheet.devices());
        Collections.rotate(devices, 1);
        changed.add(sheet.withDevices(devices));
        changed.add(sheet.withDevices(
                sheet.devices().stream().map(device -> device.labelled("other")).toList()));
        return changed;
    }

    private static List<String> known(Assembly assembly) {
        List<String> known = new ArrayList<>();
        for (Circuit circuit : Circuit.values()) {
            for (FittedRung rung : assembly.rungs(circuit)) {
                for (int item = 0; item < rung.length(); item++) {
                    known.add(rung.rung().items().get(item).text() + " " + rung.partIndex(item) + " "
                            + rung.contact(item) + " " + rung.load(item) + " "
                            + rung.lineTerminal(item) + " " + rung.returnTerminal(item));
                }
            }
        }
        return known;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void anEditedSheetIsFittedOutAsIfItWereNew(Sheet sheet) throws PartException {
        Assembly before = Examples.fitted(sheet);
        for (Sheet changed : changed(sheet)) {
            Assembly edited = before.on(changed);
            Assembly fresh = Assembly.of(changed);

            assertThat(known(edited)).isEqualTo(known(fresh));
            assertThat(edited.parts()).isEqualTo(fresh.parts());
            assertThat(edited.nodes().all()).isEqualTo(fresh.nodes().all());
        }
    }
}
