package parable.reach;

import java.util.Arrays;
import java.util.BitSet;

/**
 * Which states can be come back to by the steps of a circuit that is left alone, and where it ends up. Found by Tarjan's method ("Depth-first
 * search and linear graph algorithms", 1972), without recursion.
 */
public final class Course {

    /** Whether a step counts. */
    public interface Successors {
        boolean counts(int from, int to);
    }

    private final UnattendedSteps steps;
    private final Successors counts;
    private final BitSet again = new BitSet();
    private final BitSet last = new BitSet();

    /** For each state the number of the round that it belongs to. */
    private final int[] round;

    /**
     * Goes through all states; steps to others are not followed.
     *
     * @param counts which steps are followed
     */
    public Course(UnattendedSteps steps, Successors counts) {
        this.steps = steps;
        this.counts = counts;
        round = new int[steps.states()];
        new Walk().walk();
    }

    private boolean isFollowed(int from, int to) {
        return to < steps.states() && counts.counts(from, to);
    }

    /** Whether a state can be come back to. */
    boolean comesBack(int state) {
        return again.get(state);
    }

    /** The number of the round that a state belongs to: states that lead to each other have the same. */
    int round(int state) {
        return round[state];
    }

    /** The first state that can be come back to, -1 if there is none. */
    public int firstThatComesBack() {
        return again.nextSetBit(0);
    }

    /** Whether the circuit ends up at a state: every step from it, if there is any, can be gone back. */
    boolean isEnd(int state) {
        return last.get(state);
    }

    /** The walk itself; what it needs only meanwhile goes with it. */
    private final class Walk {
        private final int[] low = new int[steps.states()];
        private final int[] index = new int[steps.states()];
        private int[] path = new int[64];
        private int[] at = new int[64];
        private int[] open = new int[64];
        private int depth;
        private int opened;
        private int found;
        private int rounds;

        private void walk() {
            for (int state = 0; state < steps.states(); state++) {
                if (index[state] == 0) {
                    enter(state);
                    while (depth > 0) {
                        step();
                    }
                }
            }
        }

        private void enter(int state) {
            if (depth == path.length) {
                path = Arrays.copyOf(path, 2 * depth);
                at = Arrays.copyOf(at, 2 * depth);
            }
            if (opened == open.length) {
                open = Arrays.copyOf(open, 2 * opened);
            }
            index[state] = ++found;
            low[state] = found;
            path[depth] = state;
            at[depth++] = steps.begin(state);
            open[opened++] = state;
        }

        private void step() {
            int state = path[depth - 1];
            if (at[depth - 1] < steps.end(state)) {
                int next = steps.target(at[depth - 1]++);
                if (!isFollowed(state, next)) {
                    return;
                }
                if (index[next] == 0) {
                    enter(next);
                } else if (round[next] == 0) {
                    low[state] = Math.min(low[state], index[next]);
                    if (next == state) {
                        again.set(state);
                    }
                }
                return;
            }
            depth--;
            if (low[state] == index[state]) {
                close(state);
            }
            if (depth > 0) {
                low[path[depth - 1]] = Math.min(low[path[depth - 1]], low[state]);
            }
        }

        private void close(int root) {
            rounds++;
            int first = opened;
            do {
                first--;
                round[open[first]] = rounds;
            } while (open[first] != root);
            boolean several = opened - first > 1;
            boolean leaves = false;
            for (int i = first; i < opened; i++) {
                if (several) {
                    again.set(open[i]);
                }
                leaves |= leaves(open[i]);
            }
            for (int i = first; i < opened && !leaves; i++) {
                last.set(open[i]);
            }
            opened = first;
        }

        private boolean leaves(int state) {
            for (int step = steps.begin(state); step < steps.end(state); step++) {
                int to = steps.target(step);
                if (!isFollowed(state, to) || round[to] != rounds) {
                    return true;
                }
            }
            return false;
        }
    }
}
