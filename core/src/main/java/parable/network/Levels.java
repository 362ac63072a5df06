package parable.network;

/**
 * A voltage against earth for each of many points, in V: r.m.s. phasors and a DC part side by side.
 *
 * @param real the real parts
 * @param imaginary the imaginary parts
 * @param direct the DC parts
 */
record Levels(double[] real, double[] imaginary, double[] direct) {

    /** Zero everywhere. */
    static Levels zero(int points) {
        return new Levels(new double[points], new double[points], new double[points]);
    }

    /** Puts a point on a level. */
    void set(int point, double re, double im, double dc) {
        real[point] = re;
        imaginary[point] = im;
        direct[point] = dc;
    }

    /** Puts a point on the level of another. */
    void copy(int from, int to) {
        set(to, real[from], imaginary[from], direct[from]);
    }
}
