package parable.testsheet;

import java.util.List;
import java.util.Optional;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;

/** What a step of a test sheet has come to. */
public enum Verdict {
    /** Nothing was found yet. */
    OPEN("to do"),
    /** What was found is as good as expected. */
    PASS("pass"),
    /** It is not. */
    FAIL("fail"),
    /** It is not, and somebody has said why it may stay. */
    FAIL_WITH_REMARK("fail, remarked");

    private final String words;

    Verdict(String words) {
        this.words = words;
    }

    /** As it stands beside the step. */
    public String words() {
        return words;
    }

    /** What a step has come to by the readings so far. */
    public static Verdict of(TestStep step, Fieldwork work) {
        Optional<Reading> reading =
                work.reading(step.id()).filter(one -> !one.found().isBlank());
        if (reading.isEmpty()) {
            return OPEN;
        }
        if (step.passes(reading.get().found())) {
            return PASS;
        }
        return reading.get().remark().isBlank() ? FAIL : FAIL_WITH_REMARK;
    }

    /** The steps that keep a sheet from being signed: open ones, and failed ones without a remark; in their order. */
    public static List<TestStep> unsigned(List<TestStep> steps, Fieldwork work) {
        return steps.stream()
                .filter(step -> of(step, work) == OPEN || of(step, work) == FAIL)
                .toList();
    }
}
