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
}
