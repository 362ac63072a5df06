package parable.testsheet;

import java.util.List;
import java.util.Optional;
import parable.circuit.Basis;
import parable.circuit.Extras;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;
import parable.circuit.Sheet;

/** What the readings of a sheet are worth on its circuit as it is now. */
public final class Results {

    private final Fieldwork work;
    private final Basis basis;

    private Results(Fieldwork work, Basis basis) {
        this.work = work;
        this.basis = basis;
    }

    /** Those of a sheet. */
    public static Results of(Sheet sheet) {
        return new Results(sheet.fieldwork(), Basis.of(sheet));
    }

    /** What was found at a step, stale or not; empty if nothing was yet. */
    public Optional<Reading> reading(TestStep step) {
        return work.reading(step.id());
    }

    /** What a step has come to. */
    public StepVerdict verdict(TestStep step) {
        Optional<Reading> reading = reading(step).filter(one -> !one.found().isBlank());
        if (reading.isEmpty()) {
            return StepVerdict.OPEN;
        }
        if (basis.isStale(reading.get())) {
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
        return new Reading(step.id(), found, remark, by, on, basis.revision(), basis.of(step.id()), Extras.NONE);
    }
}
