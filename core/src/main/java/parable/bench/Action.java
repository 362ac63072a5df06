package parable.bench;

import java.util.Objects;
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

    /** As a script writes it: {@code press S1}. */
    @Override
    public String toString() {
        return verb.word() + " " + tag + (position.isEmpty() ? "" : " " + position);
    }
}
