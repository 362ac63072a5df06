package parable.network;

/**
 * Clusters that sources tie to each other at known differences, earth among them. There are few of them, however large
 * the network: only those that a source that is on has a terminal in. Each group has an anchor, where its level is
 * measured: earth for the group that earth is in, else the reference of its first source.
 */
final class SourceGroups {

    private final int[] clusters;
    private final int[] groups;
    private final double[] offsets;
    private int count;
    private boolean contradictory;

    /**
     * Groups that hold nothing but earth.
     *
     * @param earth the cluster of earth
     * @param sources how many sources may be joined
     */
    SourceGroups(int earth, int sources) {
        int most = 2 * sources + 1;
        clusters = new int[most];
        groups = new int[most];
        offsets = new double[3 * most];
        place(earth);
    }

    /** The place of a cluster among those of the sources; one that is new there is a group of its own. */
    private int place(int cluster) {
        int place = find(cluster);
        if (place < 0) {
            place = count++;
            clusters[place] = cluster;
            groups[place] = place;
        }
        return place;
    }

    /** The place of a cluster, negative if no source is on it. */
    private int find(int cluster) {
        for (int i = 0; i < count; i++) {
            if (clusters[i] == cluster) {
                return i;
            }
        }
        return -1;
    }

    /** Joins two clusters so that the second is above the first by a voltage: real, imaginary and DC part. */
    void join(int from, int to, double[] rise) {
        int one = place(from);
        int other = place(to);
        double re = offsets[3 * one] + rise[0] - offsets[3 * other];
        double im = offsets[3 * one + 1] + rise[1] - offsets[3 * other + 1];
        double dc = offsets[3 * one + 2] + rise[2] - offsets[3 * other + 2];
        int group = groups[other];
        if (groups[one] == group) {
            contradictory |= Math.abs(re) >= Joints.SAME || Math.abs(im) >= Joints.SAME || Math.abs(dc) >= Joints.SAME;
            return;
        }
        boolean keepOther = group == groups[0];
        int moved = keepOther ? groups[one] : group;
        int sign = keepOther ? -1 : 1;
        int kept = keepOther ? group : groups[one];
        for (int i = 0; i < count; i++) {
            if (groups[i] == moved) {
                groups[i] = kept;
                offsets[3 * i] += sign * re;
                offsets[3 * i + 1] += sign * im;
                offsets[3 * i + 2] += sign * dc;
            }
        }
    }

    /** Whether sources contradict each other: there is a short circuit. */
    boolean isContradictory() {
        return contradictory;
    }

    /** Writes into an array, for each of the clusters, the cluster that stands for its group. */
    void nameGroups(int[] byCluster) {
        for (int i = 0; i < count; i++) {
            byCluster[clusters[i]] = clusters[groups[i]];
        }
    }

    /** Puts each cluster on its level against the anchor of its group. */
    void put(Levels levels) {
        for (int i = 0; i < count; i++) {
            levels.lift(clusters[i], offsets, 3 * i);
        }
    }
}
