package parable.network;

/**
 * One way from a node to another through a device. Two contacts in parallel are two branches.
 *
 * @param sort what it is
 * @param part the position of its device among the parts of the assembly, -1 for a jumper
 * @param index its position among the contacts, sources, loads or diodes of that part; for a jumper that among all branches
 * @param from the node on its first terminal
 * @param to the node on its second terminal
 */
public record Branch(Sort sort, int part, int index, int from, int to) {

    /** What a branch is. */
    public enum Sort {
        CONTACT,
        SOURCE,
        LOAD,
        /** A diode of a rectifier or of the output of a DC supply: lets current pass from its first node to its second only. */
        DIODE,
        /** Copper without a device in it: a bond to earth, or what is there by a defect; it always conducts. */
        JUMPER
    }

    /** The node at the other end. */
    int otherEnd(int node) {
        return node == from ? to : from;
    }
}
