package parable.proof;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Where a circuit that is left alone may go: its states put in an order in which every step leads to an earlier one, but for those that can be
 * come back to, which stand together. Found by Tarjan's method ("Depth-first search and linear graph algorithms", 1972), without recursion.
 */
final class Course {

    /** Whether a step counts; asked from several threads. */
    interface Steps {
        boolean counts(int from, int to);
    }

    private static final int ELSEWHERE = -1;

    /** The states in the order in which they are begun at; all that follows is told by their positions in it, so that near ones stand near. */
    private final int[] from;

    private final int[] position;
    private final int[] begins;
    private final int[] targets;
    private final int[] order;
    private final BitSet again = new BitSet();
    private final BitSet last = new BitSet();

    /** For each position the number of the round that its state belongs to. */
    private final int[] component;

    /**
     * Goes through all states.
     *
     * @param counts which steps are looked at
     */
    Course(OwnSteps steps, Steps counts) {
        this(steps, counts, IntStream.range(0, steps.states()).toArray());
    }

    /**
     * Goes through some states; steps to others are not looked at.
     *
     * @param counts which steps are looked at
     * @param from the states, in the order in which they are begun at: it is quicker where those that lead to each other are near each other
     */
    Course(OwnSteps steps, Steps counts, int[] from) {
        this.from = from;
        position = new int[steps.states()];
        Arrays.fill(position, ELSEWHERE);
        begins = new int[from.length + 1];
        for (int at = 0; at < from.length; at++) {
            position[from[at]] = at;
            begins[at + 1] = begins[at] + steps.end(from[at]) - steps.begin(from[at]);
        }
        targets = new int[begins[from.length]];
        IntStream.range(0, from.length).parallel().forEach(at -> place(steps, counts, at));
        order = new int[from.length];
        component = new int[from.length];
        new Walk().walk();
    }

    private void place(OwnSteps steps, Steps counts, int at) {
        int state = from[at];
        int first = steps.begin(state);
        for (int step = first; step < steps.end(state); step++) {
            int target = steps.target(step);
            boolean looked = target < position.length && counts.counts(state, target);
            targets[begins[at] + step - first] = looked ? position[target] : ELSEWHERE;
        }
    }

    /** Whether a state can be come back to. */
    boolean comesBack(int state) {
        return position[state] != ELSEWHERE && again.get(position[state]);
    }

    /** The number of the round that a state belongs to: states that lead to each other have the same. */
    int round(int state) {
        return component[position[state]];
    }

    /** The first state that can be come back to, -1 if there is none. */
    int firstThatComesBack() {
        return again.stream().map(at -> from[at]).min().orElse(-1);
    }

    /** The states that can be come back to. */
    int[] thatComeBack() {
        return again.stream().map(at -> from[at]).toArray();
    }

    /** The states at which the circuit ends up: those from which every way leads back to them, and those that nothing leads away from. */
    BitSet ends() {
        return ofStates(last);
    }

    /** The states from which it may come to one of a kind, those of the kind included. */
    BitSet leadingTo(IntPredicate kind) {
        BitSet leading = new BitSet(from.length);
        int first = 0;
        while (first < from.length) {
            int to = first;
            boolean leads = false;
            do {
                leads |= leadsAtOnce(order[to], kind, leading);
                to++;
            } while (to < from.length && together(order[to - 1], order[to]));
            for (int i = first; i < to && leads; i++) {
                leading.set(order[i]);
            }
            first = to;
        }
        return ofStates(leading);
    }

    private boolean leadsAtOnce(int at, IntPredicate kind, BitSet leading) {
        for (int step = begins[at]; step < begins[at + 1]; step++) {
            if (targets[step] != ELSEWHERE && leading.get(targets[step])) {
                return true;
            }
        }
        return kind.test(from[at]);
    }

    private boolean together(int one, int other) {
        return component[one] == component[other];
    }

    private BitSet ofStates(BitSet positions) {
        BitSet states = new BitSet(position.length);
        for (int at = positions.nextSetBit(0); at >= 0; at = positions.nextSetBit(at + 1)) {
            states.set(from[at]);
        }
        return states;
    }

    /** The walk itself; what it needs only meanwhile goes with it. */
    private final class Walk {
        private final int[] low = new int[from.length];
        private final int[] index = new int[from.length];
        private int[] path = new int[64];
        private int[] at = new int[64];
        private int[] open = new int[64];
        private int depth;
        private int opened;
        private int found;
        private int placed;
        private int components;

        private void walk() {
            for (int state = 0; state < from.length; state++) {
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
            at[depth++] = begins[state];
            open[opened++] = state;
        }

        private void step() {
            int state = path[depth - 1];
            if (at[depth - 1] < begins[state + 1]) {
                int next = targets[at[depth - 1]++];
                if (next == ELSEWHERE) {
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
                component[open[first]] = components;
            } while (open[first] != root);
            boolean several = opened - first > 1;
            boolean leaves = false;
            for (int i = first; i < opened; i++) {
                int state = open[i];
                order[placed++] = state;
                if (several) {
                    again.set(state);
                }
                for (int step = begins[state]; step < begins[state + 1] && !leaves; step++) {
                    leaves = targets[step] == ELSEWHERE || component[targets[step]] != components;
                }
            }
            for (int i = first; i < opened && !leaves; i++) {
                last.set(open[i]);
            }
            opened = first;
        }
    }
}
