package parable.files;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;
import parable.testsheet.Phase;
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
        List<List<String>> rows = new ArrayList<>();
        Optional<Phase> before = Optional.empty();
        for (int i = 0; i < steps.size(); i++) {
            Phase phase = steps.get(i).situation().phase();
            if (before.filter(phase::equals).isEmpty()) {
                rows.add(heading(phase));
            }
            before = Optional.of(phase);
            rows.add(row(i + 1, steps.get(i), work));
        }
        return new Table(HEADER, rows);
    }

    /** A line of its own that says how the panel must be before the steps that follow. */
    private static List<String> heading(Phase phase) {
        return List.of("", phase.words(), phase.condition(), "done", "", "", "", "", "");
    }

    /** Nothing, to be written in, for a step that is still to be done: "open" would be taken for what a meter shows. */
    private static String result(TestStep step, Fieldwork work) {
        Verdict verdict = Verdict.of(step, work);
        return verdict == Verdict.OPEN ? "" : verdict.words();
    }

    private static List<String> row(int number, TestStep step, Fieldwork work) {
        Optional<Reading> reading = work.reading(step.id());
        return List.of(
                Integer.toString(number),
                step.situation().phase().words() + ", "
                        + step.situation().phase().reminder(),
                step.words(),
                step.expected().text(),
                reading.map(Reading::found).orElse(""),
                result(step, work),
                reading.map(Reading::remark).orElse(""),
                reading.map(Reading::by).orElse(""),
                reading.map(Reading::on).orElse(""));
    }
}
