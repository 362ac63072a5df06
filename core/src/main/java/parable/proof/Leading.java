package parable.proof;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.function.IntUnaryOperator;

/**
 * Whether the circuit may come by itself from a state to one of a kind. It is looked for forwards, one way first, and what was learnt on the
 * way is remembered; so asking for all states costs little where most of them lead there.
 */
final class Leading {

    private final Machine machine;
    private final States states;
    private final IntPredicate kind;
    private final IntUnaryOperator oneStep;
    private final BitSet leads = new BitSet();
    private final BitSet leadsNot = new BitSet();
    private final int[] askedAt;
    private int asked;

    /** The state that is looked at, where it may go, and how many of those ways were tried. */
    private static final class Fork {
        private final int state;
        private final int[] next;
        private int tried;

        private Fork(int state, int[] next) {
            this.state = state;
            this.next = next;
        }
    }

    /**
     * Nothing asked yet.
     *
     * @param states those that were found; a way that leads out of them is not followed
     * @param kind which of them are of the kind, by their positions
     * @param oneStep for the position of a state that of one it may lead to, -1 if it leads nowhere
     */
    Leading(Machine machine, States states, IntPredicate kind, IntUnaryOperator oneStep) {
        this.oneStep = oneStep;
        this.machine = machine;
        this.states = states;
        this.kind = kind;
        askedAt = new int[states.size()];
    }

    /** Whether that is so from a state, itself included. */
    boolean from(int state) {
        if (leads.get(state) || leadsNot.get(state)) {
            return leads.get(state);
        }
        asked++;
        if (comesThere(state)) {
            return true;
        }
        List<Integer> seen = new ArrayList<>();
        Deque<Fork> way = new ArrayDeque<>();
        boolean found = enter(state, seen, way);
        while (!found && !way.isEmpty()) {
            Fork fork = way.peek();
            if (fork.tried == fork.next.length) {
                way.pop();
            } else {
                int next = fork.next[fork.tried++];
                found = leads.get(next) || askedAt[next] != asked && !leadsNot.get(next) && enter(next, seen, way);
            }
        }
        if (found) {
            way.forEach(fork -> leads.set(fork.state));
        } else {
            seen.forEach(leadsNot::set);
        }
        return found;
    }

    /** Whether the first step that comes to mind, from state to state, leads there. */
    private boolean comesThere(int state) {
        int at = state;
        while (at >= 0 && !leads.get(at) && !kind.test(at) && askedAt[at] != asked) {
            askedAt[at] = asked;
            at = oneStep.applyAsInt(at);
        }
        if (at < 0 || !leads.get(at) && !kind.test(at)) {
            asked++;
            return false;
        }
        leads.set(at);
        for (int on = state; on != at; on = oneStep.applyAsInt(on)) {
            leads.set(on);
        }
        return true;
    }

    /** Goes on to a state; returns whether it is one of the kind. */
    private boolean enter(int state, List<Integer> seen, Deque<Fork> way) {
        askedAt[state] = asked;
        seen.add(state);
        if (kind.test(state)) {
            leads.set(state);
            return true;
        }
        way.push(new Fork(state, next(state)));
        return false;
    }

    private int[] next(int index) {
        long state = states.key(index);
        Conduction conduction = machine.conduction(state);
        if (conduction.shorted()) {
            return new int[0];
        }
        int[] count = {0};
        int[][] next = {new int[8]};
        machine.eachOwn(state, conduction, key -> {
            int found = states.indexOf(key);
            if (found >= 0) {
                if (count[0] == next[0].length) {
                    next[0] = Arrays.copyOf(next[0], 2 * count[0]);
                }
                next[0][count[0]++] = found;
            }
        });
        return Arrays.copyOf(next[0], count[0]);
    }
}
