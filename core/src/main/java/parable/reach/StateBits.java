package parable.reach;

/**
 * Where in a state, one long, the position of each part is: lowest those that only hands move, then what is taken away of the supply, then all
 * others.
 */
final class StateBits {

    private static final int MOST_OF_A_PART = 31;

    private final MovingParts parts;
    private final int[] shift;
    private final int[] mask;
    private final int powerShift;
    private final int powerMask;
    private final int size;

    /**
     * The bits of a circuit.
     *
     * @param outages how many things may be taken away, one at a time
     */
    StateBits(MovingParts parts, int outages) {
        this.parts = parts;
        int count = parts.parts.size();
        shift = new int[count];
        mask = new int[count];
        for (int p : parts.moving) {
            int bits = parts.components.get(p).bits();
            mask[p] = bits >= MOST_OF_A_PART ? Integer.MAX_VALUE : (1 << bits) - 1;
        }
        int powerBits = Integer.SIZE - Integer.numberOfLeadingZeros(outages);
        powerMask = (1 << powerBits) - 1;
        powerShift = place(true, 0);
        size = place(false, powerShift + powerBits);
    }

    /** Gives the parts that only hands move their bits of a state, or all others theirs; returns the first bit after those. */
    private int place(boolean byHand, int first) {
        int at = first;
        for (int p : parts.moving) {
            if (parts.components.get(p) instanceof Component.Hand == byHand) {
                shift[p] = at;
                at += parts.components.get(p).bits();
            }
        }
        return at;
    }

    /** How many bits a state has; more than a long has, if the circuit is too large. */
    int size() {
        return size;
    }

    /** The position of a part, at rest if it does not move. */
    int value(long state, int part) {
        return parts.rank[part] < 0 ? parts.components.get(part).rest() : valueOfMoving(state, part);
    }

    /** The position of a part that moves. */
    int valueOfMoving(long state, int part) {
        return (int) (state >> shift[part]) & mask[part];
    }

    /** The state with a part that moves elsewhere. */
    long with(long state, int part, int value) {
        return state & ~((long) mask[part] << shift[part]) | (long) value << shift[part];
    }

    /** The bit that tells the two positions of a part apart. */
    long flip(int part) {
        return 1L << shift[part];
    }

    /** What is taken away: 0 for nothing, or the number of an outage. */
    int outage(long state) {
        return (int) (state >> powerShift) & powerMask;
    }

    /** The state with something else taken away. */
    long without(long state, int outage) {
        return state & ~((long) powerMask << powerShift) | (long) outage << powerShift;
    }

    /** So many of the lowest bits, at most as many as asked for, are whole parts that only hands move and that bar no other. */
    int handBits(int most) {
        int low = 0;
        for (int p : parts.moving) {
            boolean ends = parts.components.get(p) instanceof Component.Hand && shift[p] == low && !parts.bars(p);
            int after = low + parts.components.get(p).bits();
            if (ends && after <= most) {
                low = after;
            }
        }
        return low;
    }
}
