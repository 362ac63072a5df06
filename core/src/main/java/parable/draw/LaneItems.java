package parable.draw;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** The items that take part in the layout of one diagram, each made when it is first asked for. */
final class LaneItems {

    private final Map<Integer, LaneItem> nodes = new HashMap<>();
    private final Map<Object, LaneItem> groups = new HashMap<>();
    private int count;

    /** The item of a node. */
    LaneItem node(int node) {
        LaneItem known = nodes.get(node);
        if (known == null) {
            known = LaneItem.ofNode(count++, node);
            nodes.put(node, known);
        }
        return known;
    }

    /** The item of a node, empty if none was made. */
    Optional<LaneItem> knownNode(int node) {
        return Optional.ofNullable(nodes.get(node));
    }

    /** The item of the devices of one group, which are in line wherever they are. */
    LaneItem group(Object group) {
        return groups.computeIfAbsent(group, any -> LaneItem.ofDevice(count++, true));
    }

    /** The item of a device that is in line with no other. */
    LaneItem alone() {
        return LaneItem.ofDevice(count++, false);
    }

    /** How many were made. */
    int count() {
        return count;
    }
}
