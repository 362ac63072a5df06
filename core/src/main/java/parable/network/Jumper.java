package parable.network;

import java.util.Objects;
import parable.circuit.Terminal;

/**
 * A piece of copper that the sheet does not show: a wire on the wrong terminal, a coil whose turns are shorted, a bare
 * strand that touches earth.
 *
 * @param one where it begins
 * @param other where it ends
 */
public record Jumper(End one, End other) {
    public Jumper {
        Objects.requireNonNull(one, "one");
        Objects.requireNonNull(other, "other");
    }

    /** Where a jumper can be. */
    public sealed interface End {}

    /** On a terminal, whether or not the sheet's own wire still lands there. */
    public record AtTerminal(Terminal terminal) implements End {}

    /**
     * On whatever is left of the sheet's own wire that should land on a terminal.
     *
     * @param terminal the terminal it has come from
     */
    public record AtWireOf(Terminal terminal) implements End {}

    /** On earth. */
    public record AtEarth() implements End {}
}
