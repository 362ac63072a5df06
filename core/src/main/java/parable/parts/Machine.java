package parable.parts;

import java.util.Objects;

/**
 * The mechanical side of a motor and its load, in per unit of speed without load and rated torque.
 *
 * @param runUp the time in s in which rated torque brings motor and load to full speed
 * @param load the torque of the load at full speed as a share of rated torque, 0 to 3
 * @param locked whether the rotor is stuck
 * @param motor what turns it
 */
public record Machine(double runUp, double load, boolean locked, MotorModel motor) {

    /** The share of the load's torque that is there at any speed; the rest grows with the square of the speed. */
    private static final double DRY_FRICTION = 0.3;

    /** What bearings and fan take of a motor that has no load. */
    private static final double BEARINGS = 0.02;

    public Machine {
        Objects.requireNonNull(motor, "motor");
    }

    /**
     * The torque that a load and friction take, against the sense of the speed, in per unit.
     *
     * @param load the torque of the load at full speed as a share of rated torque
     * @param speed in per unit
     */
    public static double resistance(double load, double speed) {
        return Math.max(load, BEARINGS) * (DRY_FRICTION + (1 - DRY_FRICTION) * speed * speed);
    }
}
