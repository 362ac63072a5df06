package parable.parts;

import parable.circuit.Practice;
import parable.ratings.JobTables;
import parable.ratings.RatingTable;

/**
 * What a transformer's own resistance and leakage take of its voltage (IEC 60076-1, annex on regulation; the square of the cross voltage is left out).
 *
 * @param rated in VA, above 0
 * @param resistive the drop in phase with the current, as a share of the voltage at rated load
 * @param reactive the drop across the leakage, likewise
 */
public record Regulation(double rated, double resistive, double reactive) {

    /** One that nothing weakens. */
    static final Regulation STIFF = new Regulation(1, 0, 0);

    public Regulation {
        if (!(rated > 0) || resistive < 0 || reactive < 0) {
            throw new IllegalArgumentException(
                    "a transformer is rated above 0 VA and drops no less than nothing, found " + rated + ", "
                            + resistive + ", " + reactive);
        }
    }

    /** That of a control transformer of this size in VA, by the table {@code control-transformer}: the row of the next size. */
    public static Regulation ofControlTransformer(JobTables tables, double rated) {
        RatingTable table = tables.of(Practice.IEC).table("control-transformer");
        var line = table.from(rated).orElse(table.most());
        return new Regulation(
                rated,
                line.number("uR %").orElseThrow() / 100,
                line.number("uX %").orElseThrow() / 100);
    }

    /**
     * The share of its voltage that is left: 1 - S / Sn (uR cosphi + uX sinphi), and no less than nothing.
     *
     * @param watts what its load takes at full voltage, in W
     * @param vars and what goes to and fro, in var
     */
    public double share(double watts, double vars) {
        return Math.max(0, 1 - (resistive * watts + reactive * vars) / rated);
    }

    /** Whether anything weakens it. */
    public boolean sags() {
        return resistive > 0 || reactive > 0;
    }
}
