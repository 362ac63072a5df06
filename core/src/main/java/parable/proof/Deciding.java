package parable.proof;

import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import parable.bench.Moment;

/** Decides a claim that something must not be: at any speed first, then on the bench, then within the stated times. */
final class Deciding {

    private final Machine machine;
    private final Explorer explorer;
    private final Replay replay;
    private final Refinement refinement;

    Deciding(Machine machine, Explorer explorer, Replay replay, Refinement refinement) {
        this.machine = machine;
        this.explorer = explorer;
        this.replay = replay;
        this.refinement = refinement;
    }

    /** The first of the states found that is of a kind. */
    Optional<Integer> first(IntPredicate kind) {
        return IntStream.range(0, explorer.states().size()).filter(kind).boxed().findFirst();
    }

    /**
     * The claim with its verdict.
     *
     * @param broken the first state that breaks it, empty if none does
     * @param kind what breaks it
     * @param onBench the same, looked at on the bench
     * @param inTheEnd whether only states count in which all has settled
     */
    Claim decide(
            String id,
            String text,
            Optional<Integer> broken,
            TimedSearch.Kind kind,
            Predicate<Moment> onBench,
            boolean inTheEnd) {
        if (broken.isEmpty()) {
            boolean decided = inTheEnd ? explorer.decidesByRest() : explorer.isComplete();
            return Claim.holding(id, text, decided ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED, List.of());
        }
        List<Machine.Move> way = explorer.wayTo(broken.get());
        Optional<Refutation> played =
                replay.find(way.stream().filter(Machine.Move::byHand).toList(), onBench, inTheEnd);
        return played.map(refutation -> Claim.failing(id, text, refutation))
                .orElseGet(() -> Claim.of(
                        id,
                        text,
                        refinement.decide(kind, TimedSearch.movers(machine, way, false), onBench, inTheEnd),
                        way.stream().map(machine::words).toList()));
    }
}
