package parable.wiring;

import java.util.List;
import parable.circuit.Terminal;

/**
 * One wire to be made.
 *
 * @param number the wire number that goes on both ferrules
 * @param from the terminal that is wired already, or the first
 * @param to the terminal that it brings in
 * @param rung what it is made with: a rung of the ladder from 1 on, 0 for the power circuit
 * @param seconds which of its two terminals get their second conductor by it
 * @param colour such as {@code red}
 * @param size such as {@code 1 mm²} or {@code 16 AWG}
 * @param metres its length in m
 * @param crosses whether it leaves a place
 */
public record Wire(
        String number,
        Terminal from,
        Terminal to,
        int rung,
        List<Terminal> seconds,
        String colour,
        String size,
        double metres,
        boolean crosses) {

    /** Not modified: the list is copied. */
    public Wire {
        seconds = List.copyOf(seconds);
    }

    /** This wire with other terminals that get their second conductor. */
    Wire withSeconds(List<Terminal> others) {
        return new Wire(number, from, to, rung, others, colour, size, metres, crosses);
    }
}
