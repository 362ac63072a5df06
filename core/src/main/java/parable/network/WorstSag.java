package parable.network;

import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;
import parable.circuit.Terminal;
import parable.parts.CurrentKind;
import parable.parts.Drive;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * What is left of the voltage of a sheet's transformers and DC supplies in the worst case: everything that can hang on them does, and the largest coil among it
 * is just pulling in. So a proof does not call certain what one that is too small does not bring about. Coils that pull in at the same instant take more, which is
 * left out, and so is what is in series with another load.
 */
public final class WorstSag {

    private final Network network;
    private final Solution copper;

    private WorstSag(Network network) {
        this.network = network;
        BitSet all = new BitSet();
        all.set(0, network.contactCount());
        copper = network.solve(all, new BitSet());
    }

    /**
     * Some defects with what transformers and supplies lose in the worst case beside them; the same where every source holds its voltage.
     *
     * @param network as it is drawn
     */
    public static Defects beside(Network network, Defects others) {
        boolean sags = network.assembly().parts().stream().anyMatch(Part::sags);
        return sags ? new WorstSag(network).lowered(others) : others;
    }

    private Defects lowered(Defects others) {
        Map<Terminal, Double> shares = new HashMap<>(others.shares());
        for (Part part : network.assembly().parts()) {
            for (Source source : part.sources()) {
                if (source.sags()) {
                    double share = source.share(voltAmperes(part, source));
                    shares.merge(new Terminal(part.tag(), source.live()), share, (one, other) -> one * other);
                }
            }
        }
        return new Defects(others.wiresOff(), others.jumpers(), shares);
    }

    private double voltAmperes(Part part, Source source) {
        double sum = 0;
        double most = 0;
        for (Part fed : network.assembly().parts()) {
            for (Load load : fed.loads()) {
                if (fed != part && isAcross(fed, load, part, source)) {
                    double square = load.rated().volts() * load.rated().volts();
                    double steady = square / Math.hypot(load.ohms(), load.reactance());
                    boolean coil =
                            fed.drive() instanceof Drive.ByCoil && load.rated().kind() == CurrentKind.AC;
                    sum += steady;
                    most = Math.max(most, coil ? square / load.openOhms() - steady : 0);
                }
            }
        }
        return sum + most;
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
