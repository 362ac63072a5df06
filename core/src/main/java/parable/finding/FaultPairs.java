package parable.finding;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import parable.testsheet.Situation;

/** Two faults at once that may together show what was seen. */
final class FaultPairs {

    private FaultPairs() {}

    /** The likeliest pairs of which each thing that was seen fits the one or the other. Whether both together show it is only known when they are run. */
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
        List<Suspect> pairs = new ArrayList<>();
        for (int one = 0; one < fits.size(); one++) {
            for (int other = one + 1; other < fits.size(); other++) {
                BitSet both = (BitSet) fits.get(one).clone();
                both.or(fits.get(other));
                if (both.cardinality() == seen.size()
                        && isPossible(
                                basis.suspects().get(one), basis.suspects().get(other))) {
                    pairs.add(basis.suspects().get(one).and(basis.suspects().get(other)));
                }
            }
        }
        return pairs.stream()
                .sorted(Comparator.comparingDouble(basis.weights()::of).reversed())
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
