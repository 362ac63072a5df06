package parable.network;

/**
 * A voltage between two points: an AC phasor and a DC part side by side.
 *
 * @param real the phasor's real part in V r.m.s.
 * @param imaginary the phasor's imaginary part in V r.m.s.
 * @param direct the DC part in V
 */
public record Potential(double real, double imaginary, double direct) {

    /** The AC part in V r.m.s., never negative. */
    public double alternating() {
        return Math.hypot(real, imaginary);
    }

    /** The true r.m.s. value of both parts together, in V. */
    public double rms() {
        return Math.hypot(alternating(), direct);
    }

    /** The voltage of this point against the other. */
    public Potential minus(Potential other) {
        return new Potential(real - other.real, imaginary - other.imaginary, direct - other.direct);
    }
}
