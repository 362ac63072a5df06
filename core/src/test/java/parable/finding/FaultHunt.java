package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.testsheet.Found;
import parable.testsheet.Glimpse;
import parable.testsheet.Phase;
import parable.testsheet.StepRehearsal;

/** Hunts for faults that are hidden in a panel on the bench: tells the symptom, makes the looks that are proposed, and counts them. */
final class FaultHunt {

    /** No hunt may take longer. */
    private static final int TOO_LONG = 60;

    private final Assembly assembly;
    private final FaultSearch begun;
    private final List<PanelLook> sights;
    private final StepRehearsal sound;

    FaultHunt(Assembly assembly, Practice practice, FaultSearch.Knowledge knowledge) {
        this.assembly = assembly;
        begun = FaultSearch.of(assembly, RatingTables.of(practice), knowledge);
        sound = new StepRehearsal(assembly, List.of());
        sights = Stream.concat(
                        new LookCatalogue(assembly)
                                .all().stream()
                                        .filter(look -> look.situation().phase() == Phase.MOTOR)
                                        .filter(look -> look.observation() instanceof Glimpse),
                        begun.leftRunning().stream().map(left -> new PanelLook(left, LookCatalogue.glance(assembly))))
                .toList();
    }

    /**
     * What came of a hunt.
     *
     * @param fitting how many suspects fitted the symptom
     * @param looks how many looks it took after that
     * @param harmful the looks that made a short circuit with what was hidden
     */
    record Hunted(int fitting, int looks, double minutes, List<PanelLook> harmful, FaultSearch end) {

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

        String found(PanelLook look) {
            return look.observation().at(panel.rest(look.situation())).text();
        }

        boolean isHarmed(PanelLook look) {
            return !look.isDead() && panel.rest(look.situation()).wasShorted();
        }

        /** The first thing that somebody who runs the machine would see; empty if everything looks as it should. */
        Optional<LookResult> symptom() {
            return sights.stream()
                    .filter(look -> !found(look)
                            .equals(look.observation()
                                    .at(sound.rest(look.situation()))
                                    .text()))
                    .map(look -> new LookResult(look, found(look)))
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
        List<PanelLook> harmful = new ArrayList<>();
        Optional<Proposal> next = search.next();
        while (next.isPresent() && looks < TOO_LONG) {
            PanelLook look = next.get().look();
            boolean remembered = look.observation() instanceof Glimpse
                    && search.seen().stream()
                            .anyMatch(one -> one.look().situation().equals(look.situation()));
            if (!remembered && hidden.isHarmed(look)) {
                harmful.add(look);
            }
            String right = hidden.found(look);
            boolean wrong = chance.filter(random -> random.nextInt(10) == 0).isPresent();
            search = search.with(new LookResult(look, wrong ? another(next.get(), right, chance.get()) : right));
            looks++;
            minutes += next.get().minutes();
            next = search.next();
        }
        return new Hunted(from.fitting().size(), looks, minutes, harmful, search);
    }

    /** Hunts for two faults: mends what is named, runs the machine again, and goes on until it does what it should; empty if they show nothing. */
    Optional<Boolean> huntBoth(List<Fault> faults) {
        List<Fault> left = new ArrayList<>(faults);
        FaultSearch search = begun;
        Optional<LookResult> symptom = new Hidden(left).symptom();
        if (symptom.isEmpty()) {
            return Optional.empty();
        }
        for (int mend = 0; mend < 4 && symptom.isPresent(); mend++) {
            Hidden now = new Hidden(left);
            search = hunt(now, search.with(symptom.get()), Optional.empty()).end();
            if (search.cannotBe()) {
                search = hunt(now, search.withPairs(), Optional.empty()).end();
            }
            Optional<Suspect> named = search.verdict().stream()
                    .filter(one -> one.faults().stream()
                            .allMatch(fault -> left.stream().anyMatch(hidden -> isSameMend(hidden, fault))))
                    .findFirst();
            if (named.isEmpty()) {
                return Optional.of(false);
            }
            left.removeIf(hidden -> named.get().faults().stream().anyMatch(fault -> isSameMend(hidden, fault)));
            search = search.mended(named.get());
            symptom = new Hidden(left).symptom();
        }
        return Optional.of(left.isEmpty() || symptom.isEmpty());
    }

    /** A wire that is off and one that is loose are put back and tightened alike. */
    private static boolean isSameMend(Fault one, Fault other) {
        Set<Fault.Kind> tightened = Set.of(Fault.Kind.OFF, Fault.Kind.LOOSE);
        return one.equals(other)
                || one.tag().equals(other.tag())
                        && one.place().equals(other.place())
                        && tightened.contains(one.kind())
                        && tightened.contains(other.kind());
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
