package parable.parts;

import java.util.Optional;

/**
 * A source of voltage inside a device. It can be switched off as a whole; then its live terminal is on nothing.
 *
 * @param reference the marking of the terminal it is measured from, for example {@code N}
 * @param live the marking of its live terminal, for example {@code L1}
 * @param rated its voltage from reference to live
 * @param degrees its phase angle in degrees, 0 for DC
 * @param following the input that it follows, empty for one that has its voltage from outside the sheet
 * @param grounded whether its reference terminal is bonded to earth; that of a source which follows an input is linked to the PE terminal of its
 *     device, and so to earth only by the conductor there
 */
public record Source(
        String reference,
        String live,
        RatedVoltage rated,
        double degrees,
        Optional<Following> following,
        boolean grounded) {

    /** A source fed from outside the sheet. */
    Source(String reference, String live, RatedVoltage rated, double degrees, boolean grounded) {
        this(reference, live, rated, degrees, Optional.empty(), grounded);
    }

    /**
     * How a source follows an input of its own device.
     *
     * @param load the input's position among the device's loads
     * @param law how
     * @param drop the share of its voltage that every VA drawn from it takes away, 0 for one that is stiff
     */
    public record Following(int load, Law law, double drop) {}

    /** The share of its voltage that every VA drawn from it takes away, 0 for one that is stiff. */
    public double drop() {
        return following.map(Following::drop).orElse(0.0);
    }

    /** How the output of a device follows its input. */
    public enum Law {
        /** In proportion and in phase: a transformer. */
        IN_PROPORTION,
        /** At its rated voltage while the input has at least 80 % of its own: a regulated DC supply. */
        REGULATED,
        /** Its average, in proportion: a rectifier without smoothing. */
        RECTIFIED
    }
}
