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
}
