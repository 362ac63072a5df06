package parable.testsheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import parable.parts.Assembly;
import parable.parts.Part;

/** The steps of a test sheet while it is made; one that is there already is not added again. */
final class Steps {

    private final Assembly assembly;
    private final StepRehearsal sound;
    private final Map<String, TestStep> steps = new LinkedHashMap<>();

    Steps(Assembly assembly) {
        this.assembly = assembly;
        sound = new StepRehearsal(assembly, List.of());
    }

    Assembly assembly() {
        return assembly;
    }

    /** The sound panel. */
    StepRehearsal sound() {
        return sound;
    }

    /** In the order in which they were added. */
    List<TestStep> all() {
        return List.copyOf(steps.values());
    }

    void add(Situation situation, Observation observation) {
        if (observation instanceof Observation.Glance look && look.tags().isEmpty()) {
            return;
        }
        String id = situation.phase().name().toLowerCase(Locale.ROOT) + ": " + situation.words() + ": "
                + observation.words();
        steps.computeIfAbsent(
                id, any -> new TestStep(id, situation, observation, observation.at(sound.rest(situation))));
    }

    /** A terminal as an observation names it. */
    static String at(Part part, String marking) {
        return part.tag() + ":" + marking;
    }
}
