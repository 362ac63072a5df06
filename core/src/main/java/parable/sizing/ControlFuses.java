package parable.sizing;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.stream.Stream;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;

/** The fuses right before and right behind a control transformer. */
final class ControlFuses {

    private ControlFuses() {}

    /**
     * A fuse at a transformer.
     *
     * @param part the fuse
     * @param primary whether it is before it
     */
    record TransformerFuse(Part part, boolean primary) {}

    static List<TransformerFuse> of(Assembly assembly, Part transformer) {
        Network network = Network.of(assembly);
        Solution wires = network.solve(new BitSet(), new BitSet());
        Load input = transformer.loads().get(0);
        String live = transformer.sources().get(0).live();
        List<TransformerFuse> found = new ArrayList<>();
        for (Part fuse : assembly.parts()) {
            if (fuse.family() == Family.FUSE) {
                if (isAt(network, wires, fuse, new Terminal(transformer.tag(), input.from()))
                        || isAt(network, wires, fuse, new Terminal(transformer.tag(), input.to()))) {
                    found.add(new TransformerFuse(fuse, true));
                } else if (isAt(network, wires, fuse, new Terminal(transformer.tag(), live))) {
                    found.add(new TransformerFuse(fuse, false));
                }
            }
        }
        return found;
    }

    private static boolean isAt(Network network, Solution wires, Part fuse, Terminal terminal) {
        return Stream.of("1", "2")
                .flatMap(side -> network.node(new Terminal(fuse.tag(), side)).stream())
                .anyMatch(side -> network.node(terminal)
                        .filter(node -> wires.joined(node, side))
                        .isPresent());
    }
}
