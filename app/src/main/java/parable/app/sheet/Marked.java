package parable.app.sheet;

import java.util.List;
import parable.circuit.Terminal;

/**
 * What is pointed out on a drawing.
 *
 * @param wires the numbers of wires
 * @param ends terminals
 */
public record Marked(List<String> wires, List<Terminal> ends) {

    /** Nothing. */
    public static final Marked NOTHING = new Marked(List.of(), List.of());

    /** Not modified: the lists are copied. */
    public Marked {
        wires = List.copyOf(wires);
        ends = List.copyOf(ends);
    }
}
