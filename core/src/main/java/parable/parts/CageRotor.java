package parable.parts;

/**
 * A cage rotor in a turning field, in per unit. The torque follows Kloss's formula T = 2 Tb / (s/sb + sb/s); the current is
 * that of a magnetising branch beside a rotor branch that grows with the slip. With the values here a motor has 1.9 times
 * its rated torque and 6.5 times its rated current at standstill, 3.6 times at breakdown, and turns at 0.96 at rated load.
 */
final class CageRotor {

    /** The greatest torque, in per unit of rated torque. */
    static final double BREAKDOWN_TORQUE = 3.64;

    private static final double BREAKDOWN_SLIP = 0.286;
    private static final double MAGNETISING = 0.43;
    private static final double ROTOR = 6.5 * length(1, BREAKDOWN_SLIP);

    private CageRotor() {}

    /** The torque at a slip under rated voltage. */
    static double torque(double slip) {
        double ratio = slip / BREAKDOWN_SLIP;
        return 2 * BREAKDOWN_TORQUE * ratio / (1 + ratio * ratio);
    }

    /** The current at a slip under rated voltage, in multiples of rated current. */
    static double current(double slip) {
        return length(MAGNETISING, ROTOR * slip / length(slip, BREAKDOWN_SLIP));
    }

    /**
     * What the motor is for a system of voltages at a slip: real and imaginary part of its admittance, in per unit. The rotor's resistance over the slip and
     * its reactance stand in series, the magnetising reactance beside them.
     */
    static double[] admittance(double slip) {
        double amount = ROTOR * slip / length(slip, BREAKDOWN_SLIP);
        double diagonal = length(slip, BREAKDOWN_SLIP);
        return new double[] {amount * BREAKDOWN_SLIP / diagonal, -amount * slip / diagonal - MAGNETISING};
    }

    /** What the motor is for a system of voltages at a slip: real and imaginary part of its impedance, in per unit. */
    static double[] impedance(double slip) {
        double[] admittance = admittance(slip);
        double square = admittance[0] * admittance[0] + admittance[1] * admittance[1];
        return new double[] {admittance[0] / square, -admittance[1] / square};
    }

    /**
     * The torque where a field that turns with the rotor and one that turns against it have the same current: their impedances are in series, so that of the
     * voltage across both the one with the rotor takes most. Rated voltage across both.
     *
     * @param speed in per unit, negative backward
     */
    static double torqueOfBothFields(double speed) {
        double slip = 1 - Math.abs(speed);
        double[] along = impedance(slip);
        double[] against = impedance(2 - slip);
        double both = length(along[0] + against[0], along[1] + against[1]);
        double turning = length(along[0], along[1]) / both;
        double opposing = length(against[0], against[1]) / both;
        return Math.signum(speed) * (turning * turning * torque(slip) - opposing * opposing * torque(2 - slip));
    }

    /** Like {@link Math#hypot}, ten times as fast; nothing here is near the limits of a double. */
    static double length(double one, double other) {
        return Math.sqrt(one * one + other * other);
    }
}
