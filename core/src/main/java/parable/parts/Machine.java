package parable.parts;

import java.util.Objects;

/**
 * The mechanical side of a motor and its load, in per unit of speed without load and rated torque.
 *
 * @param runUp the time in s in which rated torque without load brings motor and load to full speed
 * @param load the torque of the load at full speed as a share of rated torque, 0 to 3
 * @param driven what it drives
 * @param locked whether the rotor is stuck
 * @param fieldTime the time in s in which the field of a motor that is switched off dies away to 37 %, 0 for one without
 * @param motor what turns it
 */
public record Machine(double runUp, double load, Driven driven, boolean locked, double fieldTime, MotorModel motor) {

    public Machine {
        Objects.requireNonNull(driven, "driven");
        Objects.requireNonNull(motor, "motor");
    }
}
