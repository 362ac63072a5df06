package parable.finding;

import java.util.List;
import java.util.stream.Collectors;
import parable.testsheet.TestStep;

/** What the record of a machine is told of a search: what was seen, what it was, how it was mended, and which tests passed then. */
public final class FindingRecord {

    private FindingRecord() {}

    /**
     * The text of the entry.
     *
     * @param seen all looks, in their order
     * @param passed the steps of the test sheet that were read again and passed
     */
    public static String text(List<LookResult> seen, Mend mend, List<TestStep> passed) {
        String looks = seen.stream().map(LookResult::text).collect(Collectors.joining(". "));
        String tests = passed.isEmpty()
                ? "No test was read again."
                : "Tests that pass now: "
                        + passed.stream()
                                .map(step ->
                                        step.words() + " " + step.expected().text())
                                .collect(Collectors.joining("; "))
                        + ".";
        return (looks.isEmpty() ? "" : "Seen: " + looks + ". ") + mend.entry() + " " + tests;
    }
}
