package parable.bench;

import parable.network.Potential;

/**
 * What drives a motor at an instant, from the voltages on its windings. The AC voltages are split into a system that turns
 * forward and one that turns backward (symmetrical components, Fortescue 1918); DC brakes.
 *
 * @param forward the voltage of the system that turns forward, in per unit of the winding's rated voltage
 * @param backward that of the system that turns backward
 * @param brake the peak of the braking torque in per unit of rated torque
 */
record MotorDrive(double forward, double backward, double brake) {

    static final MotorDrive NONE = new MotorDrive(0, 0, 0);

    private static final double ENOUGH = 0.3;
    private static final double CLEARLY_MORE = 1.5;
    private static final double BRAKES = 0.05;
    private static final double MOST_BRAKE = 3;

    /**
     * The drive of a motor with these voltages on its windings U, V and W.
     *
     * @param rated the rated voltage of a winding in V
     * @param currentPerVolt the DC current of a winding in multiples of its rated current, for each V across it
     */
    static MotorDrive of(Potential u, Potential v, Potential w, double rated, double currentPerVolt) {
        double strongest = Math.max(Math.abs(u.direct()), Math.max(Math.abs(v.direct()), Math.abs(w.direct())));
        double current = strongest * currentPerVolt;
        return new MotorDrive(
                turning(u, v, w, 1) / rated, turning(u, v, w, -1) / rated, Math.min(MOST_BRAKE, current * current));
    }

    private static double turning(Potential u, Potential v, Potential w, int sense) {
        double cos = -0.5;
        double sin = sense * Math.sqrt(3) / 2;
        double re = u.real() + cos * v.real() - sin * v.imaginary() + cos * w.real() + sin * w.imaginary();
        double im = u.imaginary() + sin * v.real() + cos * v.imaginary() - sin * w.real() + cos * w.imaginary();
        return Math.hypot(re, im) / 3;
    }

    /** What is said of a motor that is driven like this and turns at this speed. */
    Condition condition(double speed, boolean locked) {
        boolean turns = speed != 0;
        if (Math.max(forward, backward) < ENOUGH) {
            return !turns ? Condition.STOPPED : brake > BRAKES ? Condition.BRAKED : Condition.COASTING;
        }
        if (locked) {
            return Condition.LOCKED;
        }
        if (forward > CLEARLY_MORE * backward) {
            return Condition.FORWARD;
        }
        return backward > CLEARLY_MORE * forward ? Condition.REVERSE : Condition.SINGLE_PHASED;
    }
}
