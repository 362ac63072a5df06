package parable.network;

import java.util.Arrays;

/**
 * How the diodes of a bridge tie its output to its input. At every instant minus is at the lower of the two input terminals and plus at the
 * higher one. So both follow the middle of the input, plus half the output above it and minus half the output below. A rectifier does not
 * separate: whoever touches its minus touches the line.
 */
final class RectifierTie {

    private static final int OUTPUT = 3;

    private RectifierTie() {}

    /**
     * The voltages of a rectifier that works.
     *
     * @param real the real part of the voltage between its input terminals, first above second, in V
     * @param imaginary the imaginary part of that
     * @param direct its output in V
     * @return its output, and by how much minus is above the first input terminal: real, imaginary and DC part of each
     */
    static double[] values(double real, double imaginary, double direct) {
        return new double[] {0, 0, direct, -real / 2, -imaginary / 2, -direct / 2};
    }

    /** By how much minus is above the first input terminal. */
    static double[] rise(double[] values) {
        return Arrays.copyOfRange(values, OUTPUT, 2 * OUTPUT);
    }
}
