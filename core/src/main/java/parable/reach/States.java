package parable.reach;

import java.util.Arrays;
import java.util.BitSet;

/**
 * The states found so far, each with the state it was found from. States that differ only in their lowest bits, where the positions of hands
 * are, stand together as a group: the group is found by open addressing, the state in it by its bits. States found are first only marked, and
 * then numbered group by group, so that near ones get near numbers. Eight bytes a state, and four for each place in a group.
 */
public final class States {

    private static final int FREE = -1;

    /** Groups are no larger than this, so that those of which little is found waste little. */
    static final int MOST_TOGETHER = 7;

    private final int low;
    private final int words;
    private int[] at = new int[1 << 10];
    private int[] parents = new int[1 << 10];
    private int size;
    private int known;
    private final Numbering groups = new Numbering();
    private long[] marked = new long[1 << 7];
    private long[] fresh = new long[1 << 7];
    private final BitSet touched = new BitSet();

    /** For each group the numbers of its states, and of one that has none yet the number of its parent. */
    private int[][] places = new int[1 << 6][];

    /**
     * No states yet.
     *
     * @param hands so many of the lowest bits are likely to be met in every combination; at most {@link #MOST_TOGETHER}
     */
    States(int hands) {
        low = hands;
        words = (places() + Long.SIZE - 1) / Long.SIZE;
    }

    /** How many states are numbered. */
    public int size() {
        return size;
    }

    /** How many states are found, numbered or not. */
    int known() {
        return known;
    }

    /** How many words hold a bit for each place of a group. */
    int words() {
        return words;
    }

    /** A state, by the order in which it was found. */
    public long key(int index) {
        return groups.key(at[index] >>> low) << low | at[index] & (1 << low) - 1;
    }

    /** The position of the state it was found from, -1 for the first. */
    int parent(int index) {
        return parents[index];
    }

    /** How many places a group has. */
    int places() {
        return 1 << low;
    }

    int group(int index) {
        return at[index] >>> low;
    }

    int place(int index) {
        return at[index] & (1 << low) - 1;
    }

    /** The place of a state in its group. */
    int place(long key) {
        return (int) key & (1 << low) - 1;
    }

    /** The first state of a group, found or not. */
    long first(int group) {
        return groups.key(group) << low;
    }

    /**
     * Marks some states of a group as found, but for those that are.
     *
     * @param some their places, a bit each, in one of the words
     */
    void find(int group, int word, long some, int parent) {
        for (long left = mark(group, word, some); left != 0; left &= left - 1) {
            places[group][word * Long.SIZE + Long.numberOfTrailingZeros(left)] = parent;
        }
    }

    /** The same of states that were found from those at the same places of another group, or of the same. */
    void findBy(int parents, int group, int word, long some) {
        for (long left = mark(group, word, some); left != 0; left &= left - 1) {
            int place = word * Long.SIZE + Long.numberOfTrailingZeros(left);
            places[group][place] = places[parents][place];
        }
    }

    /** Which of them are new. */
    private long mark(int group, int word, long some) {
        int at = group * words + word;
        long found = some & ~marked[at];
        if (found != 0) {
            marked[at] |= found;
            fresh[at] |= found;
            touched.set(group);
            known += Long.bitCount(found);
        }
        return found;
    }

    /** Numbers the states that were found since they were numbered last. */
    void number() {
        at = room(at);
        parents = room(parents);
        for (int group = touched.nextSetBit(0); group >= 0; group = touched.nextSetBit(group + 1)) {
            for (int word = 0; word < words; word++) {
                for (long left = fresh[group * words + word]; left != 0; left &= left - 1) {
                    number(group, word * Long.SIZE + Long.numberOfTrailingZeros(left));
                }
                fresh[group * words + word] = 0;
            }
        }
        touched.clear();
    }

    private int[] room(int[] of) {
        return known <= of.length ? of : Arrays.copyOf(of, known + (known >> 1));
    }

    private void number(int group, int place) {
        at[size] = group << low | place;
        parents[size] = places[group][place];
        places[group][place] = size++;
    }

    /** How many groups there are. */
    int groups() {
        return groups.size();
    }

    /** The position of a state, -1 if it has not been found. */
    public int indexOf(long key) {
        int group = groups.indexOf(key >>> low);
        return group == FREE ? FREE : places[group][place(key)];
    }

    /** The position of the state at a place of a group, -1 if it has not been found. */
    int indexOf(int group, int place) {
        return places[group][place];
    }

    /** The group of a state; a new one if there was none. */
    int groupOf(long key) {
        int known = groups.size();
        int group = groups.add(key >>> low);
        if (group == known) {
            if (group == places.length) {
                places = Arrays.copyOf(places, 2 * group);
            }
            if ((group + 1) * words > marked.length) {
                marked = Arrays.copyOf(marked, 2 * marked.length);
                fresh = Arrays.copyOf(fresh, 2 * fresh.length);
            }
            places[group] = new int[1 << low];
            Arrays.fill(places[group], FREE);
        }
        return group;
    }
}
