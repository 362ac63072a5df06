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

    /** As any record's; written out, because terminals are looked up so often that the generated one is felt. */
    @Override
    public int hashCode() {
        return 31 * tag.hashCode() + marking.hashCode();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Terminal that && tag.equals(that.tag) && marking.equals(that.marking);
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
