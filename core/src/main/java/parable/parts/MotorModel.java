package parable.parts;

/** How a motor turns voltages into torque and current. */
public interface MotorModel {

    /**
     * The motor under voltage.
     *
     * @param volts for each of its windings, in the order of the device's loads, the real and imaginary part of the AC
     *     voltage and the DC voltage, in V
     */
    Excitation under(double[][] volts);

    /** What it takes at standstill, in multiples of its rated current; 6 unless the model knows better. */
    default double startTimes() {
        return 6;
    }

    /**
     * Whether a winding carries current while the motor runs; one with a switch that opens on the way up does not.
     *
     * @param winding by its number among the device's loads
     */
    default boolean carriesWhileRunning(int winding) {
        return true;
    }

    /**
     * The motor with one of its three lines open, so that what flows in at one of the others flows out at the third.
     *
     * @param volts as above, shared by windings that are all alike; how they really share it depends on the speed
     */
    default Excitation withLineOpen(double[][] volts) {
        return under(volts);
    }
}
