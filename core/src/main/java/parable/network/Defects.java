package parable.network;

import java.util.Set;
import parable.circuit.Terminal;

/**
 * How a panel differs from its sheet.
 *
 * @param wiresOff the terminals whose wires are off
 * @param jumpers copper that the sheet does not show
 * @param low the live terminals of sources that give only {@link #LOW_SHARE} of their voltage
 */
public record Defects(Set<Terminal> wiresOff, Set<Jumper> jumpers, Set<Terminal> low) {

    /** A panel wired as drawn. */
    public static final Defects NONE = new Defects(Set.of(), Set.of(), Set.of());

    /** The share of its rated voltage that a low source still gives: too little to pull in, enough to hold. */
    public static final double LOW_SHARE = 0.7;

    /** Not modified: the sets are copied. */
    public Defects {
        wiresOff = Set.copyOf(wiresOff);
        jumpers = Set.copyOf(jumpers);
        low = Set.copyOf(low);
    }
}
