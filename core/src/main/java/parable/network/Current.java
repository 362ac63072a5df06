package parable.network;

/**
 * A current through a branch: an AC phasor and a DC part side by side.
 *
 * @param real the phasor's real part in A r.m.s.
 * @param imaginary the phasor's imaginary part in A r.m.s.
 * @param direct the DC part in A
 */
public record Current(double real, double imaginary, double direct) {

    /** The true r.m.s. value of both parts together, in A. */
    public double rms() {
        return Math.sqrt(real * real + imaginary * imaginary + direct * direct);
    }
}
