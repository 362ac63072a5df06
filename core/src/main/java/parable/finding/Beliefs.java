package parable.finding;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import parable.testsheet.Situation;

/** How likely each suspect is after what was seen, and how much of that speaks against it. Suspects go by their places. Not modified. */
final class Beliefs {

    private final double[] shares;
    private final int[] contradicted;
    private final List<Integer> order;

    private Beliefs(double[] weights, int[] contradicted) {
        double sum = Arrays.stream(weights).sum();
        this.shares = Arrays.stream(weights).map(weight -> weight / sum).toArray();
        this.contradicted = contradicted;
        this.order = IntStream.range(0, weights.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -weights[i]))
                .toList();
    }

    /** Before anything is seen. */
    static Beliefs before(SearchBasis basis) {
        double[] weights =
                basis.suspects().stream().mapToDouble(basis.weights()::of).toArray();
        return new Beliefs(weights, new int[weights.length]);
    }

    /** The same likelihoods, with nothing held against anybody. */
    Beliefs afresh() {
        return new Beliefs(shares, new int[shares.length]);
    }

    /** After something more was seen: Bayes' rule, with a share of wrong readings, so that none throws a suspect out. */
    Beliefs after(LookResult seen, SearchBasis basis) {
        Situation situation = seen.look().situation();
        int place = basis.looks().place(seen.look());
        basis.looks().run(order, List.of(situation));
        double[] next = new double[shares.length];
        int[] against = contradicted.clone();
        for (int i : order) {
            boolean fits = seen.look().observation().accepts(basis.looks().found(i, situation, place), seen.found());
            against[i] += fits ? 0 : 1;
            next[i] = shares[i] * (fits ? 1 - basis.doubt() : basis.doubt() / 2);
        }
        return new Beliefs(next, against);
    }

    /** All suspects, the likeliest first. */
    List<Integer> order() {
        return order;
    }

    /** How likely a suspect is, all together being 1. */
    double share(int suspect) {
        return shares[suspect];
    }

    /** How many of the readings do not fit a suspect. */
    int contradicted(int suspect) {
        return contradicted[suspect];
    }

    /** Whether no more of the readings speak against a suspect than against the likeliest. */
    boolean isUnchallenged(int suspect) {
        return contradicted[suspect] <= contradicted[order.get(0)];
    }

    /** Whether a suspect is at least so likely against the likeliest. */
    boolean isAtLeast(double ofTheLikeliest, int suspect) {
        return shares[suspect] >= ofTheLikeliest * shares[order.get(0)];
    }

    /** Those that are at least so likely against the likeliest, and no more than so many. */
    List<Integer> atLeast(double ofTheLikeliest, int most) {
        List<Integer> likely = new ArrayList<>();
        for (int i : order.subList(0, Math.min(most, order.size()))) {
            if (isAtLeast(ofTheLikeliest, i)) {
                likely.add(i);
            }
        }
        return likely;
    }
}
