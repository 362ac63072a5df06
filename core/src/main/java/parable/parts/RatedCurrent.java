package parable.parts;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * The rated current of three-phase cage motors of usual make. On 400 V and what is near it by IEC 60947-4-1, annex G, table G.1 (four poles, 50 Hz),
 * other voltages in proportion; on 115 to 120, 200 to 208, 440 to 480 and 550 to 600 V by NFPA 70 (NEC), table 430.250, the columns but that for 460 V in proportion to it. Between two rows it is interpolated, beyond
 * them it follows from power. What the nameplate says goes before it.
 */
public final class RatedCurrent {

    private static final double HORSEPOWER = 0.7457;

    /** By power in kW, the current in A on 400 V. */
    private static final NavigableMap<Double, Double> ON_400_V = new TreeMap<>(Map.ofEntries(
            Map.entry(0.06, 0.2),
            Map.entry(0.09, 0.3),
            Map.entry(0.12, 0.44),
            Map.entry(0.18, 0.6),
            Map.entry(0.25, 0.85),
            Map.entry(0.37, 1.1),
            Map.entry(0.55, 1.5),
            Map.entry(0.75, 1.9),
            Map.entry(1.1, 2.7),
            Map.entry(1.5, 3.6),
            Map.entry(2.2, 4.9),
            Map.entry(3.0, 6.5),
            Map.entry(4.0, 8.5),
            Map.entry(5.5, 11.5),
            Map.entry(7.5, 15.5),
            Map.entry(11.0, 22.0),
            Map.entry(15.0, 29.0),
            Map.entry(18.5, 35.0),
            Map.entry(22.0, 41.0),
            Map.entry(30.0, 55.0),
            Map.entry(37.0, 66.0),
            Map.entry(45.0, 80.0),
            Map.entry(55.0, 97.0),
            Map.entry(75.0, 132.0),
            Map.entry(90.0, 160.0),
            Map.entry(110.0, 195.0),
            Map.entry(132.0, 230.0),
            Map.entry(160.0, 280.0),
            Map.entry(200.0, 350.0),
            Map.entry(250.0, 430.0),
            Map.entry(315.0, 540.0)));

    /** By power in hp, the current in A in the column for 460 V, which is for supplies of 440 to 480 V. */
    private static final NavigableMap<Double, Double> ON_460_V = new TreeMap<>(Map.ofEntries(
            Map.entry(0.5, 1.1),
            Map.entry(0.75, 1.6),
            Map.entry(1.0, 2.1),
            Map.entry(1.5, 3.0),
            Map.entry(2.0, 3.4),
            Map.entry(3.0, 4.8),
            Map.entry(5.0, 7.6),
            Map.entry(7.5, 11.0),
            Map.entry(10.0, 14.0),
            Map.entry(15.0, 21.0),
            Map.entry(20.0, 27.0),
            Map.entry(25.0, 34.0),
            Map.entry(30.0, 40.0),
            Map.entry(40.0, 52.0),
            Map.entry(50.0, 65.0),
            Map.entry(60.0, 77.0),
            Map.entry(75.0, 96.0),
            Map.entry(100.0, 124.0),
            Map.entry(125.0, 156.0),
            Map.entry(150.0, 180.0),
            Map.entry(200.0, 240.0)));

    private RatedCurrent() {}

    /**
     * The rated current in A.
     *
     * @param kilowatts the rated power at the shaft, above 0
     * @param lineVolts between lines, above 0
     */
    public static double of(double kilowatts, double lineVolts) {
        double ofNorthAmerica = ofNorthAmerica(lineVolts);
        return ofNorthAmerica > 0
                ? ofNorthAmerica * read(ON_460_V, kilowatts / HORSEPOWER)
                : 400 / lineVolts * read(ON_400_V, kilowatts);
    }

    /** How many times the current of the 460 V column flows in another of that table; 0 for a voltage that is not of that practice. */
    private static double ofNorthAmerica(double lineVolts) {
        if (lineVolts >= 440 && lineVolts <= 480) {
            return 1;
        }
        if (lineVolts >= 550 && lineVolts <= 600) {
            return 0.8;
        }
        if (lineVolts >= 200 && lineVolts <= 208) {
            return 2.2;
        }
        return lineVolts >= 115 && lineVolts <= 120 ? 4 : 0;
    }

    private static double read(NavigableMap<Double, Double> table, double power) {
        var below = table.floorEntry(power);
        var above = table.ceilingEntry(power);
        if (below == null) {
            return above.getValue() * power / above.getKey();
        }
        if (above == null) {
            return below.getValue() * power / below.getKey();
        }
        if (below.getKey().equals(above.getKey())) {
            return below.getValue();
        }
        double share = Math.log(power / below.getKey()) / Math.log(above.getKey() / below.getKey());
        return below.getValue() * Math.pow(above.getValue() / below.getValue(), share);
    }
}
