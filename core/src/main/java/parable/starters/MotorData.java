package parable.starters;

import java.util.Objects;

/**
 * The motor of a starter and what it drives, as a nameplate and the machine tell it.
 *
 * @param label what it drives
 * @param place where it stands
 * @param voltage between lines, such as {@code 400 V AC}
 * @param frequency such as {@code 50 Hz}
 * @param power such as {@code 2.2 kW}
 * @param overload the setting of its overload release, such as {@code 4.9 A}
 * @param breaker the rating of its breaker, such as {@code 10 A}
 * @param load the torque of its load in per cent of its rated torque, empty if not known
 * @param runUp the time that it takes to come up to speed with rated torque, empty if not known
 */
public record MotorData(
        String label,
        String place,
        String voltage,
        String frequency,
        String power,
        String overload,
        String breaker,
        String load,
        String runUp) {

    public MotorData {
        Objects.requireNonNull(label, "label");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(voltage, "voltage");
        Objects.requireNonNull(frequency, "frequency");
        Objects.requireNonNull(power, "power");
        Objects.requireNonNull(overload, "overload");
        Objects.requireNonNull(breaker, "breaker");
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(runUp, "runUp");
    }

    /** A motor on 400 V, 50 Hz, of whose machine nothing is known. */
    public static MotorData on400V(String label, String place, String power, String overload, String breaker) {
        return new MotorData(label, place, "400 V AC", "50 Hz", power, overload, breaker, "", "");
    }

    /** A motor on 480 V, 60 Hz, of whose machine nothing is known. */
    public static MotorData on480V(String label, String place, String power, String overload, String breaker) {
        return new MotorData(label, place, "480 V AC", "60 Hz", power, overload, breaker, "", "");
    }

    /** The voltage between a line and the neutral of its supply as it is written on a device: {@code 230 V AC}. */
    String voltageToNeutral() {
        return Supply.toNeutral(Double.parseDouble(voltage.substring(0, voltage.indexOf(' '))));
    }

    /** This motor driving a known machine. */
    public MotorData driving(String percentage, String seconds) {
        return new MotorData(label, place, voltage, frequency, power, overload, breaker, percentage, seconds);
    }
}
