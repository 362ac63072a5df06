package parable.app.findings;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.check.Finding;
import parable.check.Repair;
import parable.circuit.Conventions;
import parable.circuit.Sheet;

/** What was found on the sheets checked last, so that one that is shown again, or comes back by undoing, is not tried again. */
final class KnownFindings {

    private static final int MOST = 24;

    private final Map<Asked, Known> known = new LinkedHashMap<>();

    /** What a check depends on. */
    record Asked(Sheet sheet, Conventions conventions) {}

    /**
     * What a check came to.
     *
     * @param read those findings that were read off the sheet without trying it
     * @param findings all, the worst first
     */
    record Known(List<Finding> read, List<Finding> findings, Map<Finding, Repair> repairs) {}

    synchronized Optional<Known> of(Asked asked) {
        Optional<Known> found = Optional.ofNullable(known.remove(asked));
        found.ifPresent(again -> known.put(asked, again));
        return found;
    }

    /** Keeps what was found, and lets go of what was asked for least lately when there is too much. */
    synchronized void keep(Asked asked, Known found) {
        known.put(asked, found);
        if (known.size() > MOST) {
            known.remove(known.keySet().iterator().next());
        }
    }
}
