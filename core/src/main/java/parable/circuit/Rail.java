package parable.circuit;

import java.util.Objects;

/**
 * A rail of the control circuit: an upright of the ladder.
 *
 * @param name how rungs call it, for example {@code L}
 * @param number its wire number, for example {@code 1}
 */
public record Rail(String name, String number) {
    public Rail {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(number, "number");
    }
}
