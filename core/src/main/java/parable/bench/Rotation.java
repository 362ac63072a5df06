package parable.bench;

import parable.network.Potential;

/**
 * Which way three winding voltages turn a motor. They are split into a system that turns forward and one that turns
 * backward (symmetrical components, Fortescue 1918); a lost phase makes both equal, and the motor hums.
 */
final class Rotation {

    private static final double ENOUGH = 0.3;
    private static final double CLEARLY_MORE = 1.5;

    private Rotation() {}

    /**
     * The condition of a motor with these voltages on its windings U, V and W.
     *
     * @param rated the rated voltage of a winding in V
     */
    static Condition of(Potential u, Potential v, Potential w, double rated) {
        double forward = turning(u, v, w, 1) / rated;
        double backward = turning(u, v, w, -1) / rated;
        if (Math.max(forward, backward) < ENOUGH) {
            return Condition.STOPPED;
        }
        if (forward > CLEARLY_MORE * backward) {
            return Condition.FORWARD;
        }
        return backward > CLEARLY_MORE * forward ? Condition.REVERSE : Condition.SINGLE_PHASED;
    }

    private static double turning(Potential u, Potential v, Potential w, int sense) {
        double cos = -0.5;
        double sin = sense * Math.sqrt(3) / 2;
        double re = u.real() + cos * v.real() - sin * v.imaginary() + cos * w.real() + sin * w.imaginary();
        double im = u.imaginary() + sin * v.real() + cos * v.imaginary() - sin * w.real() + cos * w.imaginary();
        return Math.hypot(re, im) / 3;
    }
}
