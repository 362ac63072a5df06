package parable.proof;

import java.util.Arrays;

/**
 * The states found so far, each with the state it was found from. States that differ only in their lowest bits, where the positions of hands
 * are, stand together as a group: the group is found by open addressing, the state in it by its bits. Eight bytes a state, and four for each
 * place in a group.
 */
final class States {

    private static final int FREE = -1;

    /** Groups are no larger than this, so that those of which little is found waste little. */
    private static final int MOST_TOGETHER = 8;

    private final int low;
    private int[] at = new int[1 << 10];
    private int[] parents = new int[1 << 10];
    private int size;
    private long[] groups = new long[1 << 6];
    private int[] table = new int[1 << 7];
    private int[] places;
    private int groupCount;

    States() {
        this(0);
    }

    /**
     * No states yet.
     *
     * @param hands so many of the lowest bits are likely to be met in every combination
     */
    States(int hands) {
        low = Math.min(hands, MOST_TOGETHER);
        places = new int[groups.length << low];
        Arrays.fill(places, FREE);
        Arrays.fill(table, FREE);
    }

    int size() {
        return size;
    }

    long key(int index) {
        return groups[at[index] >>> low] << low | at[index] & (1 << low) - 1;
    }

    /** The position of the state it was found from, -1 for the first. */
    int parent(int index) {
        return parents[index];
    }

    /** Adds a state unless it is there; returns its position. */
    int add(long key, int parent) {
        int place = place(key, isBeside(key, parent) ? at[parent] >>> low : groupOf(key));
        if (places[place] != FREE) {
            return places[place];
        }
        if (size == at.length) {
            at = Arrays.copyOf(at, 2 * size);
            parents = Arrays.copyOf(parents, 2 * size);
        }
        at[size] = place;
        parents[size] = parent;
        places[place] = size;
        return size++;
    }

    /** The position of a state, -1 if it has not been found. */
    int indexOf(long key) {
        int group = table[slot(key >>> low)];
        return group == FREE ? FREE : places[place(key, group)];
    }

    /** Whether a state stands in the same group as another; most that hands lead to do. */
    private boolean isBeside(long key, int other) {
        return other >= 0 && groups[at[other] >>> low] == key >>> low;
    }

    private int place(long key, int group) {
        return group << low | (int) key & (1 << low) - 1;
    }

    /** The group of a state, a new one if there was none. */
    private int groupOf(long key) {
        int slot = slot(key >>> low);
        if (table[slot] != FREE) {
            return table[slot];
        }
        if (groupCount == groups.length) {
            groups = Arrays.copyOf(groups, 2 * groupCount);
            places = Arrays.copyOf(places, 2 * places.length);
            Arrays.fill(places, places.length / 2, places.length, FREE);
        }
        groups[groupCount] = key >>> low;
        table[slot] = groupCount++;
        if (2 * groupCount > table.length) {
            grow();
        }
        return groupCount - 1;
    }

    private int slot(long group) {
        long mixed = group * 0x9E3779B97F4A7C15L;
        int slot = (int) (mixed >>> 32) & table.length - 1;
        while (table[slot] != FREE && groups[table[slot]] != group) {
            slot = slot + 1 & table.length - 1;
        }
        return slot;
    }

    private void grow() {
        table = new int[2 * table.length];
        Arrays.fill(table, FREE);
        for (int group = 0; group < groupCount; group++) {
            table[slot(groups[group])] = group;
        }
    }
}
