package parable.plc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import parable.program.Logic;

/** Wires of a relay ladder that several coils hang on. */
final class SharedWires {

    private final ControlGraph graph;
    private final Function<ControlGraph.Edge, Optional<Logic>> reads;

    /**
     * Those of a ladder.
     *
     * @param reads what the program reads of a contact; empty for one that it does not read
     */
    SharedWires(ControlGraph graph, Function<ControlGraph.Edge, Optional<Logic>> reads) {
        this.graph = graph;
        this.reads = reads;
    }

    /**
     * A wire that several coils hang on becomes a bit of its own, if it takes more than two contacts to tell whether it is live. It is written just before
     * the first of them, so that of two that bar each other the second reads what the first was told in the same scan.
     *
     * @param read what is told something by the program
     * @return for what is told after it the node of the wire
     */
    Map<Translator.Fed, Integer> of(List<Translator.Fed> read) {
        Map<Integer, Integer> users = new LinkedHashMap<>();
        Map<Integer, Integer> feeds = new HashMap<>();
        for (Translator.Fed one : read) {
            for (int node : onTheWay(graph, one)) {
                users.merge(node, 1, Integer::sum);
                feeds.put(node, one.feed());
            }
        }
        Map<Translator.Fed, Integer> shared = new HashMap<>();
        for (Translator.Fed one : read) {
            onTheWay(graph, one).stream()
                    .filter(node -> users.get(node) > 1)
                    .filter(node -> graph.between(feeds.get(node), node, reads)
                            .filter(logic -> logic.operands().count() > 2)
                            .isPresent())
                    .reduce((first, later) -> later)
                    .ifPresent(node -> shared.put(one, node));
        }
        return shared;
    }

    /** The nodes from what feeds something to it, that at its own end last. */
    static List<Integer> onTheWay(ControlGraph graph, Translator.Fed one) {
        List<Integer> nodes =
                new ArrayList<>(graph.allThrough(one.feed(), one.consumer().from()));
        if (one.consumer().from() != one.feed()) {
            nodes.add(one.consumer().from());
        }
        return nodes;
    }
}
