package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import parable.circuit.Terminal;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/** What hangs on a source as a sheet is drawn, with every contact taken for closed. What is in series with another load does not count. */
public final class FedLoads {

    private final Network network;
    private final Solution copper;

    /**
     * A load that hangs on a source.
     *
     * @param part the device it is of
     * @param load the load
     */
    public record Fed(Part part, Load load) {}

    /** Those of a sheet. */
    public FedLoads(Network network) {
        this.network = network;
        BitSet all = new BitSet();
        all.set(0, network.contactCount());
        copper = network.solve(all, new BitSet());
    }

    /** What hangs on a source of a device, in the order of the sheet. */
    public List<Fed> of(Part part, Source source) {
        List<Fed> fed = new ArrayList<>();
        for (Part other : network.assembly().parts()) {
            for (Load load : other.loads()) {
                if (other != part && isAcross(other, load, part, source)) {
                    fed.add(new Fed(other, load));
                }
            }
        }
        return fed;
    }

    private boolean isAcross(Part fed, Load load, Part part, Source source) {
        Terminal from = new Terminal(fed.tag(), load.from());
        Terminal to = new Terminal(fed.tag(), load.to());
        Terminal live = new Terminal(part.tag(), source.live());
        Terminal back = new Terminal(part.tag(), source.reference());
        return areJoined(from, live) && areJoined(to, back) || areJoined(from, back) && areJoined(to, live);
    }

    private boolean areJoined(Terminal one, Terminal other) {
        return network.node(one)
                .flatMap(node -> network.node(other).filter(another -> copper.joined(node, another)))
                .isPresent();
    }
}
