package parable.parts;

/**
 * The mechanical side of a three-phase motor and its load, in per unit of synchronous speed and rated torque. The torque
 * follows Kloss's formula T = 2 Tb / (s/sb + sb/s) with the square of the voltage; the current is that of a magnetising
 * branch beside a rotor branch that grows with the slip. With the values here a motor has 1.9 times its rated torque and
 * 6.5 times its rated current at standstill, 3.6 times at breakdown, and turns at 0.96 at rated load.
 *
 * @param ratedAmperes the current of one winding at rated load, in A
 * @param runUp the time in s in which rated torque brings motor and load to synchronous speed
 * @param load the torque of the load at full speed as a share of rated torque, 0 to 3
 * @param locked whether the rotor is stuck
 */
public record Machine(double ratedAmperes, double runUp, double load, boolean locked) {

    private static final double BREAKDOWN_SLIP = 0.286;
    private static final double BREAKDOWN_TORQUE = 3.64;
    private static final double MAGNETISING = 0.43;
    private static final double ROTOR = 6.5 * length(1, BREAKDOWN_SLIP);

    /** The share of the load's torque that is there at any speed; the rest grows with the square of the speed. */
    private static final double DRY_FRICTION = 0.3;

    /**
     * The torque at a speed, in per unit of rated torque.
     *
     * @param speed in per unit of synchronous speed, negative if it turns backward
     * @param forward the winding voltage of the system that turns forward, in per unit of rated voltage
     * @param backward that of the system that turns backward
     * @param brake the braking torque's peak, in per unit
     */
    public double torque(double speed, double forward, double backward, double brake) {
        double driving = forward * forward * kloss(1 - speed) - backward * backward * kloss(1 + speed);
        return driving - brake * kloss(speed) / BREAKDOWN_TORQUE;
    }

    private static double kloss(double slip) {
        double ratio = slip / BREAKDOWN_SLIP;
        return 2 * BREAKDOWN_TORQUE * ratio / (1 + ratio * ratio);
    }

    /** The torque that the load and friction take at a speed, against its sense, in per unit. */
    public double resistance(double speed) {
        return load * (DRY_FRICTION + (1 - DRY_FRICTION) * speed * speed);
    }

    /**
     * The current of a winding in A.
     *
     * @param speed in per unit of synchronous speed
     * @param forward the voltage of the system that turns forward, in per unit
     * @param backward that of the system that turns backward
     */
    public double amperes(double speed, double forward, double backward) {
        double slip = 1 - speed;
        double counter = 1 + speed;
        return ratedAmperes * length(forward * admittance(slip), backward * admittance(counter));
    }

    private static double admittance(double slip) {
        return length(MAGNETISING, ROTOR * slip / length(slip, BREAKDOWN_SLIP));
    }

    /** Like {@link Math#hypot}, ten times as fast; nothing here is near the limits of a double. */
    private static double length(double one, double other) {
        return Math.sqrt(one * one + other * other);
    }
}
