package parable.proof;

import java.util.Arrays;

/** The states found so far, each with the state it was found from; open addressing, 16 bytes a state and the table. */
final class States {

    private static final int FREE = -1;

    private long[] keys = new long[1 << 10];
    private int[] parents = new int[1 << 10];
    private int[] table = new int[1 << 11];
    private int size;

    States() {
        Arrays.fill(table, FREE);
    }

    int size() {
        return size;
    }

    long key(int index) {
        return keys[index];
    }

    /** The position of the state it was found from, -1 for the first. */
    int parent(int index) {
        return parents[index];
    }

    /** Adds a state unless it is there; returns whether it was new. */
    boolean add(long key, int parent) {
        int slot = slot(key);
        if (table[slot] != FREE) {
            return false;
        }
        if (size == keys.length) {
            keys = Arrays.copyOf(keys, 2 * size);
            parents = Arrays.copyOf(parents, 2 * size);
        }
        keys[size] = key;
        parents[size] = parent;
        table[slot] = size++;
        if (2 * size > table.length) {
            grow();
        }
        return true;
    }

    /** The position of a state, -1 if it has not been found. */
    int indexOf(long key) {
        return table[slot(key)];
    }

    private int slot(long key) {
        long mixed = key * 0x9E3779B97F4A7C15L;
        int slot = (int) (mixed >>> 32) & table.length - 1;
        while (table[slot] != FREE && keys[table[slot]] != key) {
            slot = slot + 1 & table.length - 1;
        }
        return slot;
    }

    private void grow() {
        table = new int[2 * table.length];
        Arrays.fill(table, FREE);
        for (int i = 0; i < size; i++) {
            table[slot(keys[i])] = i;
        }
    }
}
