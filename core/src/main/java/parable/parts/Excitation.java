package parable.parts;

import java.util.Optional;

/** A motor under given voltages. Two of one motor are equal if they drive it alike. */
public interface Excitation {

    /**
     * The torque in per unit of rated torque, positive forward.
     *
     * @param speed in per unit of the speed without load, negative backward
     */
    double torque(double speed);

    /**
     * The current in A of the winding that carries most.
     *
     * @param speed in per unit, negative backward
     */
    double amperes(double speed);

    /** What is said of a motor that turns at this speed. */
    Turning turning(double speed);

    /**
     * With one of three lines open, how much of what is missing the motor makes up itself: real and imaginary part of (Z1 - Z2) / (Z1 + Z2), for the impedances
     * of the systems along and against the rotation. Empty if no line is open.
     *
     * @param speed in per unit, negative backward
     */
    default Optional<double[]> openLine(double speed) {
        return Optional.empty();
    }

    /** The turning field that drives the motor, as the voltage of a winding in per unit of what it is made for; empty where none does. */
    default Optional<Phasor> field() {
        return Optional.empty();
    }

    /**
     * The current in A that a voltage of this amount on a winding drives at first in a motor whose field is not there yet: as at standstill.
     *
     * @param volts in per unit of what the winding is made for
     */
    default double amperesWithoutField(double volts) {
        return 0;
    }

    /** No voltage at all. */
    record Unfed() implements Excitation {
        @Override
        public double torque(double speed) {
            return 0;
        }

        @Override
        public double amperes(double speed) {
            return 0;
        }

        @Override
        public Turning turning(double speed) {
            return Turning.NONE;
        }
    }
}
