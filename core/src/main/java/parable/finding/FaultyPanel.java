package parable.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.parts.Assembly;
import parable.testsheet.Found;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/** A panel with something wrong, run on the bench: what looks find there, and which situations do harm. What was once run is remembered. */
final class FaultyPanel {

    private final Assembly assembly;
    private final Suspect suspect;
    private final Map<Situation, Brought> brought = new HashMap<>();

    /** A situation as it was brought about: what its looks find, in their order, and whether anything was short-circuited on the way. */
    private record Brought(List<Found> found, boolean harmful) {}

    FaultyPanel(Assembly assembly, Suspect suspect) {
        this.assembly = assembly;
        this.suspect = suspect;
    }

    /** Brings situations about that were not yet, or not with all these looks, and makes all their looks. Looks are only ever added at the end. */
    synchronized void run(Map<Situation, List<PanelLook>> wanted) {
        if (wanted.entrySet().stream().allMatch(one -> has(one.getKey(), one.getValue()))) {
            return;
        }
        StepRehearsal rehearsal = new StepRehearsal(assembly, suspect.faults());
        wanted.forEach((situation, looks) -> {
            if (!has(situation, looks)) {
                StepRehearsal.Rest rest = rehearsal.rest(situation);
                List<Found> found = new ArrayList<>();
                looks.forEach(look -> found.add(look.observation().at(rest)));
                brought.put(situation, new Brought(found, rest.wasShorted()));
            }
        });
    }

    private boolean has(Situation situation, List<PanelLook> looks) {
        return brought.containsKey(situation) && brought.get(situation).found().size() >= looks.size();
    }

    /** What is found at a look, by its place among those of its situation; that must have been brought about. */
    synchronized Found found(Situation situation, int place) {
        return brought.get(situation).found().get(place);
    }

    /** Whether anything is short-circuited on the way to a situation; that must have been brought about. */
    synchronized boolean harms(Situation situation) {
        return brought.get(situation).harmful();
    }
}
