package parable.plc;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.parts.Assembly;

/**
 * The contacts that stay in copper in front of every contactor's coil and behind it, so that one relay, or one input, can tell whether all of
 * them conduct.
 *
 * @param front in their order from the rail
 * @param behind in their order to the rail
 * @param feed the rail in front, a node; without meaning if there is no guard
 * @param back the rail behind, a node
 * @param coil one of the coils
 */
record Guard(
        List<ControlGraph.Edge> front,
        List<ControlGraph.Edge> behind,
        int feed,
        int back,
        Optional<ControlGraph.Consumer> coil) {

    /** Nothing in common. */
    static final Guard NONE = new Guard(List.of(), List.of(), -1, -1, Optional.empty());

    Guard {
        front = List.copyOf(front);
        behind = List.copyOf(behind);
    }

    /**
     * What the coils have in common that begin with the same contact, as far as nothing else on the sheet has only a part of it. The first coil
     * that has anything in front of or behind it tells which.
     */
    static Guard of(ControlGraph graph, Hardwired hardwired, List<Translator.Fed> coils, List<Translator.Fed> fed) {
        Optional<Translator.Fed> leads = coils.stream()
                .filter(coil -> hardwired.inFrontOf(coil.consumer()).stream()
                                .findFirst()
                                .filter(edge -> !hardwired.isInterlock(edge))
                                .isPresent()
                        || !hardwired.behind(coil.consumer()).isEmpty())
                .findFirst();
        if (leads.isEmpty()) {
            return NONE;
        }
        Translator.Fed first = leads.get();
        List<ControlGraph.Edge> front = new ArrayList<>(hardwired.inFrontOf(first.consumer()));
        List<ControlGraph.Edge> behind = hardwired.behind(first.consumer());
        for (Translator.Fed coil : coils) {
            List<ControlGraph.Edge> other = hardwired.inFrontOf(coil.consumer());
            boolean begins = front.isEmpty() || !other.isEmpty() && other.get(0).equals(front.get(0));
            if (begins && coil.feed() == first.feed() && coil.back() == first.back()) {
                while (!front.equals(other.subList(0, Math.min(front.size(), other.size())))) {
                    front.remove(front.size() - 1);
                }
                behind = behind.equals(hardwired.behind(coil.consumer())) ? behind : List.of();
            }
        }
        while (!front.isEmpty()
                && (hardwired.isInterlock(front.get(front.size() - 1)) || isCut(graph, front, behind, fed))) {
            front.remove(front.size() - 1);
        }
        if (isCut(graph, front, behind, fed)) {
            behind = List.of();
        }
        return new Guard(front, behind, first.feed(), first.back(), Optional.of(first.consumer()));
    }

    /** Whether a coil's way leads through all of it. */
    boolean isInFrontOf(List<ControlGraph.Edge> kept) {
        return kept.size() >= front.size() && kept.subList(0, front.size()).equals(front);
    }

    /** Whether something else has some of the contacts in front of or behind it but not all. */
    private static boolean isCut(
            ControlGraph graph,
            List<ControlGraph.Edge> front,
            List<ControlGraph.Edge> behind,
            List<Translator.Fed> fed) {
        Set<ControlGraph.Edge> all = new HashSet<>(front);
        all.addAll(behind);
        for (Translator.Fed one : fed) {
            Set<ControlGraph.Edge> has =
                    new HashSet<>(graph.allInSeries(one.feed(), one.consumer().from()));
            has.addAll(graph.allInSeries(one.consumer().to(), one.back()));
            has.retainAll(all);
            if (!has.isEmpty() && has.size() < all.size()) {
                return true;
            }
        }
        return false;
    }

    /** The rated voltage of the coils behind it, empty if there is none. */
    String voltage(Assembly assembly) {
        return coil.map(one -> assembly.parts()
                        .get(one.part())
                        .loads()
                        .get(one.load())
                        .rated()
                        .toString())
                .orElse("");
    }

    boolean has(ControlGraph.Edge edge) {
        return front.contains(edge) || behind.contains(edge);
    }

    /** The contact that stands for all of them where the program reads them. */
    ControlGraph.Edge first() {
        return front.isEmpty() ? behind.get(0) : front.get(0);
    }
}
