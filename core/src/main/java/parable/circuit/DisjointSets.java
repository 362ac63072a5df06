package parable.circuit;

import java.util.Arrays;

/**
 * Numbers joined to sets: at first each is a set of its own. A forest with path halving (Tarjan and van Leeuwen, 1984); which number stands for a set
 * follows from the order of joining, so that the same joins give the same numbers.
 */
public final class DisjointSets {

    private int[] parents;

    /** So many numbers from 0 on, each by itself; more are there as soon as they are asked for. */
    public DisjointSets(int size) {
        parents = new int[size];
        Arrays.setAll(parents, number -> number);
    }

    /** The number that stands for the set of another. */
    public int of(int number) {
        grow(number);
        int at = number;
        while (parents[at] != at) {
            parents[at] = parents[parents[at]];
            at = parents[at];
        }
        return at;
    }

    /** Joins the sets of two numbers; what stood for the first stands for both. */
    public void join(int one, int other) {
        int stays = of(one);
        int goes = of(other);
        parents[goes] = stays;
    }

    /** Whether two numbers are in one set. */
    public boolean areJoined(int one, int other) {
        return of(one) == of(other);
    }

    private void grow(int number) {
        int before = parents.length;
        if (number >= before) {
            parents = Arrays.copyOf(parents, Math.max(number + 1, 2 * before));
            for (int fresh = before; fresh < parents.length; fresh++) {
                parents[fresh] = fresh;
            }
        }
    }
}
