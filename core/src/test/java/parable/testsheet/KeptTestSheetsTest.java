package parable.testsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.Kept;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;

/** Whole test sheets as they were kept. */
class KeptTestSheetsTest {

    private static List<String> written(Sheet sheet, Practice practice) {
        Assembly assembly = Examples.fitted(sheet);
        List<TestStep> steps = TestSheet.of(assembly, practice);
        List<String> lines = new ArrayList<>();
        Phase phase = Phase.DEAD;
        for (TestStep step : steps) {
            if (lines.isEmpty() || phase != step.situation().phase()) {
                phase = step.situation().phase();
                lines.add("== " + phase.words() + ". " + phase.reminder());
            }
            lines.add(step.words() + " -> " + step.expected().text());
        }
        return lines;
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, IEC",
        "Mill, IEC",
        "Timed brake, IEC",
        "Juice separator, IEC",
        "Travel turned round, IEC",
        "24 V relay, IEC",
        "By controller, IEC",
        "Warning at start, IEC",
        "DC drum, IEC",
        "Glycol pump, NORTH_AMERICAN"
    })
    void everyStepAndWhatItExpects(String name, Practice practice) {
        Kept.assertSame("test-sheets", name, written(Examples.ofLibrary(name), practice));
    }

    /** Which step finds each fault first, and of those that none finds why. */
    @ParameterizedTest
    @ValueSource(strings = {"Two-wire", "Stops in parallel"})
    void whichStepFindsWhichFault(String name) {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(name));
        List<TestStep> steps = TestSheet.of(assembly, Practice.IEC);
        List<String> lines = new ArrayList<>();
        for (Fault fault : Coverage.possible(assembly)) {
            lines.add(fault.words() + " -> "
                    + Coverage.firstFailing(assembly, steps, fault)
                            .map(TestStep::words)
                            .orElseGet(() -> Coverage.reason(assembly, fault).words()));
        }
        assertThat(new TreeSet<>(lines)).hasSameSizeAs(lines);
        Kept.assertSame("test-faults", name, lines);
    }
}
