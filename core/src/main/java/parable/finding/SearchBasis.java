package parable.finding;

import java.util.List;
import java.util.stream.IntStream;
import parable.parts.Assembly;

/**
 * What stays the same in all steps of a search.
 *
 * @param suspects what may be wrong; they go by their place in this list
 * @param looks what can be looked at, and what that would find
 * @param times how long it takes
 * @param weights how likely a suspect is before anything is seen
 * @param doubt the share of readings that are taken to be wrong
 */
record SearchBasis(List<Suspect> suspects, PanelLooks looks, LookTimes times, FaultWeights weights, double doubt) {

    SearchBasis {
        suspects = List.copyOf(suspects);
    }

    /** The same with other suspects. */
    SearchBasis of(List<Suspect> others, Assembly assembly) {
        return new SearchBasis(others, new PanelLooks(assembly, others), times, weights, doubt);
    }

    /** The same where it is known that no single fault fits. */
    SearchBasis ofNoSingleFault() {
        return new SearchBasis(suspects, looks, times, weights.ofNoSingleFault(), doubt);
    }

    /** The places of all suspects. */
    List<Integer> everyone() {
        return IntStream.range(0, suspects.size()).boxed().toList();
    }
}
