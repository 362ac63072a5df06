package parable.bench;

import java.util.ArrayList;
import java.util.List;

/**
 * What was due in an instant.
 *
 * @param moved the contacts that have arrived
 * @param heldBack words for those that could not
 * @param deeds what a controller has done
 */
record Arrivals(List<Pending.Move> moved, List<String> heldBack, List<Controllers.Deed> deeds) {

    /** None yet, to be added to. */
    Arrivals() {
        this(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
    }

    /** Whether no contact has moved or is about to: a controller may have scanned its program in vain. */
    boolean cameToNothing() {
        return moved.isEmpty()
                && heldBack.isEmpty()
                && deeds.stream().allMatch(deed -> deed.command().isEmpty());
    }
}
