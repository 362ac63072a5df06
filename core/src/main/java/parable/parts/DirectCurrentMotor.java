package parable.parts;

/**
 * A DC motor, in per unit of rated armature voltage, armature current and field: the current is I = (V - F n) / R, the
 * torque F I, with the field F from magnets, a shunt winding, a series winding, or shunt and series together. Exchanging the
 * ends of the armature reverses it; exchanging the ends of armature and field does not. An armature without voltage
 * carries no current: braking by a resistor across it is not modelled.
 *
 * @param ratedAmperes the armature's current at rated load, in A
 * @param armatureVolts the armature's rated voltage, in V
 * @param field where its field comes from
 * @param seriesVolts the voltage across a series winding at rated current, in V
 */
record DirectCurrentMotor(double ratedAmperes, double armatureVolts, Field field, double seriesVolts)
        implements MotorModel {

    /** Where the field comes from. */
    enum Field {
        PERMANENT_MAGNET(1, 0),
        SHUNT(1, 0),
        SERIES(0, 1),
        COMPOUND(0.7, 0.3);

        private final double steady;
        private final double withCurrent;

        Field(double steady, double withCurrent) {
            this.steady = steady;
            this.withCurrent = withCurrent;
        }

        boolean hasShunt() {
            return this == SHUNT || this == COMPOUND;
        }

        boolean hasSeries() {
            return withCurrent > 0;
        }
    }

    private static final double ENOUGH = 0.1;
    private static final double RESISTANCE = 0.15;
    private static final double SATURATION = 1.8;

    /** What the iron keeps when the shunt winding has no current. */
    private static final double RESIDUAL = 0.05;

    @Override
    public Excitation under(double[][] volts) {
        double shunt = field.hasShunt() ? volts[1][2] / armatureVolts : 1;
        double series = field.hasSeries() ? volts[volts.length - 1][2] / seriesVolts : 0;
        double steady = Math.abs(shunt) < RESIDUAL ? RESIDUAL : Math.max(-1, Math.min(1, shunt));
        return new Fed(
                ratedAmperes,
                volts[0][2] / armatureVolts,
                field.steady * steady,
                Math.abs(series) < ENOUGH ? 0 : Math.signum(series) * field.withCurrent);
    }

    /**
     * The motor under voltage.
     *
     * @param ratedAmperes the armature's current at rated load, in A
     * @param armature the armature's voltage in per unit, negative if its ends are exchanged
     * @param steady the field that does not depend on the armature's current, in per unit
     * @param withCurrent the field that grows with it, for each per unit of current
     */
    private record Fed(double ratedAmperes, double armature, double steady, double withCurrent) implements Excitation {
        @Override
        public double torque(double speed) {
            double current = current(speed);
            return field(current) * current;
        }

        @Override
        public double amperes(double speed) {
            return ratedAmperes * Math.abs(current(speed));
        }

        @Override
        public Turning turning(double speed) {
            if (Math.abs(armature) < ENOUGH) {
                return Turning.NONE;
            }
            double sense = armature * (steady + withCurrent);
            if (sense == 0) {
                return Turning.HUMMING;
            }
            return sense > 0 ? Turning.FORWARD : Turning.REVERSE;
        }

        private double field(double current) {
            return Math.max(-SATURATION, Math.min(SATURATION, steady + withCurrent * Math.abs(current)));
        }

        private double current(double speed) {
            if (Math.abs(armature) < ENOUGH) {
                return 0;
            }
            double counter = Math.max(0, withCurrent * speed * Math.signum(armature));
            double unsaturated = (armature - steady * speed) / (RESISTANCE + counter);
            return Math.abs(field(unsaturated)) < SATURATION
                    ? unsaturated
                    : (armature - field(unsaturated) * speed) / RESISTANCE;
        }
    }
}
