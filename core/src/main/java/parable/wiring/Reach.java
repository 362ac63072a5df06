package parable.wiring;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import parable.circuit.Terminal;
import parable.circuit.WireChoice;

/** Where wires lead to. */
final class Reach {

    private Reach() {}

    /** The terminals that wires join with one, itself included, the nearest first. */
    static Set<Terminal> of(Terminal first, List<WireChoice> wires) {
        Set<Terminal> reached = new LinkedHashSet<>(List.of(first));
        Deque<Terminal> waiting = new ArrayDeque<>(reached);
        while (!waiting.isEmpty()) {
            Terminal at = waiting.poll();
            for (WireChoice wire : wires) {
                if (wire.one().equals(at) && reached.add(wire.other())) {
                    waiting.add(wire.other());
                } else if (wire.other().equals(at) && reached.add(wire.one())) {
                    waiting.add(wire.one());
                }
            }
        }
        return reached;
    }
}
