package parable.training;

import java.util.List;
import java.util.Optional;
import parable.bench.Moment;
import parable.finding.FindingException;

/** A task while it is worked at. Moves are typed or come from the window, one after the other. */
public interface Exercise {

    /** What is to be done; lines. */
    List<String> brief();

    /** Which moves there are, as they are typed; lines. */
    List<String> manual();

    /** The moves that can be pointed at, those of a group one after the other. */
    List<MoveOffer> offers();

    /**
     * The faults that may be said of a device, as they are typed; none where no fault is asked for.
     *
     * @param place a device, or a terminal of it
     */
    default List<String> faultsOf(String place) {
        return List.of();
    }

    /**
     * Makes a move.
     *
     * @return what comes of it; lines
     * @throws FindingException if it is no move here
     */
    List<String> move(String text) throws FindingException;

    /**
     * How the drawing would have the machine be after what was done, wires that were lifted included; empty where that would give the answer away, or where
     * nothing is operated.
     */
    default Optional<Moment> asDrawn() {
        return Optional.empty();
    }

    /** Whether it is over. */
    boolean isOver();

    /** What came of it so far. */
    Score score();

    /** What would have been the shortest way from the same start; on a large panel that takes seconds. */
    BestWay best();

    /** Moves that solve it without danger. */
    List<String> solution();
}
