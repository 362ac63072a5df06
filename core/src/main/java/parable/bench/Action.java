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
 * @param position the position it is turned to, or the load of a motor in per cent of its rated torque; empty for
 *     everything else
 */
public record Action(Verb verb, String tag, String position) {

    private static final int MOST_LOAD = 300;

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
     * @param present the position it has been told to go to last
     *
     * @throws ActionRefusedException if this cannot be done to it
     */
    int positionOf(Part part, int present) throws ActionRefusedException {
        if (part.drive() instanceof Drive.ByTurning turning) {
            if (verb == Verb.RELEASE && !turning.springs().isEmpty()) {
                String springsTo = turning.springs()
                        .getOrDefault(
                                turning.positions().get(present),
                                turning.positions().get(present));
                return turning.positions().indexOf(springsTo);
            }
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
        if (part.drive() instanceof Drive.ByProgram && verb == Verb.RUN) {
            return present | verbs.get(verb);
        }
        boolean stopButton = verbs.containsKey(Verb.TRIP) && (verb == Verb.PRESS || verb == Verb.RELEASE);
        return stopButton && present == verbs.get(Verb.TRIP) ? present : verbs.get(verb);
    }

    /**
     * The load that this puts on a motor, as a share of rated torque.
     *
     * @throws ActionRefusedException if this puts no sensible load on it
     */
    double loadOn(Part part) throws ActionRefusedException {
        if (part.machine().isEmpty()) {
            throw new ActionRefusedException(this, "a motor");
        }
        if (!position.matches("\\d{1,3}") || Integer.parseInt(position) > MOST_LOAD) {
            throw new ActionRefusedException(this, "a load from 0 to " + MOST_LOAD + " (per cent of rated torque)");
        }
        return Integer.parseInt(position) / 100.0;
    }

    /** As a script writes it: {@code press S1}. */
    @Override
    public String toString() {
        return verb.word() + " " + tag + (position.isEmpty() ? "" : " " + position);
    }
}
