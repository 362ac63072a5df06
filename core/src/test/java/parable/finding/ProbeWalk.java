package parable.finding;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;
import parable.testsheet.WiresAt;

/**
 * The walk of the probe as it is taught: in the situation that shows the trouble along the rungs and then the lines, until a reading is not what it is on a sound panel; then dead, the wires and ohms of
 * the devices on both sides of that place first, and then of all others, until one is not as it should be.
 */
final class ProbeWalk {

    private final Assembly assembly;
    private final LookCatalogue catalogue;
    private final List<PanelLook> offered;
    private final StepRehearsal sound;

    ProbeWalk(Assembly assembly) {
        this.assembly = assembly;
        catalogue = new LookCatalogue(assembly);
        offered = catalogue.all();
        sound = new StepRehearsal(assembly, List.of());
    }

    /** How many looks it takes until something is found dead that is not as it should be; where nothing is, the live ones alone count. */
    int looks(FaultHunt.Hidden hidden, LookResult symptom) {
        Set<String> near = new LinkedHashSet<>();
        int live = symptom.found().contains("protection opens") ? 0 : alongTheRungs(hidden, symptom, near);
        int dead = 0;
        for (PanelLook look : dead(near)) {
            dead++;
            if (isWrong(hidden, look)) {
                return live + dead;
            }
        }
        return live;
    }

    private int alongTheRungs(FaultHunt.Hidden hidden, LookResult symptom, Set<String> near) {
        int looks = 0;
        String before = "";
        for (PanelLook look : live(symptom.look().situation())) {
            looks++;
            String tag = tag(look).orElse("");
            if (isWrong(hidden, look)) {
                near.addAll(List.of(tag, before));
                break;
            }
            before = tag;
        }
        return looks;
    }

    private boolean isWrong(FaultHunt.Hidden hidden, PanelLook look) {
        return !look.observation().accepts(look.observation().at(sound.rest(look.situation())), hidden.found(look));
    }

    private List<PanelLook> live(Situation situation) {
        return catalogue.in(situation).stream()
                .filter(look -> !(look.observation() instanceof Glimpse))
                .toList();
    }

    private List<PanelLook> dead(Set<String> near) {
        List<PanelLook> dead = offered.stream()
                .filter(look -> look.situation().phase() == Phase.DEAD)
                .filter(look -> !(look.observation() instanceof WiresAt))
                .toList();
        Set<PanelLook> ordered = new LinkedHashSet<>();
        List<String> tags = new ArrayList<>(near);
        assembly.parts().stream().map(Part::tag).forEach(tags::add);
        for (String tag : tags) {
            dead.stream()
                    .filter(look -> tag(look).filter(tag::equals).isPresent())
                    .forEach(ordered::add);
        }
        ordered.addAll(dead);
        return List.copyOf(ordered);
    }

    private static Optional<String> tag(PanelLook look) {
        Observation observation = look.observation();
        if (observation instanceof Observation.Volts volts) {
            return ProbePoint.read(volts.red()).terminal().map(Terminal::tag);
        }
        if (observation instanceof Observation.Ohms ohms) {
            return ProbePoint.read(ohms.red()).terminal().map(Terminal::tag);
        }
        if (observation instanceof Observation.Amperes clamp) {
            return Optional.of(clamp.at().tag());
        }
        if (observation instanceof Observation.Dial dial) {
            return Optional.of(dial.tag());
        }
        return observation instanceof Observation.Wires wires ? Optional.of(wires.tag()) : Optional.empty();
    }
}
