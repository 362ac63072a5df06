package parable.circuit;

import java.util.Objects;

/**
 * Something that somebody states for sizing: a condition that the drawing does not tell, or a result of which they know better.
 *
 * @param about the tag of a device, such as {@code M1}; empty for the sheet or job itself
 * @param quantity what it is, such as {@code length} or {@code overload}
 * @param value as it is written, such as {@code 25 m}
 */
public record Stated(String about, String quantity, String value) {

    public Stated {
        Objects.requireNonNull(about, "about");
        Objects.requireNonNull(quantity, "quantity");
        Objects.requireNonNull(value, "value");
    }

    /** Whether it is about this quantity. */
    public boolean isOf(String device, String what) {
        return about.equals(device) && quantity.equals(what);
    }
}
