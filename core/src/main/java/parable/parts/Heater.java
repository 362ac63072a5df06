package parable.parts;

import java.util.Optional;

/**
 * The thermal model of an overload release: a body that warms with the square of the current and cools exponentially.
 * With the current I in multiples of the setting its heat h follows dh/dt = (I^2 - h) / tau, so that h is 1 at the setting
 * for good, and it trips at h = 1.15^2: never at 1.05 times the setting, within two hours at 1.2 times (IEC 60947-4-1).
 *
 * @param setting the dial setting in A, above 0
 * @param timeConstant tau in s; it decides the trip class
 * @param tripPosition the position its device goes to when it trips
 * @param automaticReset whether it resets itself once it has cooled
 * @param phaseLossSensitive whether it trips sooner when one of its poles carries nothing
 */
public record Heater(
        double setting, double timeConstant, int tripPosition, boolean automaticReset, boolean phaseLossSensitive) {

    /** With a dead pole a release that is sensitive to that feels so many times the current of the others. */
    public static final double WITH_A_DEAD_POLE = 1.25;

    /** The heat at which it trips. */
    public static final double TRIPS_AT = 1.15 * 1.15;

    /** The heat below which it can be reset and resets itself if it does that. */
    public static final double RESETS_AT = 0.8;

    /**
     * The heater of a trip class, in the middle of its band at 7.2 times the setting from cold.
     *
     * @param tripClass 10A, 10, 20 or 30
     */
    public static Heater ofClass(
            String tripClass, double setting, int tripPosition, boolean automaticReset, boolean phaseLossSensitive) {
        double seconds =
                switch (tripClass) {
                    case "10A" -> 5;
                    case "10" -> 7;
                    case "20" -> 13;
                    default -> 19;
                };
        double share = 7.2 * 7.2 / (7.2 * 7.2 - TRIPS_AT);
        return new Heater(setting, seconds / Math.log(share), tripPosition, automaticReset, phaseLossSensitive);
    }

    /** This release with its dial at so many times its setting. */
    public Heater dialled(double times) {
        return times == 1
                ? this
                : new Heater(times * setting, timeConstant, tripPosition, automaticReset, phaseLossSensitive);
    }

    /**
     * How long it takes to a heat at a steady current, in s; 0 if it is beyond it already, empty if it never gets there.
     *
     * @param level the heat to be reached by warming
     * @param heat the heat now
     * @param amperes the current in A
     */
    public Optional<Double> secondsTo(double level, double heat, double amperes) {
        double end = amperes / setting * (amperes / setting);
        if (heat >= level) {
            return Optional.of(0.0);
        }
        return end > level ? Optional.of(timeConstant * Math.log((end - heat) / (end - level))) : Optional.empty();
    }

    /**
     * The heat after a while at a steady current.
     *
     * @param heat the heat before
     * @param amperes the current in A
     * @param seconds how long
     */
    public double after(double heat, double amperes, double seconds) {
        double end = amperes / setting * (amperes / setting);
        return end + (heat - end) * Math.exp(-seconds / timeConstant);
    }
}
