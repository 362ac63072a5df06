package parable.bench;

import java.util.HashMap;
import java.util.Map;
import java.util.function.IntPredicate;
import parable.circuit.Terminal;
import parable.network.Branch;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.CurrentKind;
import parable.parts.Drive;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * How far the voltage of a transformer sags under what it feeds, and that of a DC supply that is asked for more than it gives. A coil with its armature open takes many times
 * what it takes later: too small a transformer does not pull a large contactor in. What is in series with another load does not count.
 */
final class Sagging {

    /** A voltage is one of so many steps, so that a circuit comes back to the same. */
    private static final double STEPS = 200;

    private final Network network;
    private final Solution unloaded;
    private final Solution copper;
    private final IntPredicate home;

    /**
     * What a solution without sagging says.
     *
     * @param copper what the same contacts join with every source off
     * @param home whether the armature of a part, by its number, is home
     */
    Sagging(Network network, Solution unloaded, Solution copper, IntPredicate home) {
        this.network = network;
        this.unloaded = unloaded;
        this.copper = copper;
        this.home = home;
    }

    /** The share of its voltage that each source still gives that gives less than all of it, by its live terminal. */
    Map<Terminal, Double> shares() {
        Map<Terminal, Double> shares = new HashMap<>();
        for (Part part : network.assembly().parts()) {
            for (Source source : part.sources()) {
                double share = source.sags() ? Math.round(STEPS * source.share(voltAmperes(part, source))) / STEPS : 1;
                if (share < 1) {
                    shares.put(new Terminal(part.tag(), source.live()), share);
                }
            }
        }
        return shares;
    }

    /** What would flow at full voltage, in VA. */
    private double voltAmperes(Part part, Source source) {
        int live = network.node(new Terminal(part.tag(), source.live())).orElse(-1);
        int back = network.node(new Terminal(part.tag(), source.reference())).orElse(-1);
        if (live < 0 || back < 0) {
            return 0;
        }
        double sum = 0;
        for (int p = 0; p < network.assembly().parts().size(); p++) {
            Part fed = network.assembly().parts().get(p);
            for (int l = 0; l < fed.loads().size(); l++) {
                int load = network.load(p, l);
                Branch branch = network.loadBranch(load);
                boolean across = joined(branch.from(), live) && joined(branch.to(), back)
                        || joined(branch.from(), back) && joined(branch.to(), live);
                if (across && fed != part) {
                    double volts = unloaded.loadVoltage(load).rms();
                    sum += volts * volts / ohms(fed, fed.loads().get(l), p);
                }
            }
        }
        return sum;
    }

    private boolean joined(int one, int other) {
        return one == other || copper.joined(one, other);
    }

    private double ohms(Part part, Load load, int index) {
        boolean open =
                part.drive() instanceof Drive.ByCoil && load.rated().kind() == CurrentKind.AC && !home.test(index);
        return open ? load.openOhms() : Math.hypot(load.ohms(), load.reactance());
    }
}
