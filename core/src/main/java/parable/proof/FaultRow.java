package parable.proof;

import java.util.List;
import java.util.Optional;
import parable.bench.Fault;
import parable.timing.Refutation;
import parable.timing.Replay;

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

    /** What another fault does that leaves the same circuit behind. */
    FaultRow of(Fault same, Replay replay) {
        return new FaultRow(same, broken, revealed, refutation.map(replay::likewise));
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
        return broken.stream().map(FaultRow::words).toList();
    }

    private static String words(String id) {
        String[] parts = id.split("[:@]");
        return switch (parts[0]) {
            case Shorts.NO_SHORT -> "nothing is shorted";
            case Shorts.APART -> "supplies stay apart";
            case Restarts.ID -> "nothing restarts by itself";
            case Chatter.ID -> "nothing chatters";
            case "never-together" -> parts[1] + " and " + parts[2] + " are never in together";
            case "jog" -> "letting go of " + parts[1] + " stops"
                    + (parts.length > 2 ? " with " + parts[2].replace("=", " turned to ") : "");
            case "own" -> id.substring("own:".length());
            default -> parts[1] + " stops what it has to";
        };
    }

    /** What it does, in a few words. */
    public String words() {
        return (isHidden() ? "Stays hidden" : "Shows itself")
                + (isDangerous() ? " and is dangerous" : "")
                + revealed.map(how -> ": " + how).orElse("");
    }
}
