package parable.finding;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.testsheet.Glimpse;
import parable.testsheet.Phase;
import parable.testsheet.Situation;

/** Chooses the look that tells most for its minutes, in bits of the entropy of the suspects, and does no harm. */
final class NextLook {

    /** Nobody is sure of more. */
    static final double SURE = 0.98;

    /** Suspects that are less likely, against the likeliest, decide no look. */
    static final double IN_PLAY = 0.02;

    /** Those that a reading speaks against while another fits all of them, are out of play sooner, unless somebody doubts the readings. */
    private static final double DOUBTED_IN_PLAY = 0.05;

    static final int MOST_IN_PLAY = 250;

    /** What tells less than this where one is already is no reason to stay there. */
    private static final double ENOUGH_BITS = 0.6;

    /** In minutes: what each look costs besides its own, to find the place, to write the answer down and to think of what it means. */
    private static final double EACH = 4;

    private final SearchBasis basis;
    private final Beliefs beliefs;
    private final List<LookResult> seen;
    private final List<Integer> play;
    private final Set<PanelLook> made;

    /** Nobody is asked to leave a machine running again that may be about to burn. */
    private final Set<Situation> brought;

    private final Situation last;

    NextLook(SearchBasis basis, Beliefs beliefs, List<LookResult> seen, List<PanelLook> skipped) {
        this.basis = basis;
        this.beliefs = beliefs;
        this.seen = seen;
        double doubted = basis.doubt() > FaultSearch.USUAL_DOUBT ? IN_PLAY : DOUBTED_IN_PLAY;
        play = beliefs.atLeast(IN_PLAY, MOST_IN_PLAY).stream()
                .filter(suspect -> beliefs.isUnchallenged(suspect) || beliefs.isAtLeast(doubted, suspect))
                .toList();
        made = Stream.concat(seen.stream().map(LookResult::look), skipped.stream())
                .collect(Collectors.toSet());
        brought = seen.stream()
                .map(one -> one.look().situation())
                .filter(situation -> !situation.leftRunning())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        last = seen.isEmpty()
                ? new Situation(Phase.MOTOR, List.of())
                : seen.get(seen.size() - 1).look().situation();
    }

    /** A look that could be next: what it tells, and whether it parts suspects that nothing speaks against. */
    private record Choice(PanelLook look, int place, double minutes, double bits, boolean parts) {

        boolean isWorthIt() {
            return parts || bits >= entropy(List.of(SURE, 1 - SURE));
        }

        /** Ten small looks are more trouble than their minutes tell. */
        double bitsAMinute() {
            return bits / (minutes + EACH);
        }
    }

    /** The next best look; empty when none that does no harm tells the suspects apart that are left. */
    Optional<Proposal> proposal() {
        Set<Situation> near = new LinkedHashSet<>(List.of(new Situation(Phase.DEAD, List.of())));
        brought.forEach(situation -> near.addAll(onTheWayTo(situation)));
        return best(near)
                .filter(choice -> choice.bits() >= ENOUGH_BITS)
                .or(() -> best(basis.looks().situations(brought)))
                .map(this::proposal)
                .or(() -> confirmation(near));
    }

    private Optional<Proposal> confirmation(Set<Situation> near) {
        Confirmation confirmation = new Confirmation(basis, beliefs, seen);
        return seen.isEmpty() || confirmation.isGiven()
                ? Optional.empty()
                : confirmation.look(
                        List.of(near, basis.looks().situations(brought)),
                        last,
                        look -> !made.contains(look) && isHarmless(look));
    }

    private static List<Situation> onTheWayTo(Situation situation) {
        return IntStream.rangeClosed(0, situation.hands().size())
                .mapToObj(deeds ->
                        new Situation(situation.phase(), situation.hands().subList(0, deeds)))
                .toList();
    }

    private Optional<Choice> best(Set<Situation> situations) {
        basis.looks().run(play, situations);
        return situations.stream()
                .flatMap(situation -> choices(situation).stream())
                .filter(Choice::isWorthIt)
                .sorted(Comparator.comparingDouble(Choice::bitsAMinute).reversed())
                .filter(choice -> isHarmless(choice.look()))
                .findFirst();
    }

    private List<Choice> choices(Situation situation) {
        List<PanelLook> there = basis.looks().in(situation);
        List<Choice> choices = new ArrayList<>();
        for (int place = 0; place < there.size(); place++) {
            if (!made.contains(there.get(place))) {
                choices.add(choice(there.get(place), place));
            }
        }
        return choices;
    }

    private Choice choice(PanelLook look, int place) {
        Map<Integer, Double> shares = new HashMap<>();
        int first = -1;
        boolean parts = false;
        for (int suspect : play) {
            int outcome = basis.looks().outcome(suspect, look.situation(), place);
            shares.merge(outcome, beliefs.share(suspect), Double::sum);
            if (beliefs.contradicted(suspect) == 0) {
                parts |= first >= 0 && first != outcome;
                first = outcome;
            }
        }
        return new Choice(look, place, basis.times().minutes(look, last), entropy(shares.values()), parts);
    }

    /** In bits, of shares that need not make up 1 together. */
    private static double entropy(Collection<Double> shares) {
        double sum = shares.stream().mapToDouble(Double::doubleValue).sum();
        return shares.stream()
                .mapToDouble(share -> share / sum)
                .filter(share -> share > 0)
                .map(share -> -share * Math.log(share) / Math.log(2))
                .sum();
    }

    /** Whether none of the likely suspects would make a short circuit on the way there. What somebody has just seen happen need not be brought about again to say more of it. */
    private boolean isHarmless(PanelLook look) {
        Situation situation = look.situation();
        boolean remembered = brought.contains(situation) && look.observation() instanceof Glimpse;
        if (situation.phase() == Phase.DEAD || remembered) {
            return true;
        }
        List<Integer> feared = beliefs.atLeast(IN_PLAY, Integer.MAX_VALUE);
        basis.looks().run(feared, List.of(situation));
        return feared.stream().noneMatch(suspect -> basis.looks().harms(suspect, situation));
    }

    private Proposal proposal(Choice choice) {
        Situation situation = choice.look().situation();
        Outcomes outcomes = basis.looks().outcomes(situation, choice.place());
        Map<Integer, List<Integer>> groups = play.stream()
                .collect(Collectors.groupingBy(suspect -> basis.looks().outcome(suspect, situation, choice.place())));
        double all = play.stream().mapToDouble(beliefs::share).sum();
        List<Proposal.Show> shows = groups.entrySet().stream()
                .map(group -> new Proposal.Show(
                        outcomes.text(group.getKey()),
                        group.getValue().stream().mapToDouble(beliefs::share).sum() / all,
                        group.getValue().stream().map(basis.suspects()::get).toList()))
                .sorted(Comparator.comparingDouble(Proposal.Show::share).reversed())
                .toList();
        return new Proposal(choice.look(), choice.minutes(), choice.bits(), shows).toThePoint();
    }
}
