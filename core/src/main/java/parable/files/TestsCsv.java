package parable.files;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Reading;
import parable.circuit.Sheet;
import parable.testsheet.Phase;
import parable.testsheet.Results;
import parable.testsheet.StepVerdict;
import parable.testsheet.TestStep;

/** The test sheet as a table for a spreadsheet, with what was found so far. */
public final class TestsCsv {

    private static final List<String> HEADER =
            List.of("Step", "Condition", "Do and read", "Expected", "Found", "Result", "Remark", "By", "On", "Circuit");

    private TestsCsv() {}

    /** The table. */
    public static String text(List<TestStep> steps, Sheet sheet) {
        return CsvTable.text(table(steps, sheet));
    }

    static Table table(List<TestStep> steps, Sheet sheet) {
        Results results = Results.of(sheet);
        List<List<String>> rows = new ArrayList<>();
        Optional<Phase> before = Optional.empty();
        for (int i = 0; i < steps.size(); i++) {
            Phase phase = steps.get(i).situation().phase();
            if (before.filter(phase::equals).isEmpty()) {
                rows.add(heading(phase));
            }
            before = Optional.of(phase);
            rows.add(row(i + 1, steps.get(i), results));
        }
        return new Table(HEADER, rows);
    }

    /** A line of its own that says how the panel must be before the steps that follow. */
    private static List<String> heading(Phase phase) {
        return List.of("", phase.words(), phase.condition(), "done", "", "", "", "", "", "");
    }

    /** Nothing, to be written in, for a step that is still to be done: "open" would be taken for what a meter shows. */
    private static String result(TestStep step, Results results) {
        StepVerdict verdict = results.verdict(step);
        return verdict == StepVerdict.OPEN ? "" : verdict.words();
    }

    private static List<String> row(int number, TestStep step, Results results) {
        Optional<Reading> reading = results.reading(step);
        return List.of(
                Integer.toString(number),
                step.situation().phase().words() + ", "
                        + step.situation().phase().reminder(),
                step.words(),
                step.expected().text(),
                reading.map(Reading::found).orElse(""),
                result(step, results),
                reading.map(Reading::remark).orElse(""),
                reading.map(Reading::by).orElse(""),
                reading.map(Reading::on).orElse(""),
                reading.map(Reading::revision).orElse(""));
    }
}
