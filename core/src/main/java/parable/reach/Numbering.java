package parable.reach;

import java.util.Arrays;

/** Numbers for keys, in the order in which they are met; open addressing, eight bytes a key and four to eight for its place in the table. */
final class Numbering {

    private static final int FREE = -1;

    private long[] keys = new long[1 << 6];
    private int[] table = new int[1 << 7];
    private int size;

    Numbering() {
        Arrays.fill(table, FREE);
    }

    int size() {
        return size;
    }

    /** The key of a number. */
    long key(int number) {
        return keys[number];
    }

    /** The number of a key, -1 if it has none. */
    int indexOf(long key) {
        return table[slot(key)];
    }

    /** The number of a key, the next if it had none. */
    int add(long key) {
        int slot = slot(key);
        if (table[slot] != FREE) {
            return table[slot];
        }
        if (size == keys.length) {
            keys = Arrays.copyOf(keys, 2 * size);
        }
        keys[size] = key;
        table[slot] = size++;
        if (2 * size > table.length) {
            grow();
        }
        return size - 1;
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
        for (int number = 0; number < size; number++) {
            table[slot(keys[number])] = number;
        }
    }
}
