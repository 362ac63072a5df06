package parable.parts;

import parable.circuit.Practice;
import parable.ratings.JobTables;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/**
 * The rated current of three-phase cage motors of usual make, by the table {@code motor-current} of the practice that a voltage is of: on 115 to 120, 200 to 208,
 * 440 to 480 and 550 to 600 V by North American practice, on all others in proportion to 400 V by IEC. Between two rows it is interpolated, beyond
 * them it follows from power. What the nameplate says goes before it.
 */
public final class RatedCurrent {

    /** A horsepower in kW. */
    public static final double HORSEPOWER = 0.7457;

    private static final double TABLE_VOLTS = 400;
    private static final String IEC_COLUMN = "400 V";

    private RatedCurrent() {}

    /**
     * The rated current in A.
     *
     * @param tables to read it from
     * @param kilowatts the rated power at the shaft, above 0
     * @param lineVolts between lines, above 0
     */
    public static double of(JobTables tables, double kilowatts, double lineVolts) {
        String column = northAmericanColumn(lineVolts);
        return column.isEmpty()
                ? TABLE_VOLTS / lineVolts * read(tables.of(Practice.IEC), kilowatts, IEC_COLUMN)
                : read(tables.of(Practice.NORTH_AMERICAN), kilowatts / HORSEPOWER, column);
    }

    /** The column of the North American tables for a voltage, empty for a voltage that is not of that practice alone. */
    private static String northAmericanColumn(double lineVolts) {
        if (lineVolts >= 440 && lineVolts <= 480) {
            return "460 V";
        }
        if (lineVolts >= 550 && lineVolts <= 600) {
            return "575 V";
        }
        if (lineVolts >= 200 && lineVolts <= 208) {
            return "208 V";
        }
        return lineVolts >= 115 && lineVolts <= 120 ? "115 V" : "";
    }

    private static double read(RatingTables tables, double power, String column) {
        RatingTable table = tables.table("motor-current");
        return table.between(power, column).orElseThrow();
    }
}
