package parable.circuit;

import java.util.Objects;

/**
 * One terminal of one device, for example {@code K1:13}.
 *
 * @param tag the device's tag, for example {@code K1}
 * @param marking the marking printed beside the screw, for example {@code 13}
 */
public record Terminal(String tag, String marking) implements Comparable<Terminal> {

    public Terminal {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(marking, "marking");
    }

    /** Orders by tag, then by marking, both as plain text. */
    @Override
    public int compareTo(Terminal other) {
        int byTag = tag.compareTo(other.tag);
        return byTag != 0 ? byTag : marking.compareTo(other.marking);
    }

    /** The terminal as it is said and written on a wire list: {@code K1:13}. */
    @Override
    public String toString() {
        return tag + ":" + marking;
    }
}
