package parable.starters;

import java.math.BigDecimal;
import java.util.Map;
import java.util.stream.DoubleStream;
import parable.circuit.Practice;
import parable.ratings.RatingTables;
import parable.sizing.BrakeQuestion;
import parable.sizing.BrakeSizing;
import parable.sizing.SizingException;
import parable.sizing.SizingInputs;

/**
 * What a brake needs that sends twice a motor's rated current as direct current from two lines through a bridge and a resistor into two of its leads.
 *
 * @param volts between the lines, in V, positive
 * @param amperes the motor's rated current in the line, in A, positive
 */
public record DirectCurrentBrake(double volts, double amperes) {

    /** The average of a bridge on one phase, as a share of its voltage. */
    private static final double RECTIFIED = 0.9;

    private static final double IN_THE_WINDING = 0.1;

    /** The rating of the fuses before the rectifier: the next standard one, such as {@code 25 A}. */
    public String fuse() {
        return Power.amperes(DoubleStream.of(2, 4, 6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250)
                .filter(rating -> rating >= 2 * amperes)
                .findFirst()
                .orElse(2 * amperes));
    }

    /** The resistor; a tenth of the voltage is left for the winding: {@code 14 ohm}. */
    public String resistance() {
        return Math.max(1, Math.round(sized("brake-resistor"))) + " ohm";
    }

    /** What the resistor is made for, if it brakes for three seconds every two minutes: the next usual rating, such as {@code 250 W}. */
    public String power() {
        double watts = sized("brake-resistor-mean");
        return (int) DoubleStream.of(25, 50, 100, 150, 250, 400, 600, 1000, 1600, 2500, 4000, 6300)
                        .filter(rating -> rating >= watts)
                        .findFirst()
                        .orElse(Math.ceil(watts))
                + " W";
    }

    /** A result of the sizing of a brake with twice the current, three seconds thirty times an hour. */
    private double sized(String key) {
        double supply = RECTIFIED * volts;
        Map<String, String> given = Map.of(
                "current", written(amperes) + " A",
                "brake-ohms", written(IN_THE_WINDING * supply / (2 * amperes)) + " ohm",
                "brake-supply", written(supply) + " V");
        try {
            return BrakeSizing.of(
                            new SizingInputs("brake", Practice.IEC, BrakeQuestion.all(), Map.of(), given),
                            RatingTables.of(Practice.IEC),
                            Map.of())
                    .result(key)
                    .orElseThrow()
                    .value();
        } catch (SizingException beyond) {
            throw new IllegalArgumentException(
                    "a brake is for 1 to 1100 V between the lines and 0.1 to 1000 A, found " + volts + " V and "
                            + amperes + " A",
                    beyond);
        }
    }

    private static String written(double number) {
        return BigDecimal.valueOf(number).toPlainString();
    }
}
