package parable.circuit;

import java.util.List;

/**
 * A node: every terminal and point that copper makes one. Its wire number is what is on the ferrules.
 *
 * @param number the wire number, unique on the sheet
 * @param names all names that rungs call it by, rails included; the wire number need not be one of them
 * @param terminals the terminals on it, in the order the rungs name them; a rail may have none
 */
public record Node(String number, List<String> names, List<Terminal> terminals) {

    /** Not modified: the lists are copied. */
    public Node {
        names = List.copyOf(names);
        terminals = List.copyOf(terminals);
    }
}
