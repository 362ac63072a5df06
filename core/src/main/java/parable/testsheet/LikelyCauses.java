package parable.testsheet;

import java.util.Comparator;
import java.util.List;
import parable.bench.Fault;
import parable.circuit.Reading;
import parable.parts.Assembly;

/** What may be wrong when a step fails: every single fault is put into the simulated panel and the same steps are read there. */
public final class LikelyCauses {

    private static final int MOST = 8;

    /**
     * A fault that would show what was found.
     *
     * @param fault the fault
     * @param contradicted how many of the other readings it would have made different
     */
    public record Cause(Fault fault, int contradicted) {}

    private LikelyCauses() {}

    /**
     * The single faults that would make a step show what was found there, at most eight, those first that contradict fewest of the other readings.
     *
     * @param steps all steps of the sheet
     * @param results the readings so far; stale ones do not count
     * @param failed the step
     * @return empty if nothing was found there yet, or no single fault shows it
     */
    public static List<Cause> of(Assembly assembly, List<TestStep> steps, Results results, TestStep failed) {
        String found = results.reading(failed).map(Reading::found).orElse("");
        if (found.isEmpty() || failed.passes(found) || results.verdict(failed) == StepVerdict.STALE) {
            return List.of();
        }
        List<TestStep> others = steps.stream()
                .filter(step -> !step.equals(failed))
                .filter(step -> step.situation().phase() == failed.situation().phase())
                .filter(step -> results.verdict(step) != StepVerdict.OPEN && results.verdict(step) != StepVerdict.STALE)
                .toList();
        return Coverage.possible(assembly).parallelStream()
                .filter(fault -> shows(new StepRehearsal(assembly, List.of(fault)), failed, found))
                .map(fault -> new Cause(fault, contradicted(assembly, fault, others, results)))
                .sorted(Comparator.comparingInt(Cause::contradicted))
                .limit(MOST)
                .toList();
    }

    private static boolean shows(StepRehearsal faulty, TestStep step, String written) {
        Found there = step.observation().at(faulty.rest(step.situation()));
        return !step.passes(there.text()) && step.observation().accepts(there, written);
    }

    private static int contradicted(Assembly assembly, Fault fault, List<TestStep> others, Results results) {
        StepRehearsal faulty = new StepRehearsal(assembly, List.of(fault));
        return (int) others.stream()
                .filter(step -> !agrees(
                        step,
                        step.observation().at(faulty.rest(step.situation())),
                        results.reading(step).orElseThrow().found()))
                .count();
    }

    /** "As expected" means what a sound panel shows. */
    private static boolean agrees(TestStep step, Found there, String written) {
        return step.passes(written)
                ? step.passes(there.text())
                : step.observation().accepts(there, written);
    }
}
