package parable.proof;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Loops;
import parable.timing.Refinement;
import parable.timing.Refutation;
import parable.timing.Replay;
import parable.timing.TimedSearch;

/**
 * {@code comes-to-rest}: whatever is done, the circuit comes to rest in every order of events; it never goes round in a loop for ever. Where it
 * could if every change took any time, loops are looked for within the stated times. What comes round
 * only when a timer has run, or by the beat of a flasher, is no such loop.
 */
final class Chatter implements ClaimSource {

    static final String ID = "comes-to-rest";

    private static final String TEXT =
            "Nothing chatters: whatever is done, and in whatever order contacts move, the circuit comes to rest by itself.";

    /** On so many states of loops it is not looked for fewer times that suffice. */
    private static final int WORTH_FEWER = 500;

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final CircuitMachine timed;
    private final Replay replay;
    private final Refinement refinement;
    private final BooleanSupplier cancelled;

    /**
     * The claim on a machine.
     *
     * @param timed the same with every place that a time is stated for
     */
    Chatter(
            CircuitMachine machine,
            Explorer explorer,
            CircuitMachine timed,
            Replay replay,
            Refinement refinement,
            BooleanSupplier cancelled) {
        this.machine = machine;
        this.explorer = explorer;
        this.timed = timed;
        this.replay = replay;
        this.refinement = refinement;
        this.cancelled = cancelled;
    }

    @Override
    public List<Claim> claims() {
        Optional<Integer> loop = explorer.firstLoop();
        if (loop.isEmpty()) {
            Verdict verdict = explorer.isComplete() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED;
            return List.of(Claim.holding(ID, TEXT, verdict, List.of()));
        }
        List<CircuitMachine.Move> way = explorer.wayTo(loop.get());
        List<CircuitMachine.Move> hands =
                way.stream().filter(CircuitMachine.Move::byHand).toList();
        Optional<Refutation> chatters = replay.restless(hands);
        if (chatters.isPresent()) {
            return List.of(Claim.failing(ID, TEXT, chatters.get()));
        }
        List<String> story = way.stream().map(machine::words).toList();
        return List.of(
                explorer.isComplete() && !cancelled.getAsBoolean()
                        ? Claim.of(ID, TEXT, withinTimes(), story)
                        : Claim.open(ID, TEXT, story));
    }

    /** With the times of everything kept there may be no loop left. */
    private Refinement.Result withinTimes() {
        List<Long> states = explorer.onLoops();
        Set<Integer> movers = movers(states);
        for (Set<Integer> keeping : List.of(movers, refinement.everything())) {
            if (!new Loops(timed, keeping, states, cancelled).mayGoOn()) {
                return refinement.holds(fewest(keeping, states));
            }
        }
        return new Refinement.Result.Open(List.of());
    }

    /** The parts with times of their own that move by themselves on a loop. */
    private Set<Integer> movers(List<Long> states) {
        Set<Integer> movers = new TreeSet<>();
        for (long state : states) {
            movers.addAll(TimedSearch.movers(machine, machine.ownMoves(state, machine.conduction(state)), false));
        }
        return movers;
    }

    private Set<Integer> fewest(Set<Integer> keeping, List<Long> states) {
        if (states.size() > WORTH_FEWER) {
            return keeping;
        }
        Set<Integer> fewest = new TreeSet<>(keeping);
        for (int part : keeping) {
            Set<Integer> fewer = new TreeSet<>(fewest);
            fewer.remove(part);
            fewest = new Loops(timed, fewer, states, cancelled).mayGoOn() ? fewest : fewer;
        }
        return fewest;
    }
}
