package parable.finding;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.parts.Assembly;
import parable.testsheet.Found;
import parable.testsheet.Situation;

/** All looks at a panel, and what each would find with each suspect; shared by all steps of a search, and worked out when it is asked for. */
final class PanelLooks {

    private final LookCatalogue catalogue;
    private final Map<Situation, List<PanelLook>> bySituation = new LinkedHashMap<>();
    private final Set<Situation> offered;
    private final List<FaultyPanel> panels;
    private final Map<Situation, List<int[]>> outcomes = new HashMap<>();
    private final Map<Situation, List<Outcomes>> kinds = new HashMap<>();
    private Optional<List<Situation>> left = Optional.empty();

    PanelLooks(Assembly assembly, List<Suspect> suspects) {
        catalogue = new LookCatalogue(assembly);
        bySituation.putAll(catalogue.all().stream()
                .collect(Collectors.groupingBy(PanelLook::situation, LinkedHashMap::new, Collectors.toList())));
        offered = new LinkedHashSet<>(bySituation.keySet());
        panels = suspects.stream()
                .map(suspect -> new FaultyPanel(assembly, suspect))
                .toList();
    }

    /** The situations that are offered, with those that somebody has brought besides. */
    Set<Situation> situations(Collection<Situation> besides) {
        Set<Situation> all = new LinkedHashSet<>(offered);
        all.addAll(besides);
        return all;
    }

    /** Those of the situations that are offered in which a motor runs by itself, each left to itself; of those that look alike one. */
    synchronized List<Situation> leftRunning() {
        if (left.isEmpty()) {
            left = Optional.of(catalogue.leftRunning(offered));
        }
        return left.get();
    }

    /** The looks in a situation. */
    synchronized List<PanelLook> in(Situation situation) {
        return bySituation.computeIfAbsent(situation, one -> new ArrayList<>(catalogue.in(one)));
    }

    /** A look of somebody's own in the list of its situation; panels that were in it already are run again. */
    synchronized int place(PanelLook look) {
        List<PanelLook> there = in(look.situation());
        int place = there.indexOf(look);
        if (place >= 0) {
            return place;
        }
        List<PanelLook> more = new ArrayList<>(there);
        more.add(look);
        bySituation.put(look.situation(), more);
        outcomes.remove(look.situation());
        kinds.remove(look.situation());
        return more.size() - 1;
    }

    /** Runs suspects through all looks of situations; bringing them about is what takes long. */
    void run(List<Integer> suspects, Collection<Situation> situations) {
        Map<Situation, List<PanelLook>> wanted = new LinkedHashMap<>();
        situations.forEach(situation -> wanted.put(situation, in(situation)));
        suspects.parallelStream().forEach(suspect -> panels.get(suspect).run(wanted));
    }

    /** The number of the outcome that a look has with a suspect that was run through it; same numbers, same outcome. */
    synchronized int outcome(int suspect, Situation situation, int place) {
        int[] known = outcomes.computeIfAbsent(situation, one -> in(one).stream()
                        .map(look -> new int[panels.size()])
                        .toList())
                .get(place);
        if (known[suspect] == 0) {
            known[suspect] = 1 + outcomes(situation, place).of(found(suspect, situation, place));
        }
        return known[suspect] - 1;
    }

    Found found(int suspect, Situation situation, int place) {
        return panels.get(suspect).found(situation, place);
    }

    /** What a look finds where nothing is wrong. */
    synchronized Found sound(PanelLook look) {
        return catalogue.sound(look);
    }

    boolean harms(int suspect, Situation situation) {
        return panels.get(suspect).harms(situation);
    }

    synchronized Outcomes outcomes(Situation situation, int place) {
        return kinds.computeIfAbsent(situation, one -> in(one).stream()
                        .map(look -> new Outcomes(look.observation()))
                        .toList())
                .get(place);
    }
}
