package parable.parts;

/**
 * A cage rotor in a turning field, in per unit. The torque follows Kloss's formula T = 2 Tb / (s/sb + sb/s); the current is
 * that of a magnetising branch beside a rotor branch that grows with the slip. At high slip the current is displaced in the bars, so that their
 * resistance and with it sb grows, and the leakage saturates. With the values here a motor has 1.9 times its rated torque and 7 times its rated
 * current at standstill, 2.8 times at breakdown at a slip of 0.23, and turns at 0.965 at rated load (IEC 60034-12, design N; data sheets: 2.2 to 3.3 at
 * 0.1 to 0.25).
 */
final class CageRotor {

    /** The greatest torque, in per unit of rated torque. */
    private static final double BREAKDOWN_TORQUE = 2.8;

    /** The slip of breakdown if the rotor's bars had at any slip the resistance that they have near synchronous speed. */
    private static final double BREAKDOWN_SLIP = 0.18;

    private static final double DISPLACEMENT = 1.178;
    private static final double MAGNETISING = 0.43;
    private static final double ROTOR = 5.05;

    /** At standstill it takes so many times its rated current; data sheets: 6 to 8. */
    private static final double STARTING = 7;

    private static final double ROTOR_AT_STANDSTILL =
            Math.sqrt(STARTING * STARTING - MAGNETISING * MAGNETISING) * length(1, BREAKDOWN_SLIP * (1 + DISPLACEMENT));

    private CageRotor() {}

    /** The torque at a slip under rated voltage. */
    static double torque(double slip) {
        double ratio = slip / resistance(slip);
        return 2 * BREAKDOWN_TORQUE * ratio / (1 + ratio * ratio);
    }

    /** The rotor's resistance as a share of its reactance. */
    private static double resistance(double slip) {
        return BREAKDOWN_SLIP * (1 + DISPLACEMENT * Math.min(1, Math.abs(slip)));
    }

    /** The current of the rotor at a slip under rated voltage. */
    private static double rotor(double slip) {
        double saturated = Math.min(1, Math.abs(slip));
        return (ROTOR + (ROTOR_AT_STANDSTILL - ROTOR) * saturated) * slip / length(slip, resistance(slip));
    }

    /** The current at a slip under rated voltage, in multiples of rated current. */
    static double current(double slip) {
        return length(MAGNETISING, rotor(slip));
    }

    /**
     * What the motor is for a system of voltages at a slip: real and imaginary part of its admittance, in per unit. The rotor's resistance over the slip and
     * its reactance stand in series, the magnetising reactance beside them.
     */
    static double[] admittance(double slip) {
        double amount = rotor(slip);
        double diagonal = length(slip, resistance(slip));
        return new double[] {amount * resistance(slip) / diagonal, -amount * slip / diagonal - MAGNETISING};
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
