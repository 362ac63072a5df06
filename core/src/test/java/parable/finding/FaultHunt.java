package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.testsheet.Found;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.StepRehearsal;

/** Hunts for faults that are hidden in a panel on the bench: tells the symptom, makes the looks that are proposed, and counts them. */
final class FaultHunt {

    /** No hunt may take longer. */
    private static final int TOO_LONG = 60;

    private final Assembly assembly;
    private final FaultSearch begun;
    private final List<Look> sights;
    private final StepRehearsal sound;

    FaultHunt(Assembly assembly, Practice practice, FaultSearch.Knowledge knowledge) {
        this.assembly = assembly;
        begun = FaultSearch.of(assembly, RatingTables.of(practice), knowledge);
        sound = new StepRehearsal(assembly, List.of());
        sights = new LookCatalogue(assembly)
                .all().stream()
                        .filter(look -> look.situation().phase() == Phase.MOTOR)
                        .filter(look -> look.observation() instanceof Observation.Sight)
                        .toList();
    }

    /**
     * What came of a hunt.
     *
     * @param fitting how many suspects fitted the symptom
     * @param looks how many looks it took after that
     * @param harmful the looks that made a short circuit with what was hidden
     */
    record Hunted(int fitting, int looks, double minutes, List<Look> harmful, FaultSearch end) {

        boolean names(List<Fault> hidden) {
            return end.verdict().contains(new Suspect(hidden));
        }
    }

    /** A panel in which faults are hidden. */
    final class Hidden {

        private final StepRehearsal panel;

        Hidden(List<Fault> faults) {
            panel = new StepRehearsal(assembly, faults);
        }

        String found(Look look) {
            return look.observation().at(panel.rest(look.situation())).text();
        }

        boolean isHarmed(Look look) {
            return !look.isDead() && panel.rest(look.situation()).wasShorted();
        }

        /** The first thing that somebody who runs the machine would see; empty if everything looks as it should. */
        Optional<Seen> symptom() {
            return sights.stream()
                    .filter(look -> !found(look)
                            .equals(look.observation()
                                    .at(sound.rest(look.situation()))
                                    .text()))
                    .map(look -> new Seen(look, found(look)))
                    .findFirst();
        }
    }

    FaultSearch begun() {
        return begun;
    }

    /** Hunts to the end with right readings. */
    Optional<Hunted> hunt(List<Fault> faults) {
        return hunt(faults, Optional.empty());
    }

    /** Hunts to the end; one reading in ten after the symptom is wrong if there is chance. */
    Optional<Hunted> hunt(List<Fault> faults, Optional<Random> chance) {
        Hidden hidden = new Hidden(faults);
        return hidden.symptom().map(symptom -> hunt(hidden, begun.with(symptom), chance));
    }

    Hunted hunt(Hidden hidden, FaultSearch from, Optional<Random> chance) {
        FaultSearch search = from;
        int looks = 0;
        double minutes = 0;
        List<Look> harmful = new ArrayList<>();
        Optional<Proposal> next = search.next();
        while (next.isPresent() && looks < TOO_LONG) {
            Look look = next.get().look();
            if (hidden.isHarmed(look)) {
                harmful.add(look);
            }
            String right = hidden.found(look);
            boolean wrong = chance.filter(random -> random.nextInt(10) == 0).isPresent();
            search = search.with(new Seen(look, wrong ? another(next.get(), right, chance.get()) : right));
            looks++;
            minutes += next.get().minutes();
            next = search.next();
        }
        return new Hunted(from.fitting().size(), looks, minutes, harmful, search);
    }

    private static String another(Proposal proposal, String right, Random random) {
        List<String> others = proposal.shows().stream()
                .map(Proposal.Show::found)
                .filter(found -> !proposal.look().observation().accepts(new Found(found, Optional.empty()), right))
                .filter(found -> !found.equals(right))
                .toList();
        return others.isEmpty() ? right : others.get(random.nextInt(others.size()));
    }
}
