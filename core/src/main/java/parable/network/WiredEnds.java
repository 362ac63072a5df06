package parable.network;

import java.util.Arrays;
import java.util.List;
import parable.circuit.Circuit;
import parable.parts.Assembly;
import parable.parts.FittedRung;

/** The nodes at both ends of each contact and load that a rung goes through: read off the rungs, which is quicker than asking for each terminal. */
final class WiredEnds {

    private static final int NONE = -1;

    /** Both ends of each contact, by twice its number among all. */
    private final int[] ofContacts;

    private final int[] ofLoads;
    private final Network network;

    private WiredEnds(Network network) {
        this.network = network;
        ofContacts = new int[2 * network.contactCount()];
        ofLoads = new int[2 * network.loadCount()];
        Arrays.fill(ofContacts, NONE);
        Arrays.fill(ofLoads, NONE);
    }

    /** Those of a network with no wire off. */
    static WiredEnds of(Network network) {
        WiredEnds ends = new WiredEnds(network);
        for (Circuit circuit : Circuit.values()) {
            ends.note(network.assembly(), circuit);
        }
        return ends;
    }

    /** None is known, each terminal has to be asked for. */
    static WiredEnds unknown(Network network) {
        return new WiredEnds(network);
    }

    private void note(Assembly assembly, Circuit circuit) {
        List<FittedRung> rungs = assembly.rungs(circuit);
        for (int rung = 0; rung < rungs.size(); rung++) {
            FittedRung fitted = rungs.get(rung);
            for (int item = 1; item + 1 < fitted.length(); item++) {
                int before = assembly.nodes().between(circuit, rung, item - 1);
                int behind = assembly.nodes().between(circuit, rung, item);
                boolean reversed = fitted.isReversed(item);
                note(fitted, item, reversed ? behind : before, reversed ? before : behind);
            }
        }
    }

    private void note(FittedRung fitted, int item, int from, int to) {
        int part = fitted.partIndex(item);
        if (fitted.contact(item) >= 0) {
            note(ofContacts, network.contact(part, fitted.contact(item)), from, to);
        } else if (fitted.load(item) >= 0) {
            note(ofLoads, network.load(part, fitted.load(item)), from, to);
        }
    }

    private static void note(int[] ends, int number, int from, int to) {
        ends[2 * number] = from;
        ends[2 * number + 1] = to;
    }

    /**
     * The node at an end of a contact, -1 if no rung goes through it.
     *
     * @param end 0 for the first terminal, 1 for the second
     */
    int ofContact(int number, int end) {
        return ofContacts[2 * number + end];
    }

    /** The node at an end of a load, as {@link #ofContact} has it. */
    int ofLoad(int number, int end) {
        return ofLoads[2 * number + end];
    }
}
