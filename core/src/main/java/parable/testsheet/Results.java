package parable.testsheet;

import java.util.List;
import java.util.Optional;
import parable.circuit.Basis;
import parable.circuit.Extras;
import parable.circuit.Reading;
import parable.circuit.Sheet;

/** What the readings of a sheet are worth on its circuit as it is now. */
public final class Results {

    private final Sheet sheet;

    /** Worked out when a reading is weighed or taken for the first time: on a large sheet it takes a while, and most have no reading yet. */
    private Optional<Basis> basis = Optional.empty();

    private Results(Sheet sheet) {
        this.sheet = sheet;
    }

    /** Those of a sheet. */
    public static Results of(Sheet sheet) {
        return new Results(sheet);
    }

    private Basis basis() {
        Basis worked = basis.orElseGet(() -> Basis.of(sheet));
        basis = Optional.of(worked);
        return worked;
    }

    /** What was found at a step, stale or not; empty if nothing was yet. */
    public Optional<Reading> reading(TestStep step) {
        return sheet.fieldwork().reading(step.id());
    }

    /** What a step has come to. */
    public StepVerdict verdict(TestStep step) {
        Optional<Reading> reading = reading(step).filter(one -> !one.found().isBlank());
        if (reading.isEmpty()) {
            return StepVerdict.OPEN;
        }
        if (basis().isStale(reading.get())) {
            return StepVerdict.STALE;
        }
        if (step.passes(reading.get().found())) {
            return StepVerdict.PASS;
        }
        return reading.get().remark().isBlank() ? StepVerdict.FAIL : StepVerdict.FAIL_WITH_REMARK;
    }

    /** The steps that keep the sheet from being signed: open or stale ones, and failed ones without a remark; in their order. */
    public List<TestStep> unsigned(List<TestStep> steps) {
        return steps.stream()
                .filter(step -> verdict(step) != StepVerdict.PASS && verdict(step) != StepVerdict.FAIL_WITH_REMARK)
                .toList();
    }

    /** A reading that is taken on this circuit. */
    public Reading taken(TestStep step, String found, String remark, String by, String on) {
        return new Reading(step.id(), found, remark, by, on, basis().revision(), basis().of(step.id()), Extras.NONE);
    }
}
