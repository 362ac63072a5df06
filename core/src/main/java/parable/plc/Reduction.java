package parable.plc;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import parable.program.Logic;

/**
 * Makes contacts in series and in parallel of a part of a ladder, step by step: branches between the same nodes become one, a node with two
 * branches vanishes. Where a bridge is left, every way through is written down.
 */
final class Reduction {

    /** A branch that conducts while its logic lets pass, or always. */
    private record Branch(int order, int from, int to, Optional<Logic> logic) {
        Branch turned() {
            return new Branch(order, to, from, logic.map(Branch::reversed));
        }

        private static Logic reversed(Logic logic) {
            if (!(logic instanceof Logic.Series series)) {
                return logic;
            }
            List<Logic> parts = new ArrayList<>(series.parts());
            Collections.reverse(parts);
            return new Logic.Series(parts);
        }

        Branch from(int node) {
            return from == node ? this : turned();
        }
    }

    private final int source;
    private final int target;
    private List<Branch> branches = new ArrayList<>();

    Reduction(
            int source,
            int target,
            Set<Integer> rails,
            List<ControlGraph.Edge> edges,
            Function<ControlGraph.Edge, Optional<Logic>> reads) {
        this.source = source;
        this.target = target;
        for (ControlGraph.Edge edge : edges) {
            boolean leadsAway = List.of(edge.from(), edge.to()).stream()
                    .anyMatch(node -> rails.contains(node) && node != source && node != target);
            if (!leadsAway) {
                branches.add(new Branch(edge.order(), edge.from(), edge.to(), reads.apply(edge)));
            }
        }
    }

    Optional<Logic> logic() {
        boolean changed = true;
        while (changed) {
            changed = prune() | parallel() | series();
        }
        if (branches.size() == 1) {
            return branches.get(0).from(source).logic();
        }
        List<Optional<Logic>> ways = new ArrayList<>();
        ways(source, new HashSet<>(Set.of(source)), new ArrayList<>(), ways);
        return any(ways);
    }

    private static Optional<Logic> any(List<Optional<Logic>> some) {
        return some.stream().anyMatch(Optional::isEmpty)
                ? Optional.empty()
                : Optional.of(Logic.parallel(some.stream().map(Optional::get).toList()));
    }

    private static Optional<Logic> all(List<Optional<Logic>> some) {
        List<Logic> parts = some.stream().flatMap(Optional::stream).toList();
        return parts.isEmpty() ? Optional.empty() : Optional.of(Logic.series(parts));
    }

    private Map<Integer, List<Branch>> byNode() {
        Map<Integer, List<Branch>> byNode = new HashMap<>();
        for (Branch branch : branches) {
            byNode.computeIfAbsent(branch.from(), any -> new ArrayList<>()).add(branch);
            byNode.computeIfAbsent(branch.to(), any -> new ArrayList<>()).add(branch);
        }
        return byNode;
    }

    private boolean isInner(int node) {
        return node != source && node != target;
    }

    /** Takes away what leads nowhere. */
    private boolean prune() {
        Map<Integer, List<Branch>> byNode = byNode();
        List<Branch> kept = branches.stream()
                .filter(branch -> branch.from() != branch.to())
                .filter(branch -> List.of(branch.from(), branch.to()).stream()
                        .noneMatch(node -> isInner(node) && byNode.get(node).size() == 1))
                .toList();
        boolean changed = kept.size() < branches.size();
        branches = new ArrayList<>(kept);
        return changed;
    }

    private boolean parallel() {
        Map<Set<Integer>, List<Branch>> between = new HashMap<>();
        branches.forEach(branch -> between.computeIfAbsent(Set.of(branch.from(), branch.to()), any -> new ArrayList<>())
                .add(branch));
        boolean changed = false;
        for (List<Branch> alike : between.values()) {
            if (alike.size() > 1) {
                alike.sort(Comparator.comparingInt(Branch::order));
                Branch first = alike.get(0);
                branches.removeAll(alike);
                branches.add(new Branch(
                        first.order(),
                        first.from(),
                        first.to(),
                        any(alike.stream()
                                .map(branch -> branch.from(first.from()).logic())
                                .toList())));
                changed = true;
            }
        }
        return changed;
    }

    private boolean series() {
        for (Map.Entry<Integer, List<Branch>> at : byNode().entrySet()) {
            if (isInner(at.getKey()) && at.getValue().size() == 2) {
                Branch one = at.getValue().get(0);
                Branch other = at.getValue().get(1);
                boolean forward = one.order() <= other.order();
                Branch first = (forward ? one : other).from(at.getKey()).turned();
                Branch second = (forward ? other : one).from(at.getKey());
                branches.removeAll(at.getValue());
                branches.add(new Branch(
                        first.order(), first.from(), second.to(), all(List.of(first.logic(), second.logic()))));
                return true;
            }
        }
        return false;
    }

    /** Every way from a node to the target that passes no node twice. */
    private void ways(int at, Set<Integer> seen, List<Optional<Logic>> sofar, List<Optional<Logic>> ways) {
        if (at == target) {
            ways.add(all(sofar));
            return;
        }
        for (Branch branch : List.copyOf(branches)) {
            if (branch.from() != at && branch.to() != at) {
                continue;
            }
            Branch forward = branch.from(at);
            if (seen.add(forward.to())) {
                sofar.add(forward.logic());
                ways(forward.to(), seen, sofar, ways);
                sofar.remove(sofar.size() - 1);
                seen.remove(forward.to());
            }
        }
    }
}
