package parable.finding;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import parable.testsheet.Situation;

/** Two faults at once that may together show what was seen. */
final class FaultPairs {

    /** So many readings may fit neither of two alone: a motor that lacks two lines does not hum, and two wires come off where each fault alone shows one. */
    private static final int MOST_OF_BOTH = 2;

    private FaultPairs() {}

    /** Two suspects, with how many of the readings fit neither. */
    private record Pair(Suspect suspect, int unexplained) {}

    /**
     * The pairs of which what was seen fits the one or the other, all of it first, then all but {@value #MOST_OF_BOTH}, the likeliest of each first. Whether both together show it is only known when they
     * are run.
     */
    static List<Suspect> of(SearchBasis basis, List<LookResult> seen, int most) {
        List<BitSet> fits = basis.suspects().stream().map(any -> new BitSet()).toList();
        for (int reading = 0; reading < seen.size(); reading++) {
            PanelLook look = seen.get(reading).look();
            Situation situation = look.situation();
            int place = basis.looks().place(look);
            basis.looks().run(basis.everyone(), List.of(situation));
            for (int suspect : basis.everyone()) {
                boolean fit = look.observation()
                        .accepts(
                                basis.looks().found(suspect, situation, place),
                                seen.get(reading).found());
                fits.get(suspect).set(reading, fit);
            }
        }
        List<Pair> pairs = new ArrayList<>();
        for (int one = 0; one < fits.size(); one++) {
            for (int other = one + 1; other < fits.size(); other++) {
                BitSet both = (BitSet) fits.get(one).clone();
                both.or(fits.get(other));
                int unexplained = seen.size() - both.cardinality();
                if (unexplained <= Math.min(MOST_OF_BOTH, seen.size() - 1)
                        && isPossible(
                                basis.suspects().get(one), basis.suspects().get(other))) {
                    pairs.add(new Pair(
                            basis.suspects().get(one).and(basis.suspects().get(other)), unexplained));
                }
            }
        }
        return pairs.stream()
                .sorted(Comparator.comparingInt(Pair::unexplained)
                        .thenComparingDouble(pair -> -basis.weights().of(pair.suspect())))
                .map(Pair::suspect)
                .limit(most)
                .toList();
    }

    /** At one place there is one fault. */
    private static boolean isPossible(Suspect one, Suspect other) {
        return one.faults().stream().noneMatch(fault -> other.faults().stream()
                .anyMatch(another ->
                        fault.tag().equals(another.tag()) && fault.place().equals(another.place())));
    }
}
