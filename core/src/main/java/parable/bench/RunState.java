package parable.bench;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Everything about a run that changes with time. A copy of it is an instant that can be returned to. */
final class RunState {

    long time;
    /** For each part the position it has been told to go to. */
    final int[] commanded;
    /** For each contact group whether its contacts are closed. */
    final BitSet closedGroups;
    /** For each part whether it opened by itself rather than by hand. */
    final BitSet openedItself;
    /** What is on its way, soonest first; of two in one instant the one that was set going first. */
    final List<PendingMove> pending;
    /** For each part its condition as last told in the story. */
    final Condition[] conditions;

    RunState(int parts) {
        commanded = new int[parts];
        closedGroups = new BitSet();
        openedItself = new BitSet();
        pending = new ArrayList<>();
        conditions = new Condition[parts];
    }

    RunState copy() {
        RunState copy = new RunState(commanded.length);
        copy.restore(this);
        return copy;
    }

    /** Becomes what another state of the same run was; that one is not modified. */
    void restore(RunState other) {
        time = other.time;
        System.arraycopy(other.commanded, 0, commanded, 0, commanded.length);
        closedGroups.clear();
        closedGroups.or(other.closedGroups);
        openedItself.clear();
        openedItself.or(other.openedItself);
        pending.clear();
        pending.addAll(other.pending);
        System.arraycopy(other.conditions, 0, conditions, 0, conditions.length);
    }

    /**
     * Sets a group going. A change of mind in mid-travel takes effect after the time it would take from the end
     * position: what is to arrive before that still arrives, what is to arrive later does not.
     */
    void setGoing(PendingMove move) {
        pending.removeIf(earlier -> earlier.group() == move.group() && earlier.time() >= move.time());
        boolean last = closedGroups.get(move.group());
        int place = 0;
        for (PendingMove earlier : pending) {
            if (earlier.group() == move.group()) {
                last = earlier.closes();
            }
            if (earlier.time() <= move.time()) {
                place++;
            }
        }
        if (last != move.closes()) {
            pending.add(place, move);
        }
    }
}
