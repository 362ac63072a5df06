package parable.proof;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Refinement;
import parable.timing.Replay;
import parable.timing.TimedSearch;

/** Decides a claim that something must not be: at any speed first, then on the bench, then within the stated times. */
final class Deciding {

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final Replay replay;
    private final Refinement refinement;

    Deciding(CircuitMachine machine, Explorer explorer, Replay replay, Refinement refinement) {
        this.machine = machine;
        this.explorer = explorer;
        this.replay = replay;
        this.refinement = refinement;
    }

    /** The claim with its verdict. */
    Claim decide(ClaimQuestion question) {
        return atAnySpeed(question).orElseGet(() -> withinTimes(question));
    }

    /** Several claims, each with its verdict. Those that only times can decide are first looked at as one: mostly all of them hold. */
    List<Claim> decide(List<ClaimQuestion> questions) {
        Map<String, Claim> decided = new LinkedHashMap<>();
        questions.forEach(question -> atAnySpeed(question).ifPresent(claim -> decided.put(question.id(), claim)));
        List<ClaimQuestion> left = questions.stream()
                .filter(question -> !decided.containsKey(question.id()))
                .toList();
        if (left.size() > 1) {
            together(left)
                    .ifPresent(times -> left.forEach(question ->
                            decided.put(question.id(), Claim.of(question.id(), question.text(), times, List.of()))));
        }
        return questions.stream()
                .map(question -> Optional.ofNullable(decided.get(question.id())).orElseGet(() -> withinTimes(question)))
                .toList();
    }

    /** What became of a claim at any speed or by what the bench shows of that; empty if only times can decide it. */
    private Optional<Claim> atAnySpeed(ClaimQuestion question) {
        if (question.broken().isEmpty()) {
            boolean decided =
                    question.when() == Replay.When.IN_THE_END ? explorer.decidesByRest() : explorer.isComplete();
            return Optional.of(Claim.holding(
                    question.id(),
                    question.text(),
                    decided ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED,
                    List.of()));
        }
        List<CircuitMachine.Move> hands =
                way(question).stream().filter(CircuitMachine.Move::byHand).toList();
        return replay.find(hands, question.onBench(), question.when())
                .map(refutation -> Claim.failing(question.id(), question.text(), refutation));
    }

    private List<CircuitMachine.Move> way(ClaimQuestion question) {
        return explorer.wayTo(question.broken().orElseThrow());
    }

    private Claim withinTimes(ClaimQuestion question) {
        List<CircuitMachine.Move> way = way(question);
        if (question.when() == Replay.When.IN_THE_END && machine.mayNeverSettle()) {
            return Claim.open(
                    question.id(),
                    question.text(),
                    way.stream().map(machine::words).toList());
        }
        return Claim.of(
                question.id(),
                question.text(),
                refinement.decide(
                        question.kind(), TimedSearch.movers(machine, way, false), question.onBench(), question.when()),
                way.stream().map(machine::words).toList());
    }

    /** The times within which none of several is broken, empty if one may be. */
    private Optional<Refinement.Result> together(List<ClaimQuestion> questions) {
        Set<Integer> movers = new TreeSet<>();
        questions.forEach(question -> movers.addAll(TimedSearch.movers(machine, way(question), false)));
        TimedSearch.Kind any = (positions, conduction, settled) ->
                questions.stream().anyMatch(question -> question.kind().test(positions, conduction, settled));
        Refinement.Result outcome = refinement.decide(
                any,
                movers,
                moment -> questions.stream()
                        .anyMatch(question -> question.onBench().test(moment)),
                Replay.When.AT_ANY_INSTANT);
        return Optional.of(outcome).filter(Refinement.Result.Holds.class::isInstance);
    }
}
