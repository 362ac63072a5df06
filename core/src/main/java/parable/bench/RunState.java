package parable.bench;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.function.Predicate;

/** Everything about a run that changes with time. A copy of it is an instant that can be returned to. */
final class RunState {

    long time;
    /** For each part the position it has been told to go to. */
    final int[] commanded;
    /** For each contact group whether its contacts are closed. */
    final BitSet closedGroups = new BitSet();
    /** For each part whether its coil is pulled, that is, has had enough voltage and not yet too little. */
    final BitSet energised = new BitSet();
    /** For each part whether it opened by itself rather than by hand. */
    final BitSet openedItself = new BitSet();
    /** For each contactor whether its armature is held back by a mechanical interlock. */
    final BitSet heldBack = new BitSet();
    /** For each timer whether its clockwork runs or has run out since it was reset. */
    final BitSet timing = new BitSet();
    /** What is on its way, soonest first; of two in one instant the one that was set going first. */
    final List<Pending> pending = new ArrayList<>();
    /** For each part its condition as last told in the story. */
    final Condition[] conditions;
    /** What is wrong; the list is never changed, only replaced. */
    List<Fault> faults = List.of();
    /** The controller. */
    ControllerState controller = ControllerState.ASLEEP;
    /** Speeds and heat. */
    final PhysicalState physical;

    RunState(int parts) {
        commanded = new int[parts];
        conditions = new Condition[parts];
        physical = new PhysicalState(parts);
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
        replace(closedGroups, other.closedGroups);
        replace(energised, other.energised);
        replace(openedItself, other.openedItself);
        replace(heldBack, other.heldBack);
        replace(timing, other.timing);
        pending.clear();
        pending.addAll(other.pending);
        System.arraycopy(other.conditions, 0, conditions, 0, conditions.length);
        faults = other.faults;
        controller = other.controller;
        physical.restore(other.physical);
    }

    private static void replace(BitSet set, BitSet by) {
        set.clear();
        set.or(by);
    }

    /**
     * Sets a contact group going. A change of mind in mid-travel takes effect after the time it would take from the end
     * position: what is to arrive before that still arrives, what is to arrive later does not.
     */
    void setGoing(Pending.Move move) {
        pending.removeIf(earlier ->
                earlier instanceof Pending.Move other && other.group() == move.group() && other.time() >= move.time());
        boolean last = closedGroups.get(move.group());
        for (Pending earlier : pending) {
            if (earlier instanceof Pending.Move other && other.group() == move.group()) {
                last = other.closes();
            }
        }
        if (last != move.closes()) {
            add(move);
        }
    }

    /** Takes back the movements of contacts that have not begun to move. */
    void stayPut(Predicate<Pending.Move> which) {
        pending.removeIf(next -> next instanceof Pending.Move move && which.test(move));
    }

    /** Adds something that is under way, after everything that happens no later. */
    void add(Pending next) {
        int place = 0;
        while (place < pending.size() && pending.get(place).time() <= next.time()) {
            place++;
        }
        pending.add(place, next);
    }

    /** Takes back what is under way of another kind. */
    void takeBack(Predicate<Pending> which) {
        pending.removeIf(which);
    }

    /** Takes back the stages of timers that meet a condition. */
    void takeBackStages(Predicate<Pending.Stage> which) {
        pending.removeIf(next -> next instanceof Pending.Stage stage && which.test(stage));
    }
}
