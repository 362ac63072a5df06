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
 * @param directOhms what it has against DC in ohms, above 0: the copper of a winding, the whole of a lamp
 * @param meterOhms what an ohmmeter shows of it in ohms, above 0: its volt or two lights no lamp and opens no rectifier, so that these show next
 *     to nothing
 */
public record Load(
        String from,
        String to,
        LoadRole role,
        RatedVoltage rated,
        double ohms,
        double reactance,
        double directOhms,
        double meterOhms) {

    /** What an ohmmeter shows at least of a lamp with diodes or of electronics, in ohms. */
    private static final double HARDLY_ANYTHING = 1e6;

    public Load {
        Objects.requireNonNull(role, "role");
        if (!(ohms > 0) || !(reactance >= 0) || !(directOhms > 0) || !(meterOhms > 0)) {
            throw new IllegalArgumentException("a load has more than 0 ohm and no negative reactance, found " + ohms
                    + ", " + reactance + ", " + directOhms + ", " + meterOhms);
        }
    }

    /** A load that takes this apparent power in VA at its rated voltage, with this power factor (above 0, up to 1). */
    static Load ofPower(
            String from, String to, LoadRole role, RatedVoltage rated, double voltAmperes, double powerFactor) {
        double impedance = rated.volts() * rated.volts() / voltAmperes;
        double factor = rated.kind() == CurrentKind.DC ? 1 : powerFactor;
        return new Load(
                from,
                to,
                role,
                rated,
                impedance * factor,
                impedance * Math.sqrt(1 - factor * factor),
                impedance * factor,
                impedance * factor);
    }

    /** A load of pure resistance. */
    static Load ofOhms(String from, String to, LoadRole role, RatedVoltage rated, double ohms) {
        return new Load(from, to, role, rated, ohms, 0, ohms, ohms);
    }

    /**
     * What hinders an alternating current in a coil while its armature is open, in ohms: mostly the copper, which then has three quarters of it (data sheets; cosine phi
     * with the armature open).
     */
    public double openOhms() {
        return directOhms / CoilData.INRUSH_POWER_FACTOR;
    }

    /** What it takes at a voltage of its kind, in W. */
    public double watts(double volts) {
        return volts * volts * ohms / (ohms * ohms + reactance * reactance);
    }

    /** What goes to and fro in it at a voltage of its kind, in var. */
    public double vars(double volts) {
        return volts * volts * reactance / (ohms * ohms + reactance * reactance);
    }

    /** What a coil takes at a voltage of its kind while its armature is open, in W. */
    public double openWatts(double volts) {
        return volts * volts / openOhms() * CoilData.INRUSH_POWER_FACTOR;
    }

    /** What goes to and fro in a coil at a voltage of its kind while its armature is open, in var. */
    public double openVars(double volts) {
        return volts * volts / openOhms() * Math.sqrt(1 - CoilData.INRUSH_POWER_FACTOR * CoilData.INRUSH_POWER_FACTOR);
    }

    /** Whether its other side is the inner star point of a motor, which no rung can reach. */
    public boolean endsAtStarPoint() {
        return to.equals(Part.STAR_POINT);
    }

    /** This load with another resistance against DC, in ohms. */
    Load withDirectOhms(double resistance) {
        return new Load(from, to, role, rated, ohms, reactance, resistance, resistance);
    }

    /** This load behind diodes or made of electronics, so that an ohmmeter shows hardly anything of it. */
    Load electronic() {
        return new Load(from, to, role, rated, ohms, reactance, directOhms, HARDLY_ANYTHING);
    }
}
