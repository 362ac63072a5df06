package parable.timing;

import java.util.Optional;
import java.util.function.Consumer;
import parable.reach.CircuitMachine;
import parable.reach.Conduction;

/** Finds again by which step a timed search came from one node to the next. */
final class TimedSteps {

    private final TimedSearch search;
    private final CircuitMachine machine;

    TimedSteps(TimedSearch search, CircuitMachine machine) {
        this.search = search;
        this.machine = machine;
    }

    /**
     * The step from a node to one that was found from it.
     *
     * @throws IllegalStateException if it does not lead there
     */
    TimedSearch.TimedStep step(TimedSearch.TimedNode from, TimedSearch.TimedNode to) {
        Conduction conduction = machine.conduction(from.positions());
        for (CircuitMachine.Move move : machine.handMoves(from.positions())) {
            Optional<TimedSearch.TimedStep> hand = reached(from, to, now -> search.act(now, move), move);
            if (search.isWithHands() && hand.isPresent()) {
                return hand.get();
            }
        }
        for (Consumer<Instant> own : search.own(from, conduction).steps()) {
            Instant now = search.instant(from);
            own.accept(now);
            CircuitMachine.Move move = difference(from.positions(), now.positions());
            Optional<TimedSearch.TimedStep> step = reached(from, to, own, move);
            if (step.isPresent()) {
                return step.get();
            }
        }
        throw new IllegalStateException("a node was found from one that does not lead to it");
    }

    private Optional<TimedSearch.TimedStep> reached(
            TimedSearch.TimedNode from, TimedSearch.TimedNode to, Consumer<Instant> step, CircuitMachine.Move move) {
        Instant now = search.instant(from);
        step.accept(now);
        search.feel(now);
        boolean same = now.positions() == to.positions()
                && now.commanded() == to.commanded()
                && now.zone()
                        .map(Zone::later)
                        .filter(zone -> zone.hasClocksOf(to.zone())
                                && zone.includes(to.zone())
                                && to.zone().includes(zone))
                        .isPresent();
        return same ? Optional.of(new TimedSearch.TimedStep(move, now.events())) : Optional.empty();
    }

    /** The part that is elsewhere after a step, and where; the power's, unchanged, if only a clock ran out. */
    private CircuitMachine.Move difference(long before, long after) {
        for (int part : machine.moving()) {
            if (machine.value(before, part) != machine.value(after, part)) {
                return new CircuitMachine.Move(part, machine.value(after, part), false);
            }
        }
        return new CircuitMachine.Move(CircuitMachine.POWER, 0, false);
    }
}
