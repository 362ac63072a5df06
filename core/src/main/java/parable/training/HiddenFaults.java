package parable.training;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.finding.FaultSearch;
import parable.finding.FindingException;
import parable.finding.LookResult;
import parable.finding.PanelLook;
import parable.finding.SymptomForm;
import parable.parts.Assembly;
import parable.testsheet.Coverage;
import parable.testsheet.Glimpse;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/**
 * What is hidden in a panel, and how somebody notices it.
 *
 * @param faults what is wrong
 * @param symptom what the machine does that it should not
 */
record HiddenFaults(List<Fault> faults, LookResult symptom) {

    HiddenFaults {
        faults = List.copyOf(faults);
    }

    /**
     * Those of a level: the same seed hides the same.
     *
     * @throws FindingException if the panel has none that shows
     */
    static HiddenFaults of(Assembly assembly, FaultSearch search, Level level, long seed) throws FindingException {
        List<Fault> possible = new ArrayList<>(Coverage.possible(assembly).stream()
                .filter(fault -> fault.kind() == level.kind())
                .toList());
        Collections.shuffle(possible, new Random(seed));
        List<Fault> showing = new ArrayList<>();
        for (Fault fault : possible) {
            boolean apart = showing.stream().noneMatch(other -> other.tag().equals(fault.tag()));
            if (apart && showsWithoutHarm(assembly, search, fault)) {
                showing.add(fault);
            }
            if (showing.size() == level.count()) {
                return of(assembly, search, showing);
            }
        }
        throw new FindingException(
                "level",
                level.word() + " on " + assembly.sheet().name(),
                "a level of which something shows there; " + showing.size() + " of " + level.count() + " found");
    }

    /** What makes a short circuit when the machine is started is not for learning. */
    private static boolean showsWithoutHarm(Assembly assembly, FaultSearch search, Fault fault) {
        StepRehearsal faulty = new StepRehearsal(assembly, List.of(fault));
        return symptom(assembly, search, List.of(fault))
                .filter(symptom -> !faulty.rest(symptom.look().situation()).wasShorted())
                .isPresent();
    }

    /**
     * These.
     *
     * @throws FindingException if nothing of them shows while the machine is operated
     */
    static HiddenFaults of(Assembly assembly, FaultSearch search, List<Fault> faults) throws FindingException {
        LookResult symptom = symptom(assembly, search, faults)
                .orElseThrow(() -> new FindingException(
                        "what is hidden", faults.get(0).words(), "something that shows while the machine is operated"));
        return new HiddenFaults(faults, symptom);
    }

    private static List<Situation> all(FaultSearch search) {
        return Stream.concat(search.situations().stream(), search.leftRunning().stream())
                .toList();
    }

    private static Optional<LookResult> symptom(Assembly assembly, FaultSearch search, List<Fault> faults) {
        StepRehearsal sound = new StepRehearsal(assembly, List.of());
        StepRehearsal faulty = new StepRehearsal(assembly, faults);
        List<String> tags = SymptomForm.of(assembly, search.situations().get(0)).rows().stream()
                .map(SymptomForm.Row::tag)
                .toList();
        Glimpse all = new Glimpse(tags);
        for (Situation situation : all(search)) {
            String found = all.at(faulty.rest(situation)).text();
            if (!found.equals(all.at(sound.rest(situation)).text())) {
                return Optional.of(new LookResult(new PanelLook(situation, all), found));
            }
        }
        return Optional.empty();
    }
}
