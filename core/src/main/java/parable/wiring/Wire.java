package parable.wiring;

import java.util.List;
import parable.circuit.Terminal;

/**
 * One wire to be made.
 *
 * @param number the wire number that goes on both ferrules
 * @param from the terminal that is wired already, or the first
 * @param to the terminal that it brings in
 * @param rung what it is made with: the earlier rung of the ladder that it is on, from 1 on, 0 for the power circuit
 * @param seconds which of its two terminals get their second conductor by it
 * @param conductor what it is made of
 * @param metres its length in m
 * @param route the way it takes, such as {@code over the hinge}
 * @param crosses whether it leaves a place
 */
public record Wire(
        String number,
        Terminal from,
        Terminal to,
        int rung,
        List<Terminal> seconds,
        Conductor conductor,
        double metres,
        String route,
        boolean crosses) {

    /** Not modified: the list is copied. */
    public Wire {
        seconds = List.copyOf(seconds);
    }

    /** This wire with other terminals that get their second conductor. */
    Wire withSeconds(List<Terminal> others) {
        return new Wire(number, from, to, rung, others, conductor, metres, route, crosses);
    }

    /** This wire made of something else. */
    Wire madeOf(Conductor other) {
        return new Wire(number, from, to, rung, seconds, other, metres, route, crosses);
    }

    /** As it is read aloud while wiring: {@code Wire 3 leaves S0 12 and lands on S1 13.} */
    public String words() {
        return "Wire " + number + " leaves " + from.tag() + " " + from.marking() + " and lands on " + to.tag() + " "
                + to.marking() + ".";
    }
}
