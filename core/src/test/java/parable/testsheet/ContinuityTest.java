package parable.testsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Share;
import parable.bench.Fault;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** Of every wire of every sheet that ships the step that measures it fails when it is off where it lands, and a sound one passes. */
class ContinuityTest {

    /** A bad example whose two stops stand side by side, both closed at rest: a meter finds the way through the one without the wire to the other. */
    private static final String SIDE_BY_SIDE = "Stops in parallel";

    static Stream<Arguments> sheets() {
        return Share.oneIn(4, Library.jobs().stream().flatMap(job -> job.sheets().stream()
                .filter(sheet -> !sheet.name().equals(SIDE_BY_SIDE))
                .map(sheet -> Arguments.of(job, sheet))));
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("sheets")
    void eachStepMissesItsOwnWire(Job job, Sheet sheet) throws PartException {
        Assembly assembly = Assembly.of(sheet);
        List<TestStep> steps = TestSheet.of(assembly, job.practice());
        for (Wire wire : WireList.of(Assembly.of(sheet.withFieldwork(Fieldwork.NONE)), job.practice())
                .wires()) {
            TestStep step = steps.stream()
                    .filter(one -> one.situation().hands().isEmpty() && isOf(wire, one.observation()))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("no step for " + wire.words()));
            assertThat(step.expected().value()).as(wire.words()).contains(0.0);
            Fault off = new Fault(Fault.Kind.OFF, wire.to().tag(), wire.to().marking());
            assertThat(Coverage.firstFailing(assembly, List.of(step), off))
                    .as("%s, with that end off", wire.words())
                    .isPresent();
        }
    }

    private static boolean isOf(Wire wire, Observation observation) {
        String from = wire.from().toString();
        String to = wire.to().toString();
        return observation.equals(new Observation.Ohms(from, to))
                || observation instanceof Observation.Protective conductor
                        && conductor.red().equals(from)
                        && conductor.black().equals(to);
    }
}
