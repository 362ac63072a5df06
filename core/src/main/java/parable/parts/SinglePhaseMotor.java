package parable.parts;

/**
 * A single-phase cage motor with a run winding and a start winding whose current a capacitor shifts by a quarter turn. The
 * run winding alone makes two fields that turn against each other and have the same current: no torque at standstill, and torque in whichever sense
 * it turns already. A centrifugal switch inside takes the start winding out above three quarters of its speed; therefore
 * exchanging its ends reverses the motor from standstill only.
 *
 * @param ratedAmperes the current at rated load, in A
 * @param ratedVolts the voltage of both windings, in V
 */
record SinglePhaseMotor(double ratedAmperes, double ratedVolts) implements MotorModel {

    private static final double ENOUGH = 0.3;
    private static final double TURNS = 0.05;

    /** Above this speed the centrifugal switch is open. */
    private static final double SWITCHES = 0.75;

    /** The torque at standstill, in per unit, with both windings at rated voltage. */
    private static final double STARTING_TORQUE = 2.2;

    /** The speed at which the start winding's torque would have faded away. */
    private static final double FADES = 1.2;

    @Override
    public boolean carriesWhileRunning(int winding) {
        return winding == 0;
    }

    @Override
    public Excitation under(double[][] volts) {
        double[] run = volts[0];
        double[] start = volts[1];
        double strength = CageRotor.length(run[0], run[1]);
        double along = strength < 1 ? 0 : (start[0] * run[0] + start[1] * run[1]) / strength;
        return new Fed(ratedAmperes, strength / ratedVolts, along / ratedVolts);
    }

    /**
     * The motor under voltage.
     *
     * @param ratedAmperes the current at rated load, in A
     * @param run the voltage of the run winding in per unit
     * @param start that of the start winding, negative if its ends are exchanged
     */
    private record Fed(double ratedAmperes, double run, double start) implements Excitation {
        @Override
        public double torque(double speed) {
            double running = run * run * CageRotor.torqueOfBothFields(speed);
            return running + (switchedOut(speed) ? 0 : STARTING_TORQUE * run * start * (1 - Math.abs(speed) / FADES));
        }

        @Override
        public double amperes(double speed) {
            return ratedAmperes * run * CageRotor.current(1 - Math.abs(speed));
        }

        @Override
        public Turning turning(double speed) {
            if (run < ENOUGH) {
                return Turning.NONE;
            }
            double sense = Math.abs(start) >= ENOUGH && !switchedOut(speed) ? start : speed;
            if (Math.abs(sense) < TURNS) {
                return Turning.HUMMING;
            }
            return sense > 0 ? Turning.FORWARD : Turning.REVERSE;
        }

        private static boolean switchedOut(double speed) {
            return Math.abs(speed) > SWITCHES;
        }
    }
}
