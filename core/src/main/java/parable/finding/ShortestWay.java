package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.bench.Fault;
import parable.parts.Assembly;
import parable.testsheet.StepRehearsal;

/**
 * The way that the search itself takes at a panel with something wrong: each next best look, as it is found there, until none is left.
 *
 * @param looks in their order, after the symptom
 * @param minutes how long that takes
 * @param verdict what it comes to, with those that nobody could tell apart
 */
public record ShortestWay(List<LookResult> looks, double minutes, List<Suspect> verdict) {

    private static final int MOST_LOOKS = 60;

    /** Not modified: the lists are copied. */
    public ShortestWay {
        looks = List.copyOf(looks);
        verdict = List.copyOf(verdict);
    }

    /**
     * The way from a symptom on.
     *
     * @param begun a search that knows the symptom
     * @param hidden what is wrong with the panel
     */
    public static ShortestWay of(Assembly assembly, FaultSearch begun, List<Fault> hidden) {
        StepRehearsal panel = new StepRehearsal(assembly, hidden);
        FaultSearch search = begun;
        List<LookResult> looks = new ArrayList<>();
        double minutes = 0;
        for (Optional<Proposal> next = search.next(); next.isPresent() && looks.size() < MOST_LOOKS; ) {
            PanelLook look = next.get().look();
            LookResult result = new LookResult(
                    look, look.observation().at(panel.rest(look.situation())).text());
            looks.add(result);
            minutes += next.get().minutes();
            search = search.with(result);
            if (hidden.size() > 1 && search.cannotBe()) {
                search = search.withPairs();
            }
            next = search.next();
        }
        return new ShortestWay(looks, minutes, search.verdict());
    }
}
