package parable.network;

/** What closed contacts and wires alone join, whatever sources do. */
public final class Copper {

    private final Clusters clusters;

    Copper(Clusters clusters) {
        this.clusters = clusters;
        clusters.flatten();
    }

    /** Whether two nodes are one point. */
    public boolean joins(int one, int other) {
        return clusters.of(one) == clusters.of(other);
    }
}
