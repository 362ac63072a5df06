package parable.parts;

/**
 * A three-phase cage motor. The AC voltages on its windings are split into a system that turns forward and one that turns
 * backward (symmetrical components, Fortescue 1918), each with the torque of a {@link CageRotor}; DC brakes.
 *
 * @param ratedAmperes the current of a winding at rated load, in A
 * @param ratedVolts the voltage that a winding is made for, in V
 * @param directOhms what a winding has against DC, in ohms
 */
record ThreePhaseMotor(double ratedAmperes, double ratedVolts, double directOhms) implements MotorModel {

    private static final double ENOUGH = 0.3;
    private static final double CLEARLY_MORE = 1.5;
    private static final double BRAKES = 0.05;
    private static final double MOST_BRAKE = 3;

    @Override
    public Excitation under(double[][] volts) {
        double strongest = 0;
        for (double[] winding : volts) {
            strongest = Math.max(strongest, Math.abs(winding[2]));
        }
        double current = strongest / directOhms / ratedAmperes;
        return new Fed(
                ratedAmperes,
                turning(volts, 1) / ratedVolts,
                turning(volts, -1) / ratedVolts,
                Math.min(MOST_BRAKE, current * current));
    }

    private static double turning(double[][] volts, int sense) {
        double cos = -0.5;
        double sin = sense * Math.sqrt(3) / 2;
        double[] u = volts[0];
        double[] v = volts[1];
        double[] w = volts[2];
        double re = u[0] + cos * v[0] - sin * v[1] + cos * w[0] + sin * w[1];
        double im = u[1] + sin * v[0] + cos * v[1] - sin * w[0] + cos * w[1];
        return CageRotor.length(re, im) / 3;
    }

    /**
     * The motor under voltage.
     *
     * @param ratedAmperes the current of a winding at rated load, in A
     * @param forward the voltage of the system that turns forward, in per unit of the winding's rated voltage
     * @param backward that of the system that turns backward
     * @param brake the peak of the braking torque, in per unit
     */
    private record Fed(double ratedAmperes, double forward, double backward, double brake) implements Excitation {
        @Override
        public double torque(double speed) {
            double driving =
                    forward * forward * CageRotor.torque(1 - speed) - backward * backward * CageRotor.torque(1 + speed);
            return driving - brake * CageRotor.torque(speed) / CageRotor.BREAKDOWN_TORQUE;
        }

        @Override
        public double amperes(double speed) {
            return ratedAmperes
                    * CageRotor.length(forward * CageRotor.current(1 - speed), backward * CageRotor.current(1 + speed));
        }

        @Override
        public Turning turning(double speed) {
            if (Math.max(forward, backward) < ENOUGH) {
                return brake > BRAKES ? Turning.BRAKED : Turning.NONE;
            }
            if (forward > CLEARLY_MORE * backward) {
                return Turning.FORWARD;
            }
            return backward > CLEARLY_MORE * forward ? Turning.REVERSE : Turning.HUMMING;
        }
    }
}
