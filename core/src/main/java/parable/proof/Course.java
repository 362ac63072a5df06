package parable.proof;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.IntPredicate;

/**
 * Where a circuit that is left alone may go: its states put in an order in which every step leads to an earlier one, but for those that can be
 * come back to, which stand together. Found by Tarjan's method ("Depth-first search and linear graph algorithms", 1972), without recursion.
 */
final class Course {

    /** Whether a step counts. */
    interface Steps {
        boolean counts(int from, int to);
    }

    private final OwnSteps steps;
    private final int[] order;
    private final BitSet again = new BitSet();
    private final BitSet last = new BitSet();
    private final int states;

    /** For each state the number of the round that it belongs to. */
    private final int[] component;

    /**
     * Goes through all states.
     *
     * @param counts which steps are looked at
     */
    Course(OwnSteps steps, Steps counts) {
        this.steps = steps;
        states = steps.states();
        order = new int[states];
        component = new int[states];
        new Walk(counts).walk();
    }

    /** Whether a state can be come back to. */
    boolean comesBack(int state) {
        return again.get(state);
    }

    /** The number of the round that a state belongs to: states that lead to each other have the same. */
    int round(int state) {
        return component[state];
    }

    /** The first state that can be come back to, -1 if there is none. */
    int firstThatComesBack() {
        return again.nextSetBit(0);
    }

    /** The states at which the circuit ends up: those from which every way leads back to them, and those that nothing leads away from. */
    BitSet ends() {
        return last;
    }

    /** The states from which it may come to one of a kind, those of the kind included. */
    BitSet leadingTo(IntPredicate kind) {
        BitSet leading = new BitSet(states);
        int from = 0;
        while (from < states) {
            int to = from;
            boolean leads = false;
            do {
                leads |= leadsAtOnce(order[to], kind, leading);
                to++;
            } while (to < states && together(order[to - 1], order[to]));
            for (int i = from; i < to && leads; i++) {
                leading.set(order[i]);
            }
            from = to;
        }
        return leading;
    }

    private boolean leadsAtOnce(int state, IntPredicate kind, BitSet leading) {
        if (kind.test(state)) {
            return true;
        }
        for (int step = steps.begin(state); step < steps.end(state); step++) {
            if (leading.get(steps.target(step))) {
                return true;
            }
        }
        return false;
    }

    private boolean together(int one, int other) {
        return again.get(one) && again.get(other) && component[one] == component[other];
    }

    /** The walk itself; what it needs only meanwhile goes with it. */
    private final class Walk {
        private final Steps counts;
        private final int[] low = new int[states];
        private final int[] index = new int[states];
        private int[] path = new int[64];
        private int[] at = new int[64];
        private int[] open = new int[64];
        private int depth;
        private int opened;
        private int found;
        private int placed;
        private int components;

        private Walk(Steps counts) {
            this.counts = counts;
        }

        private void walk() {
            for (int state = 0; state < states; state++) {
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
                if (next >= states || !counts.counts(state, next)) {
                    return;
                }
                if (index[next] == 0) {
                    enter(next);
                } else if (component[next] == 0) {
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
            components++;
            int first = opened;
            do {
                first--;
            } while (open[first] != root);
            boolean leaves = false;
            for (int i = first; i < opened; i++) {
                component[open[i]] = components;
            }
            for (int i = first; i < opened; i++) {
                order[placed++] = open[i];
                again.set(open[i], again.get(open[i]) || opened - first > 1);
                for (int step = steps.begin(open[i]); step < steps.end(open[i]); step++) {
                    int next = steps.target(step);
                    leaves |= next >= states || component[next] != components;
                }
            }
            for (int i = first; i < opened && !leaves; i++) {
                last.set(open[i]);
            }
            opened = first;
        }
    }
}
