package parable.network;

/**
 * Nodes joined into groups, each node at a known voltage against its group: a union-find whose links carry potentials.
 * Closed contacts join at no difference, sources at theirs. A join that contradicts an earlier one is a short circuit.
 */
final class Joints {

    /** Two potentials closer than this, in V, are the same one. */
    static final double SAME = 1e-6;

    private final int[] parents;
    private final double[] real;
    private final double[] imaginary;
    private final double[] direct;

    Joints(int nodes) {
        parents = new int[nodes];
        for (int i = 0; i < nodes; i++) {
            parents[i] = i;
        }
        real = new double[nodes];
        imaginary = new double[nodes];
        direct = new double[nodes];
    }

    /** The group of a node; afterwards its own offsets are against that group. */
    int group(int node) {
        int parent = parents[node];
        if (parents[parent] == parent) {
            return parent;
        }
        int root = group(parent);
        real[node] += real[parent];
        imaginary[node] += imaginary[parent];
        direct[node] += direct[parent];
        parents[node] = root;
        return root;
    }

    /**
     * Joins two nodes so that {@code to} is above {@code from} by this voltage.
     *
     * @return false if they are joined already at another voltage
     */
    boolean join(int from, int to, double re, double im, double dc) {
        int fromGroup = group(from);
        int toGroup = group(to);
        double riseReal = real[from] + re - real[to];
        double riseImaginary = imaginary[from] + im - imaginary[to];
        double riseDirect = direct[from] + dc - direct[to];
        if (fromGroup == toGroup) {
            return Math.abs(riseReal) < SAME && Math.abs(riseImaginary) < SAME && Math.abs(riseDirect) < SAME;
        }
        parents[toGroup] = fromGroup;
        real[toGroup] = riseReal;
        imaginary[toGroup] = riseImaginary;
        direct[toGroup] = riseDirect;
        return true;
    }

    /** The real part of a node against its group, in V; ask {@link #group} first. */
    double real(int node) {
        return real[node];
    }

    /** The imaginary part of a node against its group, in V; ask {@link #group} first. */
    double imaginary(int node) {
        return imaginary[node];
    }

    /** The DC part of a node against its group, in V; ask {@link #group} first. */
    double direct(int node) {
        return direct[node];
    }
}
