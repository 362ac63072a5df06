package parable.starters;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Share;
import parable.bench.Fault;
import parable.circuit.Job;
import parable.circuit.Node;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;
import parable.testsheet.Coverage;
import parable.testsheet.Observation;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;
import parable.wiring.Cable;
import parable.wiring.Cables;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** Every motor, plate, door, station and grounded point of every sheet that ships has its conductor wherever one looks for it. */
class ProtectiveConductorsTest {

    /** Where no cable leads to: over the hinge it is single wires. */
    private static final List<String> IN_THE_CABINET = List.of("panel", "door");

    static Stream<Arguments> sheets() {
        return Share.oneIn(3, Library.jobs().stream().flatMap(job -> job.sheets().stream()
                .map(sheet -> Arguments.of(job, sheet))));
    }

    private static List<Part> metal(Assembly assembly) {
        return assembly.parts().stream()
                .filter(part -> part.bare().contains("PE") && part.family() != Family.SUPPLY)
                .toList();
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("sheets")
    void isInDrawingAndWireList(Job job, Sheet sheet) throws PartException {
        Assembly assembly = Assembly.of(sheet);
        List<Part> metal = metal(assembly);
        assertThat(metal.stream().map(part -> part.device().place())).contains("panel");
        boolean door =
                sheet.devices().stream().anyMatch(device -> device.place().equals("door"));
        assertThat(metal.stream().anyMatch(part -> part.device().place().equals("door")))
                .isEqualTo(door);
        List<Wire> wires = WireList.of(assembly, job.practice()).wires();
        String drawn = words(SheetDrawing.of(assembly, job.practice()));
        for (Part part : metal) {
            Terminal frame = new Terminal(part.tag(), "PE");
            assertThat(wires)
                    .as(part.tag())
                    .anyMatch(wire -> (wire.from().equals(frame) || wire.to().equals(frame))
                            && wire.conductor().colour().equals("green-yellow"));
            assertThat(drawn).as(part.tag()).contains(part.tag());
        }
    }

    /** A transformer's secondary and a 24 V supply are grounded, and by nothing but their own conductor. */
    @ParameterizedTest(name = "{1}")
    @MethodSource("sheets")
    void whatIsGroundedIsSoByItsOwnConductor(Job job, Sheet sheet) throws PartException {
        Assembly assembly = Assembly.of(sheet);
        boolean any = assembly.parts().stream()
                .flatMap(part -> part.sources().stream())
                .anyMatch(source -> source.following().isPresent() && source.grounded());
        List<TestStep> ohms = (any ? TestSheet.of(assembly, job.practice()) : List.<TestStep>of())
                .stream()
                        .filter(step -> step.observation() instanceof Observation.Ohms
                                || step.observation() instanceof Observation.Protective)
                        .toList();
        for (Part part : assembly.parts()) {
            part.sources().stream()
                    .filter(source -> source.following().isPresent() && source.grounded())
                    .forEach(source -> {
                        Node point = assembly.nodes()
                                .all()
                                .get(assembly.nodes()
                                        .indexOf(new Terminal(part.tag(), source.reference()))
                                        .orElseThrow());
                        assertThat(ohms)
                                .filteredOn(step -> step.observation()
                                        .words()
                                        .startsWith("Ohms from wire " + point.number() + " to "))
                                .filteredOn(step -> step.expected().text().equals("0 \u03a9"))
                                .as("%s %s against earth", part.tag(), source.reference())
                                .anyMatch(step -> Coverage.firstFailing(
                                                assembly, List.of(step), new Fault(Fault.Kind.OFF, part.tag(), "PE"))
                                        .isPresent());
                    });
        }
        boolean ladder = !sheet.control().isEmpty();
        assertThat(assembly.parts())
                .filteredOn(part -> ladder
                        && List.of("dc-supply", "control-transformer")
                                .contains(part.device().kind()))
                .filteredOn(part -> !sheet.name().equals("Supplies joined"))
                .allMatch(part -> part.sources().get(0).grounded());
    }

    private static String words(Drawing drawing) {
        List<String> words = new ArrayList<>();
        drawing.marks().forEach(mark -> {
            if (mark instanceof Mark.Text label) {
                words.add(label.text());
            }
        });
        return String.join(" ", words);
    }

    /** The step that measures it fails as soon as its own wire is off. */
    @ParameterizedTest(name = "{1}")
    @MethodSource("sheets")
    void isMeasuredAndMissedWhenItsWireIsOff(Job job, Sheet sheet) throws PartException {
        Assembly assembly = Assembly.of(sheet);
        List<TestStep> ohms = TestSheet.of(assembly, job.practice()).stream()
                .filter(step -> step.observation() instanceof Observation.Ohms
                        || step.observation() instanceof Observation.Protective)
                .toList();
        for (Part part : metal(assembly)) {
            Fault off = new Fault(Fault.Kind.OFF, part.tag(), "PE");
            assertThat(Coverage.firstFailing(assembly, ohms, off))
                    .as(part.tag())
                    .isPresent();
        }
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("sheets")
    void isACoreOfTheCableToEachPlace(Job job, Sheet sheet) throws PartException {
        Assembly assembly = Assembly.of(sheet);
        List<Cable> cables = Cables.of(assembly, job.practice());
        for (Part part : metal(assembly)) {
            String place = part.device().place();
            Terminal frame = new Terminal(part.tag(), "PE");
            if (!IN_THE_CABINET.contains(place)) {
                assertThat(cables).as(part.tag()).anyMatch(cable -> cable.wires().stream()
                        .anyMatch(wire -> wire.from().equals(frame) || wire.to().equals(frame)));
            }
        }
    }
}
