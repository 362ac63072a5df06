package parable.parts;

import java.util.Optional;

/**
 * A three-phase cage motor. The AC voltages on its windings are split into a system that turns forward and one that turns
 * backward (symmetrical components, Fortescue 1918), each with the torque of a {@link CageRotor}; DC brakes. With a line open the two systems carry the same
 * current, their impedances are in series, and the greater of them, which turns the motor, takes most of the voltage.
 *
 * @param ratedAmperes the current of a winding at rated load, in A
 * @param ratedVolts the voltage that a winding is made for, in V
 * @param directOhms what a winding has against DC, in ohms
 */
record ThreePhaseMotor(double ratedAmperes, double ratedVolts, double directOhms) implements MotorModel {

    private static final double ENOUGH = 0.3;
    private static final double CLEARLY_MORE = 1.5;
    private static final double BRAKES = 0.05;

    /** The braking torque at twice rated current is 1.3 times rated torque, at 0.16 of the speed without load: practice 1 to 1.5, near standstill. */
    private static final double BRAKE_OF_RATED_CURRENT = 0.33;

    private static final double MOST_BRAKE = 2.5;
    private static final double BRAKES_MOST_AT = 0.16;

    @Override
    public double startTimes() {
        return CageRotor.current(1);
    }

    @Override
    public Excitation under(double[][] volts) {
        double strongest = 0;
        for (double[] winding : volts) {
            strongest = Math.max(strongest, Math.abs(winding[2]));
        }
        double current = strongest / directOhms / ratedAmperes;
        return new Fed(
                ratedAmperes,
                system(volts, 1).times(1 / ratedVolts),
                system(volts, -1).times(1 / ratedVolts),
                Math.min(MOST_BRAKE, BRAKE_OF_RATED_CURRENT * current * current));
    }

    @Override
    public Excitation withLineOpen(double[][] volts) {
        double strongest = 0;
        for (double[] winding : volts) {
            strongest = Math.max(strongest, CageRotor.length(winding[0], winding[1]));
        }
        double forward = turning(volts, 1);
        return new OnTwoLines(
                ratedAmperes,
                2 * forward / ratedVolts,
                forward < 1e-9 ? 0 : strongest / forward,
                strongest / ratedVolts,
                system(volts, 1).times(1 / ratedVolts));
    }

    private static double turning(double[][] volts, int sense) {
        return system(volts, sense).amount();
    }

    private static Phasor system(double[][] volts, int sense) {
        double cos = -0.5;
        double sin = sense * Math.sqrt(3) / 2;
        double[] u = volts[0];
        double[] v = volts[1];
        double[] w = volts[2];
        double re = u[0] + cos * v[0] - sin * v[1] + cos * w[0] + sin * w[1];
        double im = u[1] + sin * v[0] + cos * v[1] - sin * w[0] + cos * w[1];
        return new Phasor(re / 3, im / 3);
    }

    /**
     * The motor with a line open.
     *
     * @param ratedAmperes the current of a winding at rated load, in A
     * @param applied the voltage across both systems in series, in per unit of the winding's rated voltage
     * @param concentrated how many times the current of each system flows in the winding that carries most: root 3 in star, 2 in delta
     * @param fed the voltage of the winding that gets most while all are alike, in per unit
     * @param along the voltage of the system that turns with it while both are alike; the field that is there does not die away
     */
    private record OnTwoLines(double ratedAmperes, double applied, double concentrated, double fed, Phasor along)
            implements Excitation {

        @Override
        public Optional<Phasor> field() {
            return fed < ENOUGH ? Optional.empty() : Optional.of(along);
        }

        @Override
        public double torque(double speed) {
            return applied * applied * CageRotor.torqueOfBothFields(speed);
        }

        @Override
        public double amperes(double speed) {
            double slip = 1 - Math.abs(speed);
            double[] with = CageRotor.impedance(slip);
            double[] against = CageRotor.impedance(2 - slip);
            return ratedAmperes * concentrated * applied / CageRotor.length(with[0] + against[0], with[1] + against[1]);
        }

        @Override
        public Optional<double[]> openLine(double speed) {
            double slip = 1 - Math.abs(speed);
            double[] with = CageRotor.impedance(slip);
            double[] against = CageRotor.impedance(2 - slip);
            double real = with[0] + against[0];
            double imaginary = with[1] + against[1];
            double square = real * real + imaginary * imaginary;
            double less = with[0] - against[0];
            double lessImaginary = with[1] - against[1];
            return Optional.of(new double[] {
                (less * real + lessImaginary * imaginary) / square, (lessImaginary * real - less * imaginary) / square
            });
        }

        @Override
        public Turning turning(double speed) {
            if (fed < ENOUGH) {
                return Turning.NONE;
            }
            return Turning.HUMMING;
        }
    }

    /**
     * The motor under voltage.
     *
     * @param ratedAmperes the current of a winding at rated load, in A
     * @param forwardField the voltage of the system that turns forward, in per unit of the winding's rated voltage
     * @param backwardField that of the system that turns backward
     * @param brake the peak of the braking torque, in per unit
     */
    private record Fed(double ratedAmperes, Phasor forwardField, Phasor backwardField, double brake)
            implements Excitation {

        private double forward() {
            return forwardField.amount();
        }

        private double backward() {
            return backwardField.amount();
        }

        @Override
        public Optional<Phasor> field() {
            Phasor stronger = forward() >= backward() ? forwardField : backwardField;
            return stronger.amount() < ENOUGH ? Optional.empty() : Optional.of(stronger);
        }

        @Override
        public double amperesWithoutField(double volts) {
            return ratedAmperes * volts * CageRotor.current(1);
        }

        @Override
        public double torque(double speed) {
            double driving = forward() * forward() * CageRotor.torque(1 - speed)
                    - backward() * backward() * CageRotor.torque(1 + speed);
            return driving - 2 * brake / (speed / BRAKES_MOST_AT + BRAKES_MOST_AT / speed);
        }

        @Override
        public double amperes(double speed) {
            return ratedAmperes
                    * CageRotor.length(
                            forward() * CageRotor.current(1 - speed), backward() * CageRotor.current(1 + speed));
        }

        @Override
        public Turning turning(double speed) {
            if (Math.max(forward(), backward()) < ENOUGH) {
                return brake > BRAKES ? Turning.BRAKED : Turning.NONE;
            }
            if (forward() > CLEARLY_MORE * backward()) {
                return Turning.FORWARD;
            }
            return backward() > CLEARLY_MORE * forward() ? Turning.REVERSE : Turning.HUMMING;
        }
    }
}
