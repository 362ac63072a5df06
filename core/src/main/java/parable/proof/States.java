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
    static final int MOST_TOGETHER = 7;

    private final int low;
    private int[] at = new int[1 << 10];
    private int[] parents = new int[1 << 10];
    private int size;
    private final Numbering groups = new Numbering();
    private int[][] places = new int[1 << 6][];

    /**
     * No states yet.
     *
     * @param hands so many of the lowest bits are likely to be met in every combination; at most {@link #MOST_TOGETHER}
     */
    States(int hands) {
        low = hands;
    }

    int size() {
        return size;
    }

    long key(int index) {
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

    /** The first state of a group, found or not. */
    long first(int group) {
        return groups.key(group) << low;
    }

    /** Adds a state unless it is there; returns its position. */
    int add(long key, int parent) {
        return add(groupOf(key), (int) key & (1 << low) - 1, parent);
    }

    /** Adds the state at a place of a group unless it is there; returns its position. */
    int add(int group, int place, int parent) {
        if (places[group][place] != FREE) {
            return places[group][place];
        }
        if (size == at.length) {
            at = Arrays.copyOf(at, size + (size >> 1));
            parents = Arrays.copyOf(parents, size + (size >> 1));
        }
        at[size] = group << low | place;
        parents[size] = parent;
        places[group][place] = size;
        return size++;
    }

    /** The position of a state, -1 if it has not been found. */
    int indexOf(long key) {
        int group = groups.indexOf(key >>> low);
        return group == FREE ? FREE : places[group][(int) key & (1 << low) - 1];
    }

    /** The group of a state; a new one if there was none. */
    int groupOf(long key) {
        int known = groups.size();
        int group = groups.add(key >>> low);
        if (group == known) {
            if (group == places.length) {
                places = Arrays.copyOf(places, 2 * group);
            }
            places[group] = new int[1 << low];
            Arrays.fill(places[group], FREE);
        }
        return group;
    }
}
