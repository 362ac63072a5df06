package parable.draw;

/** What takes part in a layout of lanes: a device takes a slot, a node does not. Made by {@link LaneItems}; no two are the same. */
final class LaneItem {

    private static final int NO_NODE = -1;

    private final int id;
    private final int node;
    private final boolean shared;

    private LaneItem(int id, int node, boolean shared) {
        this.id = id;
        this.node = node;
        this.shared = shared;
    }

    /** A node that more than one lane may use, by the number that it has in the diagram. */
    static LaneItem ofNode(int id, int node) {
        return new LaneItem(id, node, true);
    }

    /** A device; what of others is in line with it is the same item. */
    static LaneItem ofDevice(int id, boolean shared) {
        return new LaneItem(id, NO_NODE, shared);
    }

    /** Its position among all that were made for the diagram. */
    int id() {
        return id;
    }

    /** Whether it is a node, and no device. */
    boolean isNode() {
        return node != NO_NODE;
    }

    /** The number of the node; asked of nodes only. */
    int node() {
        return node;
    }

    /** Whether it may be on more than one lane. */
    boolean isShared() {
        return shared;
    }
}
