package parable.proof;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import parable.bench.Progress;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;

/**
 * Which coils of a sheet are on together in any state that can be reached, at any speed: their armatures are in, those of timers only fed.
 *
 * @param circuits for each circuit that has nothing to do with the others the largest sets of tags, none of which is part of another
 * @param explored whether every state was explored; where not, all coils of a circuit are taken for on together
 */
public record OnTogether(List<List<Set<String>>> circuits, boolean explored) {

    /** Not modified: the lists are copied. */
    public OnTogether {
        circuits = circuits.stream().map(List::copyOf).toList();
    }

    /**
     * Those of a sheet.
     *
     * @param mostStates the most states that are explored of each circuit on it
     */
    public static OnTogether of(Assembly assembly, int mostStates, Progress progress) {
        List<List<Set<String>>> circuits = new ArrayList<>();
        boolean explored = true;
        for (Sheet one : IndependentParts.of(assembly)) {
            Assembly part = fitted(one, assembly.tables());
            CircuitMachine machine = CircuitMachine.untimed(part, List.of());
            boolean all = false;
            if (machine.isSmallEnough()) {
                Explorer explorer = new Explorer(machine, progress, mostStates);
                explorer.explore();
                all = explorer.isComplete();
                if (all) {
                    circuits.add(largest(machine, explorer));
                }
            }
            if (!all) {
                circuits.add(List.of(coils(part)));
                explored = false;
            }
        }
        return new OnTogether(circuits, explored);
    }

    /** Everything on at once, where nothing is explored. */
    public static OnTogether everything(Assembly assembly) {
        return new OnTogether(List.of(List.of(coils(assembly))), false);
    }

    private static Assembly fitted(Sheet part, JobTables tables) {
        try {
            return Assembly.of(part, tables);
        } catch (PartException impossible) {
            throw new IllegalStateException("a part of a sheet that is fitted out cannot be fitted out", impossible);
        }
    }

    private static boolean hasCoil(Part part) {
        return part.drive() instanceof Drive.ByCoil || part.drive() instanceof Drive.ByTimer;
    }

    private static Set<String> coils(Assembly assembly) {
        return assembly.parts().stream()
                .filter(OnTogether::hasCoil)
                .map(Part::tag)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static List<Set<String>> largest(CircuitMachine machine, Explorer explorer) {
        long timers = 0;
        for (int part : machine.moving()) {
            timers |= machine.parts().get(part).drive() instanceof Drive.ByTimer ? 1L << machine.rank(part) : 0;
        }
        Set<Long> met = new HashSet<>();
        for (int state = 0; state < explorer.visited(); state++) {
            long in = machine.held(explorer.states().key(state)) | timers;
            met.add(explorer.conduction(state).mayHold() & in);
        }
        return met.stream()
                .filter(one -> met.stream().noneMatch(other -> !other.equals(one) && (one & ~other) == 0))
                .map(one -> IntStream.of(machine.moving())
                        .filter(part -> (one >> machine.rank(part) & 1) == 1
                                && hasCoil(machine.parts().get(part)))
                        .mapToObj(part -> machine.parts().get(part).tag())
                        .collect(Collectors.toCollection(LinkedHashSet::new)))
                .map(one -> (Set<String>) one)
                .toList();
    }

    /** Of all sets that are on together the one that weighs most. */
    public Set<String> heaviest(ToDoubleFunction<String> weight) {
        Set<String> heaviest = new LinkedHashSet<>();
        for (List<Set<String>> sets : circuits) {
            sets.stream()
                    .max((one, other) -> Double.compare(sum(one, weight), sum(other, weight)))
                    .ifPresent(heaviest::addAll);
        }
        return heaviest;
    }

    private static double sum(Set<String> tags, ToDoubleFunction<String> weight) {
        return tags.stream().mapToDouble(weight).sum();
    }

    /** The sets that are on together, each with those of the other circuits that weigh most with it. */
    public List<Set<String>> sets() {
        return circuits.stream().flatMap(List::stream).toList();
    }
}
