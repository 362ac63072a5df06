package parable.reach;

import java.util.Arrays;

/**
 * The steps that a circuit takes by itself, from each state to others by their positions. They are noted state by state, in order. Four bytes
 * a step, and four a state.
 */
public final class UnattendedSteps {

    private static final int CHUNK_BITS = 16;
    private static final int CHUNK = 1 << CHUNK_BITS;

    private int[][] targets = new int[16][];
    private int[] begins = new int[1 << 10];
    private int states;
    private int steps;

    /** The steps that are noted from now on are those of the next state. */
    public void next() {
        if (states + 1 >= begins.length) {
            begins = Arrays.copyOf(begins, begins.length + (begins.length >> 1));
        }
        begins[states++] = steps;
        begins[states] = steps;
    }

    /** Notes a step of the state at hand. */
    public void add(int target) {
        int chunk = steps >> CHUNK_BITS;
        if (chunk == targets.length) {
            targets = Arrays.copyOf(targets, 2 * chunk);
        }
        if (targets[chunk] == null) {
            targets[chunk] = new int[CHUNK];
        }
        targets[chunk][steps & CHUNK - 1] = target;
        steps++;
        begins[states] = steps;
    }

    /** Of how many states the steps are known. */
    int states() {
        return states;
    }

    /** The number of the first step of a state. */
    int begin(int state) {
        return begins[state];
    }

    /** One more than the number of its last. */
    int end(int state) {
        return begins[state + 1];
    }

    /** Where a step leads, by its number. */
    int target(int step) {
        return targets[step >> CHUNK_BITS][step & CHUNK - 1];
    }
}
