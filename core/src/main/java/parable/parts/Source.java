package parable.parts;

/**
 * A source of voltage inside a device. It can be switched off as a whole; then its live terminal is on nothing.
 *
 * @param reference the marking of the terminal it is measured from, for example {@code N}
 * @param live the marking of its live terminal, for example {@code L1}
 * @param rated its voltage from reference to live
 * @param degrees its phase angle in degrees, 0 for DC
 * @param grounded whether its reference terminal is bonded to earth
 */
public record Source(String reference, String live, RatedVoltage rated, double degrees, boolean grounded) {}
