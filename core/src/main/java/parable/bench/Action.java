package parable.bench;

import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.Verb;

/**
 * Something done to a device.
 *
 * @param verb what is done
 * @param tag the device it is done to
 * @param position the position it is turned to; empty for everything that is not turned
 */
public record Action(Verb verb, String tag, String position) {
    public Action {
        Objects.requireNonNull(verb, "verb");
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(position, "position");
    }

    /** Something that needs no position. */
    public Action(Verb verb, String tag) {
        this(verb, tag, "");
    }

    /**
     * The position that this takes a device to.
     *
     * @throws ActionRefusedException if this cannot be done to it
     */
    int positionOf(Part part) throws ActionRefusedException {
        if (part.drive() instanceof Drive.ByTurning turning) {
            if (verb == Verb.TURN && turning.positions().contains(position)) {
                return turning.positions().indexOf(position);
            }
            throw new ActionRefusedException(this, "turn to one of " + String.join(", ", turning.positions()));
        }
        Map<Verb, Integer> verbs = part.drive().verbs();
        if (verbs.isEmpty()) {
            throw new ActionRefusedException(this, "a device that something can be done to");
        }
        if (!verbs.containsKey(verb)) {
            throw new ActionRefusedException(
                    this, verbs.keySet().stream().sorted().map(Verb::word).collect(Collectors.joining(" or ")));
        }
        return verbs.get(verb);
    }

    /** As a script writes it: {@code press S1}. */
    @Override
    public String toString() {
        return verb.word() + " " + tag + (position.isEmpty() ? "" : " " + position);
    }
}
