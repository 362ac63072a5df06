package parable.testsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Verb;

/** What may be wrong at a failed step: found back from the readings that one fault makes. */
class LikelyCausesTest {

    private static final Sheet SHEET = Examples.ofLibrary("Two-wire");
    private static final Assembly ASSEMBLY = Examples.fitted(SHEET);
    private static final List<TestStep> STEPS = TestSheet.of(ASSEMBLY, Practice.IEC);

    /** The sheet with the first steps read on a panel with a fault, up to and with the first that fails. */
    private static Sheet readUpToTheFailure(Fault fault) {
        List<Found> found = TestSheet.found(ASSEMBLY, STEPS, List.of(fault));
        Sheet read = SHEET;
        for (int i = 0; i < STEPS.size(); i++) {
            TestStep step = STEPS.get(i);
            read = read.withFieldwork(read.fieldwork()
                    .with(Results.of(read).taken(step, found.get(i).text(), "", "E. Marsh", "2026-11-26")));
            if (!step.passes(found.get(i).text())) {
                return read;
            }
        }
        throw new AssertionError("no step fails with " + fault.words());
    }

    private static TestStep failed(Sheet read) {
        Results results = Results.of(read);
        return STEPS.stream()
                .filter(step -> results.verdict(step) == StepVerdict.FAIL)
                .findFirst()
                .orElseThrow();
    }

    private static List<LikelyCauses.Cause> causes(Sheet read) {
        return LikelyCauses.of(ASSEMBLY, STEPS, Results.of(read), failed(read));
    }

    @ParameterizedTest
    @CsvSource({
        "WELDED, K1, 1-2",
        "BURNT, K1, 3-4",
        "OFF, K1, A1",
        "MISSET, F2, ''",
        "BURNT, F2, 95-96",
        "BROKEN, K1, ''",
        "EARTHED, K1, A1"
    })
    void theFaultThatIsThereIsAmongTheFirst(Fault.Kind kind, String tag, String place) {
        Fault fault = new Fault(kind, tag, place);

        List<LikelyCauses.Cause> causes = causes(readUpToTheFailure(fault));

        assertThat(causes).hasSizeLessThanOrEqualTo(8).isNotEmpty();
        assertThat(causes).extracting(LikelyCauses.Cause::contradicted).isSorted();
        int least = causes.get(0).contradicted();
        assertThat(least).isZero();
        assertThat(causes)
                .filteredOn(cause -> cause.contradicted() == least || causes.size() < 8)
                .extracting(LikelyCauses.Cause::fault)
                .as(fault.words())
                .contains(fault);
    }

    /** No wire shows it: the step that tries both armatures does. */
    @Test
    void anInterlockThatIsMissingIsSuspectedWhereBothArmaturesGoIn() {
        Assembly mill = Examples.fitted(Examples.ofLibrary("Mill"));
        TestStep both = TestSheet.of(mill, Practice.IEC).stream()
                .filter(step -> step.situation().hands().size() == 2
                        && step.situation().hands().stream().allMatch(hand -> hand.verb() == Verb.PUSH))
                .findFirst()
                .orElseThrow();
        Fault missing = new Fault(Fault.Kind.MISSING, "X1", "");
        Found in = TestSheet.found(mill, List.of(both), List.of(missing)).get(0);
        Sheet read = mill.sheet()
                .withFieldwork(mill.sheet()
                        .fieldwork()
                        .with(Results.of(mill.sheet()).taken(both, in.text(), "", "E. Marsh", "2026-11-26")));

        assertThat(both.passes(in.text())).isFalse();
        assertThat(LikelyCauses.of(mill, List.of(both), Results.of(read), both))
                .extracting(LikelyCauses.Cause::fault)
                .containsExactly(missing);
    }

    @Test
    void withoutAFailureNothingIsSuspected() {
        TestStep first = STEPS.get(0);
        Sheet passed = SHEET.withFieldwork(SHEET.fieldwork()
                .with(Results.of(SHEET).taken(first, first.expected().text(), "", "E. Marsh", "2026-11-26")));

        assertThat(LikelyCauses.of(ASSEMBLY, STEPS, Results.of(SHEET), first)).isEmpty();
        assertThat(LikelyCauses.of(ASSEMBLY, STEPS, Results.of(passed), first)).isEmpty();
    }

    /** A reading that no single fault makes is left to whoever has taken it. */
    @Test
    void whatNoSingleFaultShowsHasNoLikelyCause() {
        TestStep dial = STEPS.stream()
                .filter(step -> step.words().startsWith("Read the dial"))
                .findFirst()
                .orElseThrow();
        Sheet odd = SHEET.withFieldwork(
                SHEET.fieldwork().with(Results.of(SHEET).taken(dial, "55 A", "", "E. Marsh", "2026-11-26")));

        assertThat(LikelyCauses.of(ASSEMBLY, STEPS, Results.of(odd), dial)).isEmpty();
    }

    /** Readings of another circuit do not count. */
    @Test
    void aStaleFailureSuspectsNothing() {
        Sheet read = readUpToTheFailure(new Fault(Fault.Kind.WELDED, "K1", "1-2"));
        Sheet changed = read.withDevices(read.devices().stream()
                .map(device -> device.tag().equals("F2") ? device.with("setting", "5.4 A") : device)
                .toList());
        TestStep failed = failed(read);
        List<TestStep> steps = TestSheet.of(Examples.fitted(changed), Practice.IEC);

        assertThat(Results.of(changed).verdict(failed)).isEqualTo(StepVerdict.STALE);
        assertThat(LikelyCauses.of(Examples.fitted(changed), steps, Results.of(changed), failed))
                .isEmpty();
    }
}
