package parable.parts;

import java.util.Objects;

/**
 * A load of a device between two of its terminals.
 *
 * @param from the marking of one side
 * @param to the marking of the other side; for a motor's winding it may be an inner point that no rung can reach
 * @param role what it does with its voltage
 * @param rated the voltage it is made for
 * @param ohms its resistance in ohms, above 0
 * @param reactance its reactance in ohms at the supply's frequency, not negative; it does not hinder DC
 */
public record Load(String from, String to, LoadRole role, RatedVoltage rated, double ohms, double reactance) {

    public Load {
        Objects.requireNonNull(role, "role");
        if (!(ohms > 0) || !(reactance >= 0)) {
            throw new IllegalArgumentException(
                    "a load has more than 0 ohm and no negative reactance, found " + ohms + " and " + reactance);
        }
    }

    /** A load that takes this apparent power in VA at its rated voltage, with this power factor (above 0, up to 1). */
    static Load ofPower(
            String from, String to, LoadRole role, RatedVoltage rated, double voltAmperes, double powerFactor) {
        double impedance = rated.volts() * rated.volts() / voltAmperes;
        double factor = rated.kind() == CurrentKind.DC ? 1 : powerFactor;
        return new Load(from, to, role, rated, impedance * factor, impedance * Math.sqrt(1 - factor * factor));
    }
}
