package parable.parts;

/** An alternating quantity against the supply that all others are measured against: real and imaginary part of its effective value. */
public record Phasor(double real, double imaginary) {

    /** Its effective value, whatever its angle. */
    public double amount() {
        return CageRotor.length(real, imaginary);
    }

    /** A share of it, with the same angle. */
    public Phasor times(double share) {
        return new Phasor(real * share, imaginary * share);
    }

    /** This turned ahead by an angle in radians. */
    public Phasor turned(double angle) {
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return new Phasor(real * cos - imaginary * sin, real * sin + imaginary * cos);
    }

    /** What is left without the other. */
    public Phasor minus(Phasor other) {
        return new Phasor(real - other.real, imaginary - other.imaginary);
    }
}
