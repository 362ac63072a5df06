package parable.finding;

import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import parable.bench.Fault;

/** Two faults at once that may together show what was seen. */
final class FaultPairs {

    private final SearchBasis basis;
    private final List<LookResult> seen;
    private final List<BitSet> fits;
    private final double[] weights;

    private FaultPairs(SearchBasis basis, List<LookResult> seen) {
        this.basis = basis;
        this.seen = seen;
        fits = basis.suspects().stream().map(any -> new BitSet()).toList();
        weights = basis.suspects().stream().mapToDouble(basis.weights()::of).toArray();
        for (int reading = 0; reading < seen.size(); reading++) {
            read(reading);
        }
    }

    /**
     * Two suspects by their places.
     *
     * @param unexplained how many of the readings fit neither
     * @param weight how likely both are, against other pairs
     */
    private record Pair(int one, int other, int unexplained, double weight) {

        private static final Comparator<Pair> BEST_FIRST =
                Comparator.comparingInt(Pair::unexplained).thenComparingDouble(pair -> -pair.weight());
    }

    /**
     * The pairs that leave the fewest of the readings to neither of the two, the likeliest of each number first. Some are of both together: a motor that lacks two lines does not hum, and two wires come
     * off where each fault alone shows one. Whether both together show what was seen is only known when they are run.
     */
    static List<Suspect> of(SearchBasis basis, List<LookResult> seen, int most) {
        return new FaultPairs(basis, seen).best(most);
    }

    private void read(int reading) {
        PanelLook look = seen.get(reading).look();
        int place = basis.looks().place(look);
        basis.looks().run(basis.everyone(), List.of(look.situation()));
        for (int suspect : basis.everyone()) {
            fits.get(suspect)
                    .set(
                            reading,
                            look.observation()
                                    .accepts(
                                            basis.looks().found(suspect, look.situation(), place),
                                            seen.get(reading).found()));
        }
    }

    /** Of a large sheet there are millions: no more are kept than are asked for. */
    private List<Suspect> best(int most) {
        PriorityQueue<Pair> best = new PriorityQueue<>(Pair.BEST_FIRST.reversed());
        for (int one = 0; one < fits.size(); one++) {
            for (int other = one + 1; other < fits.size(); other++) {
                Pair pair = pair(one, other);
                if ((best.size() < most || Pair.BEST_FIRST.compare(pair, best.element()) < 0) && isPossible(pair)) {
                    best.add(pair);
                    if (best.size() > most) {
                        best.remove();
                    }
                }
            }
        }
        return best.stream()
                .sorted(Pair.BEST_FIRST)
                .map(pair -> suspect(pair.one()).and(suspect(pair.other())))
                .toList();
    }

    private Pair pair(int one, int other) {
        BitSet either = (BitSet) fits.get(one).clone();
        either.or(fits.get(other));
        return new Pair(one, other, seen.size() - either.cardinality(), weights[one] * weights[other]);
    }

    private Suspect suspect(int place) {
        return basis.suspects().get(place);
    }

    /** At one place there is one fault; and no more than two are suspected at once. */
    private boolean isPossible(Pair pair) {
        List<Fault> one = suspect(pair.one()).faults();
        List<Fault> other = suspect(pair.other()).faults();
        boolean apart = !one.get(0).tag().equals(other.get(0).tag())
                || !one.get(0).place().equals(other.get(0).place());
        return one.size() == 1 && other.size() == 1 && apart;
    }
}
