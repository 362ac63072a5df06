package parable.reach;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Numbers for the ways in which the contacts of a circuit stand: states of one number are joined alike. */
final class ContactWays {

    private final StateBits bits;
    private final int[] signing;
    private final long[][] signature;
    private final int size;

    /**
     * The ways of a circuit.
     *
     * @param outages how many things may be taken away, one at a time
     */
    ContactWays(MovingParts parts, StateBits bits, int outages) {
        this.bits = bits;
        signing = IntStream.of(parts.moving).filter(p -> p != parts.memory).toArray();
        signature = new long[parts.parts.size()][];
        int at = Integer.SIZE - Integer.numberOfLeadingZeros(outages);
        for (int p : signing) {
            at += sign(parts, p, at);
        }
        size = at;
    }

    /** Numbers the different ways the contacts of a part may stand; returns how many bits that takes. */
    private int sign(MovingParts parts, int part, int at) {
        Component component = parts.components.get(part);
        if (component instanceof Component.Output) {
            signature[part] = new long[] {0, 1L << at};
            return 1;
        }
        Map<List<Boolean>, Long> ways = new HashMap<>();
        signature[part] = new long[1 << component.bits()];
        for (int value = 0; value < signature[part].length; value++) {
            if (component.isValue(value)) {
                int shown = value;
                List<Boolean> way = parts.parts.get(part).contacts().stream()
                        .map(contact -> component.isClosed(contact, shown))
                        .toList();
                signature[part][value] = ways.computeIfAbsent(way, any -> (long) ways.size()) << at;
            }
        }
        return Integer.SIZE - Integer.numberOfLeadingZeros(Math.max(0, ways.size() - 1));
    }

    /** How many bits the numbers have. */
    int size() {
        return size;
    }

    /** The number of the way in which the contacts stand in a state, what is taken away of the supply included. */
    long of(long state) {
        long key = bits.outage(state);
        for (int p : signing) {
            key |= signature[p][bits.valueOfMoving(state, p)];
        }
        return key;
    }
}
