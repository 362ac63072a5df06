package parable.files;

import java.util.List;
import java.util.Optional;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;
import parable.testsheet.TestStep;
import parable.testsheet.Verdict;

/** The test sheet as a table for a spreadsheet, with what was found so far. */
public final class TestsCsv {

    private static final List<String> HEADER =
            List.of("Step", "Condition", "Do and read", "Expected", "Found", "Result", "Remark", "By", "On");

    private TestsCsv() {}

    /** The table. */
    public static String text(List<TestStep> steps, Fieldwork work) {
        return CsvTable.text(table(steps, work));
    }

    static Table table(List<TestStep> steps, Fieldwork work) {
        return new Table(
                HEADER,
                steps.stream()
                        .map(step -> row(steps.indexOf(step) + 1, step, work))
                        .toList());
    }

    private static List<String> row(int number, TestStep step, Fieldwork work) {
        Optional<Reading> reading = work.reading(step.id());
        return List.of(
                Integer.toString(number),
                step.situation().phase().words(),
                step.words(),
                step.expected().text(),
                reading.map(Reading::found).orElse(""),
                Verdict.of(step, work).words(),
                reading.map(Reading::remark).orElse(""),
                reading.map(Reading::by).orElse(""),
                reading.map(Reading::on).orElse(""));
    }
}
