package parable.timing;

import java.util.Arrays;
import java.util.Optional;

/**
 * The times that may be left until each of several clocks runs out, as bounds on them and on their differences (a difference-bound matrix
 * in its closed form). Times are whole numbers of a unit that the user of this class chooses. It cannot be changed.
 *
 * <p>Source: Berthomieu and Diaz, Modeling and verification of time dependent systems using time Petri nets (1991).
 */
final class Zone {

    /** No bound; sums of two are still in the range of an int. */
    static final int UNBOUNDED = 1 << 29;

    /** Without any clock. */
    static final Zone EMPTY = new Zone(new int[0], new int[1]);

    private final int[] clocks;

    /** Row i, column j: the most by which the time left of clock i exceeds that of clock j; number 0 is no time at all. */
    private final int[] most;

    private Zone(int[] clocks, int[] most) {
        this.clocks = clocks;
        this.most = most;
    }

    private int size() {
        return clocks.length + 1;
    }

    private int at(int row, int column) {
        return most[row * size() + column];
    }

    private int indexOf(int clock) {
        return Arrays.binarySearch(clocks, clock);
    }

    /** Whether a clock runs. */
    boolean runs(int clock) {
        return indexOf(clock) >= 0;
    }

    private static int sum(int one, int other) {
        return one >= UNBOUNDED || other >= UNBOUNDED ? UNBOUNDED : one + other;
    }

    /**
     * This with one more clock, which begins now.
     *
     * @param clock which must not run yet
     * @param shortest until it may run out
     * @param longest until it must, or {@link #UNBOUNDED}
     */
    Zone with(int clock, int shortest, int longest) {
        int place = -indexOf(clock) - 1;
        int[] more = new int[clocks.length + 1];
        System.arraycopy(clocks, 0, more, 0, place);
        more[place] = clock;
        System.arraycopy(clocks, place, more, place + 1, clocks.length - place);
        int n = more.length + 1;
        int[] bounds = new int[n * n];
        int added = place + 1;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                if (i == added && j == added) {
                    bounds[i * n + j] = 0;
                } else if (i == added) {
                    bounds[i * n + j] = sum(longest, at(0, before(j, added)));
                } else if (j == added) {
                    bounds[i * n + j] = sum(at(before(i, added), 0), -shortest);
                } else {
                    bounds[i * n + j] = at(before(i, added), before(j, added));
                }
            }
        }
        return new Zone(more, bounds);
    }

    private static int before(int index, int added) {
        return index > added ? index - 1 : index;
    }

    /** This where one clock runs out no later than another; empty if that cannot be. */
    Optional<Zone> ordered(int first, int second) {
        return bounded(indexOf(first) + 1, indexOf(second) + 1, 0);
    }

    /** This, after a clock has run out now and is gone, and no other has run out before; empty if that cannot be. */
    Optional<Zone> ranOut(int clock) {
        return bounded(indexOf(clock) + 1, 0, 0).map(zone -> zone.without(clock));
    }

    private Optional<Zone> bounded(int row, int column, int bound) {
        if (at(row, column) <= bound) {
            return Optional.of(this);
        }
        if (sum(at(column, row), bound) < 0) {
            return Optional.empty();
        }
        int n = size();
        int[] bounds = most.clone();
        for (int i = 0; i < n; i++) {
            int toRow = sum(at(i, row), bound);
            for (int j = 0; j < n; j++) {
                int through = sum(toRow, at(column, j));
                if (through < bounds[i * n + j]) {
                    bounds[i * n + j] = through;
                }
            }
        }
        return Optional.of(new Zone(clocks, bounds));
    }

    /** This without a clock, whatever it showed; the same if it does not run. */
    Zone without(int clock) {
        int place = indexOf(clock);
        if (place < 0) {
            return this;
        }
        int[] fewer = new int[clocks.length - 1];
        System.arraycopy(clocks, 0, fewer, 0, place);
        System.arraycopy(clocks, place + 1, fewer, place, fewer.length - place);
        int n = fewer.length + 1;
        int[] bounds = new int[n * n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                bounds[i * n + j] = at(i > place ? i + 1 : i, j > place ? j + 1 : j);
            }
        }
        return new Zone(fewer, bounds);
    }

    /** This at any moment from now on, as long as no clock must have run out before. */
    Zone later() {
        int n = size();
        int[] bounds = most.clone();
        for (int j = 1; j < n; j++) {
            int least = 0;
            for (int k = 1; k < n; k++) {
                least = Math.min(least, at(k, j));
            }
            bounds[j] = least;
        }
        return new Zone(clocks, bounds);
    }

    /** Whether every time that is possible in another is possible in this; both have the same clocks. */
    boolean includes(Zone other) {
        for (int i = 0; i < most.length; i++) {
            if (most[i] < other.most[i]) {
                return false;
            }
        }
        return true;
    }

    /** This with a clock called otherwise; the order of the clocks must stay the same. */
    Zone renamed(int from, int to) {
        int[] other = clocks.clone();
        for (int i = 0; i < other.length; i++) {
            other[i] = other[i] == from ? to : other[i];
        }
        return new Zone(other, most);
    }

    /** Whether another has the same clocks. */
    boolean hasClocksOf(Zone other) {
        return Arrays.equals(clocks, other.clocks);
    }
}
