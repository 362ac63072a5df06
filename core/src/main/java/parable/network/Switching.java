package parable.network;

import java.util.BitSet;

/**
 * The position that a network is solved in. The sets are copied.
 *
 * @param closed the numbers of the closed contacts
 * @param on the numbers of the sources that give voltage
 * @param open the numbers of the loads that are burnt through
 */
record Switching(BitSet closed, BitSet on, BitSet open) {

    private static final BitSet NONE = new BitSet();

    Switching {
        closed = (BitSet) closed.clone();
        on = (BitSet) on.clone();
        open = open.isEmpty() ? NONE : (BitSet) open.clone();
    }
}
