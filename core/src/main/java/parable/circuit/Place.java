package parable.circuit;

import java.util.Objects;

/**
 * Where something is on a sheet.
 *
 * @param circuit which circuit
 * @param rung which of its rungs, from 0
 * @param item which of the rung's items, from 0
 */
public record Place(Circuit circuit, int rung, int item) {
    public Place {
        Objects.requireNonNull(circuit, "circuit");
    }
}
