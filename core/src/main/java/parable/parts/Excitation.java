package parable.parts;

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

    /** No voltage at all. */
    record Dead() implements Excitation {
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
