package parable.network;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
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
    private final FedLoads loads;

    private WorstSag(Network network) {
        this.network = network;
        loads = new FedLoads(network);
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
                    double share = share(part, source);
                    shares.merge(new Terminal(part.tag(), source.live()), share, (one, other) -> one * other);
                }
            }
        }
        return new Defects(others.wiresOff(), others.jumpers(), shares);
    }

    /** What is left while the coil pulls in of which least is left. */
    private double share(Part part, Source source) {
        double watts = 0;
        double vars = 0;
        List<Load> coils = new ArrayList<>();
        for (FedLoads.Fed fed : loads.of(part, source)) {
            Load load = fed.load();
            watts += load.watts(load.rated().volts());
            vars += load.vars(load.rated().volts());
            if (fed.part().drive() instanceof Drive.ByCoil && load.rated().kind() == CurrentKind.AC) {
                coils.add(load);
            }
        }
        double least = source.share(watts, vars);
        for (Load coil : coils) {
            double volts = coil.rated().volts();
            least = Math.min(
                    least,
                    source.share(
                            watts - coil.watts(volts) + coil.openWatts(volts),
                            vars - coil.vars(volts) + coil.openVars(volts)));
        }
        return least;
    }
}
