package parable.parts;

import parable.circuit.Practice;
import parable.ratings.JobTables;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/**
 * What the coil of an electromagnet takes. With alternating current it takes many times more until its armature is home, for an open magnet
 * hardly hinders the current; what hinders it then is mostly the copper. Practice, by the data sheets of several sizes; a device's own
 * data go first.
 *
 * @param sealed with the armature home, in VA, above 0
 * @param inrush with the armature open, in VA, at least as much
 */
public record CoilData(double sealed, double inrush) {

    /** Cosine phi with the armature home. */
    public static final double SEALED_POWER_FACTOR = 0.3;

    /** Cosine phi with the armature open: the copper's share of what hinders the current then. */
    public static final double INRUSH_POWER_FACTOR = 0.75;

    /** The rated current in A, for motors at 400 V (AC-3), of a contactor of which nothing is said. */
    static final double SMALL_CONTACTOR = 12;

    static final CoilData CONTROL_RELAY = new CoilData(1.5, 3);

    static final CoilData SOLENOID = new CoilData(10, 35);

    public CoilData {
        if (!(sealed > 0) || !(inrush >= sealed)) {
            throw new IllegalArgumentException(
                    "a coil takes more than 0 VA and no less while its armature is open, found " + sealed + ", "
                            + inrush);
        }
    }

    /**
     * That of a contactor by its size, as the table {@code contactor} has it.
     *
     * @param tables to read it from
     * @param amperes its rated current in A, for motors at 400 V (AC-3)
     */
    public static CoilData contactor(JobTables tables, double amperes) {
        RatingTable table = tables.of(Practice.IEC).table("contactor");
        RatingLine line = table.from(amperes).orElse(table.most());
        return new CoilData(
                line.number("sealed VA").orElseThrow(), line.number("inrush VA").orElseThrow());
    }

    /** The copper of a coil of this rated voltage, in ohms. */
    double directOhms(RatedVoltage rated) {
        return rated.volts() * rated.volts() / inrush * INRUSH_POWER_FACTOR;
    }
}
