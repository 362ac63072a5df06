package parable.bench;

import java.util.Arrays;
import parable.parts.Excitation;

/**
 * The quantities of a run that change steadily: the speeds of motors and the heat of overload releases. Speeds are known on
 * a grid of whole milliseconds; heat is known at the time of its last change of current and follows from that.
 */
final class PhysicalState {

    private static final Excitation DEAD = new Excitation.Unfed();

    /** Up to when the speeds are worked out, in microseconds, a multiple of a millisecond. */
    long steppedTo;
    /** Whether some motor's speed is changing. */
    boolean unsteady;
    /** For each part the speed of its motor in per unit of synchronous speed, negative backward. */
    final double[] speed;
    /** For each part the heat of its release at the time in {@link #heatTime}. */
    final double[] heat;
    /** For each part since when the current through its release has been what it is, in microseconds. */
    final long[] heatTime;
    /** For each part the current through its release in A. */
    final double[] amperes;

    /** For each part its motor under the present voltages. */
    final Excitation[] excitations;
    /** For each part what hits its motor when it is switched on while it turns. */
    final FieldSurge[] surges;
    /** For each part the load of its motor as a share of rated torque. */
    final double[] loads;
    /** For each part the current in the line that feeds its motor, in multiples of that in a winding. */
    final double[] lineShares;
    /** For each part the currents through all releases, in multiples of that in a winding of its motor. */
    final double[][] heaterShares;

    PhysicalState(int parts) {
        excitations = new Excitation[parts];
        surges = new FieldSurge[parts];
        Arrays.fill(surges, FieldSurge.NONE);
        loads = new double[parts];
        lineShares = new double[parts];
        heaterShares = new double[parts][0];
        Arrays.fill(excitations, DEAD);
        speed = new double[parts];
        heat = new double[parts];
        heatTime = new long[parts];
        amperes = new double[parts];
    }

    void restore(PhysicalState other) {
        steppedTo = other.steppedTo;
        unsteady = other.unsteady;
        System.arraycopy(other.speed, 0, speed, 0, speed.length);
        System.arraycopy(other.heat, 0, heat, 0, heat.length);
        System.arraycopy(other.heatTime, 0, heatTime, 0, heatTime.length);
        System.arraycopy(other.amperes, 0, amperes, 0, amperes.length);
        System.arraycopy(other.excitations, 0, excitations, 0, excitations.length);
        System.arraycopy(other.surges, 0, surges, 0, surges.length);
        System.arraycopy(other.loads, 0, loads, 0, loads.length);
        System.arraycopy(other.lineShares, 0, lineShares, 0, lineShares.length);
        System.arraycopy(other.heaterShares, 0, heaterShares, 0, heaterShares.length);
    }
}
