package parable.finding;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.testsheet.Found;
import parable.testsheet.Glimpse;
import parable.testsheet.Situation;

/**
 * A look that shows the fault itself, where it is only what was left over: all that was measured is as on a sound panel. No part is changed because others were found good; and two faults at once can
 * show what a third shows alone.
 */
final class Confirmation {

    private final SearchBasis basis;
    private final Beliefs beliefs;
    private final List<LookResult> seen;
    private final int top;

    Confirmation(SearchBasis basis, Beliefs beliefs, List<LookResult> seen) {
        this.basis = basis;
        this.beliefs = beliefs;
        this.seen = seen;
        top = beliefs.order().get(0);
    }

    /** Whether something was measured that the likeliest suspect shows and a sound panel does not. What its devices do is the symptom, and no measurement. */
    boolean isGiven() {
        return seen.stream().anyMatch(this::speaksForIt);
    }

    private boolean speaksForIt(LookResult one) {
        PanelLook look = one.look();
        Found expected =
                basis.looks().found(top, look.situation(), basis.looks().place(look));
        return isMeasured(look)
                && look.observation().accepts(expected, one.found())
                && !look.observation().accepts(basis.looks().sound(look), one.found());
    }

    private static boolean isMeasured(PanelLook look) {
        return !(look.observation() instanceof Glimpse);
    }

    /**
     * The shortest look that would show it.
     *
     * @param situations in which looks may be made, the nearest first; later ones only count where those before have none
     * @param isOpen whether a look may be made: it was not yet, and does no harm
     */
    Optional<Proposal> look(List<Set<Situation>> situations, Situation last, Predicate<PanelLook> isOpen) {
        return situations.stream()
                .map(some -> shortest(some, last, isOpen))
                .flatMap(Optional::stream)
                .findFirst()
                .map(look -> proposal(look, last));
    }

    private Optional<PanelLook> shortest(Set<Situation> situations, Situation last, Predicate<PanelLook> isOpen) {
        basis.looks().run(List.of(top), situations);
        return situations.stream()
                .flatMap(this::telling)
                .sorted(Comparator.comparingDouble(look -> basis.times().minutes(look, last)))
                .filter(isOpen)
                .findFirst();
    }

    private Stream<PanelLook> telling(Situation situation) {
        List<PanelLook> there = basis.looks().in(situation);
        return IntStream.range(0, there.size())
                .filter(place -> isMeasured(there.get(place)))
                .filter(place -> !isAsSound(there.get(place), basis.looks().found(top, situation, place)))
                .mapToObj(there::get);
    }

    /** Either way round: what would be taken for a sound reading shows nobody a fault. */
    private boolean isAsSound(PanelLook look, Found found) {
        Found sound = basis.looks().sound(look);
        return look.observation().accepts(sound, found.text())
                || look.observation().accepts(found, sound.text());
    }

    private Proposal proposal(PanelLook look, Situation last) {
        Situation situation = look.situation();
        int place = basis.looks().place(look);
        List<Integer> unchallenged = beliefs.atLeast(NextLook.IN_PLAY, NextLook.MOST_IN_PLAY).stream()
                .filter(beliefs::isUnchallenged)
                .toList();
        basis.looks().run(unchallenged, List.of(situation));
        int outcome = basis.looks().outcome(top, situation, place);
        List<Integer> left = unchallenged.stream()
                .filter(suspect -> basis.looks().outcome(suspect, situation, place) == outcome)
                .toList();
        double sure = left.stream().mapToDouble(beliefs::share).sum();
        return new Proposal(
                look,
                basis.times().minutes(look, last),
                0,
                List.of(
                        new Proposal.Show(
                                basis.looks().found(top, situation, place).text(),
                                sure,
                                left.stream().map(basis.suspects()::get).toList()),
                        new Proposal.Show(basis.looks().sound(look).text(), 1 - sure, List.of())));
    }
}
