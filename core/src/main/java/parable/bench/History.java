package parable.bench;

import java.util.ArrayList;
import java.util.List;
import parable.network.Solution;

/** The past of a run: the state after everything that happened at one time, for each time at which anything did. */
final class History {

    private final List<Entry> instants = new ArrayList<>();

    /**
     * A past state.
     *
     * @param storyLength how long the story was by then
     */
    record Entry(RunState state, Solution solution, int storyLength) {}

    /** Keeps the present; what was kept for the same time before gives way to it. */
    void add(RunState state, Solution solution, int storyLength) {
        int last = instants.size() - 1;
        if (last >= 0 && instants.get(last).state.time == state.time) {
            instants.remove(last);
        }
        instants.add(new Entry(state.copy(), solution, storyLength));
    }

    /** Takes over another past. */
    void addAll(History other) {
        instants.addAll(other.instants);
    }

    /** Forgets what was over before a time; the state at that time is kept. */
    void cutBefore(long time) {
        instants.subList(0, indexAt(time)).clear();
    }

    /** How many instants are kept. */
    int size() {
        return instants.size();
    }

    /** The time of the first instant that is kept. */
    long earliest() {
        return instants.get(0).state.time;
    }

    /** The times that are kept, in order. */
    List<Long> times() {
        return instants.stream().map(instant -> instant.state.time).toList();
    }

    /** The last state at or before a time; the first if there is none. */
    Entry at(long time) {
        return instants.get(indexAt(time));
    }

    /** Forgets what came after a time, and returns what is last then. */
    Entry cutAfter(long time) {
        int index = indexAt(time);
        instants.subList(index + 1, instants.size()).clear();
        return instants.get(index);
    }

    private int indexAt(long time) {
        int low = 0;
        int high = instants.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (instants.get(middle).state.time <= time) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
