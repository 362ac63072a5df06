package parable.parts;

/**
 * What the coil of an electromagnet takes. With alternating current it takes many times more until its armature is home, for an open magnet
 * hardly hinders the current; what hinders it then is mostly the copper. Practice, by the data sheets of several sizes; a device's own
 * data go first.
 *
 * @param sealed with the armature home, in VA, above 0
 * @param inrush with the armature open, in VA, at least as much
 */
record CoilData(double sealed, double inrush) {

    /** Cosine phi with the armature home. */
    static final double SEALED_POWER_FACTOR = 0.3;

    /** Cosine phi with the armature open: the copper's share of what hinders the current then. */
    static final double INRUSH_POWER_FACTOR = 0.75;

    /** The rated current in A, for motors at 400 V (AC-3), of a contactor of which nothing is said. */
    static final double SMALL_CONTACTOR = 12;

    static final CoilData CONTROL_RELAY = new CoilData(1.5, 3);

    static final CoilData SOLENOID = new CoilData(10, 35);

    CoilData {
        if (!(sealed > 0) || !(inrush >= sealed)) {
            throw new IllegalArgumentException(
                    "a coil takes more than 0 VA and no less while its armature is open, found " + sealed + ", "
                            + inrush);
        }
    }

    /**
     * That of a contactor by its size.
     *
     * @param amperes its rated current in A, for motors at 400 V (AC-3)
     */
    static CoilData contactor(double amperes) {
        if (amperes <= 16) {
            return new CoilData(8, 70);
        }
        if (amperes <= 38) {
            return new CoilData(10, 95);
        }
        if (amperes <= 65) {
            return new CoilData(20, 200);
        }
        if (amperes <= 95) {
            return new CoilData(26, 250);
        }
        return amperes <= 150 ? new CoilData(45, 450) : new CoilData(70, 700);
    }

    /** The copper of a coil of this rated voltage, in ohms. */
    double directOhms(RatedVoltage rated) {
        return rated.volts() * rated.volts() / inrush * INRUSH_POWER_FACTOR;
    }
}
