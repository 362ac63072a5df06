package parable.starters;

import java.util.stream.DoubleStream;

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

    /** Three seconds in two minutes. */
    private static final double BRAKED = 0.025;

    /** The rating of the fuses before the rectifier: the next standard one, such as {@code 25 A}. */
    public String fuse() {
        return Power.amperes(DoubleStream.of(2, 4, 6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250)
                .filter(rating -> rating >= 2 * amperes)
                .findFirst()
                .orElse(2 * amperes));
    }

    /** The resistor; a tenth of the voltage is left for the winding: {@code 14 ohm}. */
    public String resistance() {
        return Math.max(1, Math.round(ohms())) + " ohm";
    }

    /** What the resistor is made for, if it brakes for three seconds every two minutes: the next usual rating, such as {@code 250 W}. */
    public String power() {
        double watts = 4 * amperes * amperes * ohms() * BRAKED;
        return (int) DoubleStream.of(25, 50, 100, 150, 250, 400, 600, 1000, 1600, 2500, 4000, 6300)
                        .filter(rating -> rating >= watts)
                        .findFirst()
                        .orElse(Math.ceil(watts))
                + " W";
    }

    private double ohms() {
        return RECTIFIED * (1 - IN_THE_WINDING) * volts / (2 * amperes);
    }
}
