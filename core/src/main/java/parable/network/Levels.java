package parable.network;

/**
 * A voltage against earth for each of many points, in V: r.m.s. phasors and a DC part side by side, all in one array.
 *
 * @param parts for each point its real, imaginary and DC part
 */
record Levels(double[] parts) {

    /** Zero everywhere. */
    static Levels zero(int points) {
        return new Levels(new double[3 * points]);
    }

    double real(int point) {
        return parts[3 * point];
    }

    double imaginary(int point) {
        return parts[3 * point + 1];
    }

    double direct(int point) {
        return parts[3 * point + 2];
    }

    /** Adds to the level of a point what stands from a place on in an array. */
    void lift(int point, double[] by, int at) {
        parts[3 * point] += by[at];
        parts[3 * point + 1] += by[at + 1];
        parts[3 * point + 2] += by[at + 2];
    }

    /** Puts a point on the level of another. */
    void copy(int from, int to) {
        parts[3 * to] = parts[3 * from];
        parts[3 * to + 1] = parts[3 * from + 1];
        parts[3 * to + 2] = parts[3 * from + 2];
    }
}
