package parable.proof;

import java.util.List;
import java.util.Optional;
import parable.bench.Fault;

/**
 * What a single fault does.
 *
 * @param broken the claims that hold without it and do not with it, by their ids
 * @param revealed what of the usual operation shows it and how, empty if it stays hidden
 * @param refutation how the bench shows it: the first of the broken claims broken, else the usual operation that reveals it, else one that
 *     goes on as if nothing were
 */
public record FaultRow(Fault fault, List<String> broken, Optional<String> revealed, Optional<Refutation> refutation) {

    /** Not modified: the list is copied. */
    public FaultRow {
        broken = List.copyOf(broken);
    }

    /** Whether it breaks what keeps people and machine safe. */
    public boolean isDangerous() {
        return !broken.isEmpty();
    }

    /** Whether usual operation goes on as if it were not there, until a second fault comes. */
    public boolean isHidden() {
        return revealed.isEmpty();
    }

    /** The broken claims in a few words each. */
    public List<String> brokenWords() {
        return broken.stream()
                .map(id -> switch (id) {
                    case "no-short" -> "nothing is shorted";
                    case "no-restart" -> "nothing restarts by itself";
                    case "comes-to-rest" -> "nothing chatters";
                    default -> id.startsWith("own:")
                            ? id.replace("own:", "")
                            : id.replace("stops:", "") + " stops every motor";
                })
                .toList();
    }

    /** What it does, in a few words. */
    public String words() {
        return (isHidden() ? "Stays hidden" : "Shows itself")
                + (isDangerous() ? " and is dangerous" : "")
                + revealed.map(how -> ": " + how).orElse("");
    }
}
