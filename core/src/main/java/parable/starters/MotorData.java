package parable.starters;

import java.util.Objects;
import parable.parts.RatedCurrent;
import parable.ratings.JobTables;
import parable.sizing.FirstBreaker;

/**
 * The motor of a starter and what it drives, as a nameplate and the machine tell it.
 *
 * @param label what it drives
 * @param place where it is
 * @param voltage between lines, such as {@code 400 V AC}
 * @param frequency such as {@code 50 Hz}
 * @param power such as {@code 2.2 kW}
 * @param current its rated current in the line, such as {@code 4.9 A}
 * @param breaker the rating of its breaker, such as {@code 10 A}
 * @param drives what it drives in a word, such as {@code mill}, empty if not known
 * @param load the torque of its load in per cent of its rated torque, empty if not known
 * @param runUp the time that it takes to come up to speed with rated torque, empty if not known
 */
public record MotorData(
        String label,
        String place,
        String voltage,
        String frequency,
        String power,
        String current,
        String breaker,
        String drives,
        String load,
        String runUp) {

    public MotorData {
        Objects.requireNonNull(label, "label");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(voltage, "voltage");
        Objects.requireNonNull(frequency, "frequency");
        Objects.requireNonNull(power, "power");
        Objects.requireNonNull(current, "current");
        Objects.requireNonNull(breaker, "breaker");
        Objects.requireNonNull(drives, "drives");
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(runUp, "runUp");
    }

    /** A motor on a supply, with the current and the breaker that are usual for its power. */
    public static MotorData of(String label, String place, Supply supply, String power) {
        return of(label, place, supply, power, JobTables.SHIPPED);
    }

    /** The same by the tables of a job. */
    public static MotorData of(String label, String place, Supply supply, String power, JobTables tables) {
        double kilowatts = Power.kilowatts(power).orElse(0.1);
        double amperes = RatedCurrent.of(tables, kilowatts, supply.volts());
        return new MotorData(
                label,
                place,
                supply.voltage(),
                supply.frequency(),
                power,
                Power.amperes(amperes),
                FirstBreaker.of(tables.of(supply.practice()), amperes),
                "",
                "",
                "");
    }

    /** A motor on 400 V, 50 Hz, of whose machine nothing is known. */
    public static MotorData on400V(String label, String place, String power) {
        return of(label, place, Supply.IEC_400, power);
    }

    /** A motor on 480 V, 60 Hz, of whose machine nothing is known. */
    public static MotorData on480V(String label, String place, String power) {
        return of(label, place, Supply.NORTH_AMERICAN_480, power);
    }

    /** Its rated current in the line, in A. */
    double amperes() {
        return Double.parseDouble(current.substring(0, current.indexOf(' ')));
    }

    /** What flows in the leads of its windings when they are joined in delta: the current in the line over root 3. */
    String currentInDelta() {
        return Power.amperes(amperes() / Math.sqrt(3));
    }

    /** A brake with twice its current. */
    DirectCurrentBrake brake() {
        return new DirectCurrentBrake(volts(), amperes());
    }

    private double volts() {
        return Double.parseDouble(voltage.substring(0, voltage.indexOf(' ')));
    }

    /** The voltage between a line and the neutral of its supply as it is written on a device: {@code 230 V AC}. */
    String voltageToNeutral() {
        return Supply.toNeutral(volts());
    }

    /** This motor driving a known machine. */
    public MotorData driving(String machine, String percentage, String seconds) {
        return new MotorData(label, place, voltage, frequency, power, current, breaker, machine, percentage, seconds);
    }
}
