package parable.bench;

import java.util.Objects;
import parable.parts.Verb;

/**
 * Something done to a device.
 *
 * @param verb what is done
 * @param tag the device it is done to
 */
public record Action(Verb verb, String tag) {
    public Action {
        Objects.requireNonNull(verb, "verb");
        Objects.requireNonNull(tag, "tag");
    }

    /** As a script writes it: {@code press S1}. */
    @Override
    public String toString() {
        return verb.word() + " " + tag;
    }
}
