package parable.network;

import java.util.Map;
import java.util.Set;
import parable.circuit.Terminal;

/**
 * How a panel differs from its sheet.
 *
 * @param wiresOff the terminals whose wires are off
 * @param jumpers copper that the sheet does not show
 * @param shares the share of its voltage that a source still gives, from 0 to 1, by its live terminal; 1 for those that are not there
 */
public record Defects(Set<Terminal> wiresOff, Set<Jumper> jumpers, Map<Terminal, Double> shares) {

    /** A panel wired as drawn. */
    public static final Defects NONE = new Defects(Set.of(), Set.of(), Map.of());

    /** The share of its rated voltage that a low source still gives: too little to pull in, enough to hold. */
    public static final double LOW_SHARE = 0.7;

    /** Not modified: the sets are copied. */
    public Defects {
        wiresOff = Set.copyOf(wiresOff);
        jumpers = Set.copyOf(jumpers);
        shares = Map.copyOf(shares);
    }
}
