package parable.timing;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import parable.reach.CircuitMachine;
import parable.reach.Course;

/**
 * Whether a circuit that is left alone may go round in a loop for ever within the stated times. Looked for from every state that lies on a loop
 * where times do not count, with whatever is under way there having been so for any time: so no loop is missed, however one comes into it.
 */
public final class Loops {

    private static final TimedSearch.Kind NEVER = (positions, conduction, settled) -> false;

    private final boolean mayGoOn;

    /**
     * Looks for loops.
     *
     * @param keeping the parts that keep their times, by their positions among the sheet's
     * @param states the states on loops where times do not count
     */
    public Loops(CircuitMachine machine, Set<Integer> keeping, Collection<Long> states, BooleanSupplier cancelled) {
        TimedSearch search = TimedSearch.leftAlone(machine, keeping, cancelled);
        List<Instant> beginnings = states.stream()
                .flatMap(state -> search.underway(state).stream())
                .toList();
        search.find(beginnings, NEVER);
        mayGoOn = !search.isComplete()
                || new Course(
                                        search.ownSteps(),
                                        (from, to) ->
                                                !machine.isUnhurried(search.positions(from), search.positions(to)))
                                .firstThatComesBack()
                        >= 0;
    }

    /** Whether there may be a loop; also if the search came to its limit before all was known. */
    public boolean mayGoOn() {
        return mayGoOn;
    }
}
