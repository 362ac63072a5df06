package parable.reach;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.IntConsumer;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Where a circuit that is left alone may go. No hand moves meanwhile, so that a state keeps its place in its group, and what holds of the steps
 * of one group is worked out for all its places at once.
 */
final class Drift {

    private final States states;
    private final Neighbours neighbours;
    private final int groups;
    private final int words;
    private final int[][] before;

    /** The groups in an order in which every step leads to an earlier one, but for those that can be come back to. */
    private final int[] byRank;

    private final int[] rank;
    private final BitSet onRounds = new BitSet();

    /**
     * The steps that are known by now.
     *
     * @param neighbours of all states that were looked at
     */
    Drift(States states, Neighbours neighbours) {
        this.states = states;
        this.neighbours = neighbours;
        groups = states.groups();
        words = states.words();
        before = new int[groups][];
        byRank = new int[groups];
        rank = new int[groups];
        UnattendedSteps steps = steps();
        note(steps);
        order(new Course(steps, (from, to) -> true));
    }

    /** The steps from group to group. */
    private UnattendedSteps steps() {
        UnattendedSteps steps = new UnattendedSteps();
        for (int group = 0; group < groups; group++) {
            steps.next();
            for (Neighbours.Own own : neighbours.known(group)) {
                for (int to : own.groups()) {
                    steps.add(to);
                }
            }
        }
        return steps;
    }

    /** Notes for each group those that lead to it, each once. */
    private void note(UnattendedSteps steps) {
        int[] counted = new int[groups];
        int[] lately = new int[groups];
        Arrays.fill(before, new int[0]);
        for (int group = 0; group < groups; group++) {
            for (int step = steps.begin(group); step < steps.end(group); step++) {
                int to = steps.target(step);
                if (lately[to] != group + 1) {
                    lately[to] = group + 1;
                    if (counted[to] == before[to].length) {
                        before[to] = Arrays.copyOf(before[to], 2 * counted[to] + 2);
                    }
                    before[to][counted[to]++] = group;
                }
            }
        }
        for (int group = 0; group < groups; group++) {
            before[group] = Arrays.copyOf(before[group], counted[group]);
        }
    }

    private void order(Course course) {
        int[] next = new int[groups + 2];
        for (int group = 0; group < groups; group++) {
            next[course.round(group) + 1]++;
        }
        Arrays.parallelPrefix(next, Integer::sum);
        for (int group = 0; group < groups; group++) {
            rank[group] = next[course.round(group)]++;
            byRank[rank[group]] = group;
            onRounds.set(group, course.comesBack(group));
        }
    }

    /** No state yet, of those that are known. */
    StateSet none() {
        return new StateSet(states, groups);
    }

    /** The states from which it may come to some, those included. */
    StateSet leadingTo(StateSet some) {
        StateSet leading = some.copy();
        settle(some::hasAny, (group, changed) -> {
            for (int earlier : before[group]) {
                boolean more = false;
                for (int word = 0; word < words; word++) {
                    more |= leading.put(earlier, word, leading.of(earlier, word) | thatComeTo(leading, earlier, word));
                }
                if (more) {
                    changed.accept(earlier);
                }
            }
        });
        return leading;
    }

    /** The places of a group from which one step may lead to some states. */
    private long thatComeTo(StateSet some, int group, int word) {
        long come = 0;
        for (Neighbours.Own own : neighbours.known(group)) {
            long places = own.places()[word];
            long left = places;
            int[] next = own.groups();
            for (int i = 0; i < next.length && left != 0; i++) {
                left &= ~some.of(next[i], word);
            }
            come |= places & ~left;
        }
        return come;
    }

    /** All states that it may come back to, and few others: what is left of groups on a round once whatever has nothing after it is taken away. */
    StateSet goingOn() {
        StateSet round = none();
        for (int group = onRounds.nextSetBit(0); group >= 0; group = onRounds.nextSetBit(group + 1)) {
            for (Neighbours.Own own : neighbours.known(group)) {
                for (int word = 0; word < words; word++) {
                    round.put(group, word, round.of(group, word) | own.places()[word]);
                }
            }
        }
        settle(onRounds::get, (group, changed) -> {
            if (reduce(round, group)) {
                for (int earlier : before[group]) {
                    changed.accept(earlier);
                }
            }
        });
        return round;
    }

    /** Takes away from a round what leads to none of it; reports whether that changes anything. */
    private boolean reduce(StateSet round, int group) {
        boolean changes = false;
        for (int word = 0; word < words; word++) {
            long left = round.of(group, word);
            changes |= left != 0 && round.put(group, word, left & thatComeTo(round, group, word));
        }
        return changes;
    }

    /** What is to be done with a group. */
    private interface Visit {
        void visit(int group, IntConsumer changed);
    }

    /**
     * Visits groups until nothing changes, those that steps lead to before those that they lead from.
     *
     * @param first those to begin with
     */
    private void settle(IntPredicate first, Visit visit) {
        BitSet waiting = new BitSet(groups);
        IntConsumer changed = group -> waiting.set(rank[group]);
        IntStream.range(0, groups).filter(first).forEach(changed);
        for (int next = waiting.nextSetBit(0); next >= 0; next = waiting.nextSetBit(0)) {
            waiting.clear(next);
            visit.visit(byRank[next], changed);
        }
    }

    /** The steps from some states to others of them, all by their positions in a list. */
    UnattendedSteps among(int[] some) {
        UnattendedSteps steps = new UnattendedSteps();
        for (int index : some) {
            steps.next();
            int place = states.place(index);
            for (Neighbours.Own own : neighbours.known(states.group(index))) {
                if ((own.places()[place >>> 6] >>> place & 1) == 1) {
                    for (int to : own.groups()) {
                        int at = Arrays.binarySearch(some, states.indexOf(to, place));
                        steps.add(at < 0 ? some.length : at);
                    }
                }
            }
        }
        return steps;
    }
}
