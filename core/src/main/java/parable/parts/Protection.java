package parable.parts;

import java.util.Objects;
import java.util.Optional;

/**
 * What makes a breaker or a fuse open by itself. Of several in the way of a short circuit those of the lowest rating go.
 *
 * @param amperes the rated current in A, above 0
 * @param curve how long it carries more; empty if a thermal release with a setting of its own decides that
 */
public record Protection(double amperes, Optional<TripCurve> curve) {

    public Protection {
        Objects.requireNonNull(curve, "curve");
    }

    /**
     * The time in s that it carries a current for; infinite if for good.
     *
     * @param current in A
     */
    public double secondsAt(double current) {
        return curve.map(one -> one.secondsAt(current / amperes)).orElse(Double.POSITIVE_INFINITY);
    }
}
