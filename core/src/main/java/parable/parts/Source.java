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
     * @param regulation what its load takes of its voltage
     * @param most the most in VA that it gives; what would take more gets less voltage instead. Infinite for one without such a limit
     */
    public record Following(int load, Law law, Regulation regulation, double most) {

        /** One that nothing weakens. */
        Following(int load, Law law) {
            this(load, law, Regulation.STIFF, Double.POSITIVE_INFINITY);
        }
    }

    /** Whether any load takes some of its voltage; not so one that gives all of it up to a limit. */
    public boolean isSoft() {
        return following.filter(one -> one.regulation().sags()).isPresent();
    }

    /** Whether what hangs on it can weaken it. */
    public boolean sags() {
        return following
                .filter(one -> one.regulation().sags() || one.most() < Double.POSITIVE_INFINITY)
                .isPresent();
    }

    /**
     * The share of its voltage that it still gives.
     *
     * @param watts what hangs on it would take at full voltage, in W
     * @param vars and what goes to and fro, in var
     */
    public double share(double watts, double vars) {
        return following.map(one -> share(one, watts, vars)).orElse(1.0);
    }

    private static double share(Following following, double watts, double vars) {
        double voltAmperes = Math.hypot(watts, vars);
        return voltAmperes > following.most()
                ? following.most() / voltAmperes
                : following.regulation().share(watts, vars);
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
