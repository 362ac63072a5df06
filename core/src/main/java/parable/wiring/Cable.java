package parable.wiring;

import java.util.List;

/**
 * A cable from the cabinet to a field box, or from one to another.
 *
 * @param name such as {@code W1}
 * @param from a place
 * @param to another
 * @param size the cross-section of its cores
 * @param cores how many it has: a usual number, with at least one spare where it carries control circuits
 * @param wires the wires that are its cores, core 1 first
 */
public record Cable(String name, String from, String to, String size, int cores, List<Wire> wires) {

    /** Not modified: the list is copied. */
    public Cable {
        wires = List.copyOf(wires);
    }

    /** How many cores are left over. */
    public int spares() {
        return cores - wires.size();
    }
}
