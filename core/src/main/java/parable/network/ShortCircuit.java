package parable.network;

import java.util.List;

/**
 * A short circuit: two points at different potential joined through contacts only.
 *
 * @param loop the branches around which the current runs, beginning with the one that closed it
 */
public record ShortCircuit(List<Branch> loop) {

    /** Not modified: the list is copied. */
    public ShortCircuit {
        loop = List.copyOf(loop);
    }

    /** The two wires that meet at the branch that closed it: {@code wires 5 and 9}. */
    public String wires(Network network) {
        Branch closing = loop.get(0);
        return "wires " + network.name(closing.from()) + " and " + network.name(closing.to());
    }
}
