package parable.reach;

import java.util.Arrays;

/** Some of the states found, a bit each: those of a group stand together in one or two words, so that what all of them do is done at once. */
public final class StateSet {

    private final States states;
    private final int words;
    private final long[] bits;

    /**
     * No state.
     *
     * @param groups how many groups there are
     */
    StateSet(States states, int groups) {
        this.states = states;
        words = states.words();
        bits = new long[groups * words];
    }

    private StateSet(StateSet other) {
        states = other.states;
        words = other.words;
        bits = other.bits.clone();
    }

    StateSet copy() {
        return new StateSet(this);
    }

    /** Whether a state is one of them, by its position; one that is not known is not. */
    public boolean has(int index) {
        return index >= 0 && (bits[word(index)] >>> states.place(index) & 1) == 1;
    }

    void add(int index) {
        bits[word(index)] |= 1L << states.place(index);
    }

    private int word(int index) {
        return states.group(index) * words + (states.place(index) >>> 6);
    }

    /** Some of the places of a group, by the number of the word. */
    long of(int group, int word) {
        return bits[group * words + word];
    }

    /** Puts other places of a group there; reports whether that changes anything. */
    boolean put(int group, int word, long places) {
        boolean changes = bits[group * words + word] != places;
        bits[group * words + word] = places;
        return changes;
    }

    boolean hasAny(int group) {
        for (int word = 0; word < words; word++) {
            if (of(group, word) != 0) {
                return true;
            }
        }
        return false;
    }

    /** How many states there are. */
    int size() {
        return Arrays.stream(bits).mapToInt(Long::bitCount).sum();
    }

    /** Their positions, in order. */
    int[] positions() {
        int[] positions = new int[size()];
        int found = 0;
        for (int at = 0; at < bits.length; at++) {
            for (long left = bits[at]; left != 0; left &= left - 1) {
                positions[found++] =
                        states.indexOf(at / words, at % words * Long.SIZE + Long.numberOfTrailingZeros(left));
            }
        }
        Arrays.sort(positions);
        return positions;
    }
}
