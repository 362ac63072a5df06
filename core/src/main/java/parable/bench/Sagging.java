package parable.bench;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Terminal;
import parable.network.Branch;
import parable.network.Copper;
import parable.network.Network;
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
    private final Copper copper;
    private final BitSet burnt;
    private final BitSet home;

    /**
     * That of a position.
     *
     * @param closed the contacts that are closed
     * @param burnt the loads that take nothing, by their numbers
     * @param home the parts whose armatures are home
     */
    Sagging(Network network, BitSet closed, BitSet burnt, BitSet home) {
        this.network = network;
        this.burnt = burnt;
        this.home = home;
        copper = network.copper(closed);
    }

    /** Whether anything that hangs on a part can weaken it: of a DC supply only if all there is for direct current takes more than it gives. */
    static boolean mayWeaken(Part part, List<Part> parts) {
        return part.sources().stream()
                .filter(Source::sags)
                .anyMatch(source ->
                        source.isSoft() || source.share(direct(source.rated().volts(), parts), 0) < 1);
    }

    private static double direct(double volts, List<Part> parts) {
        return parts.stream()
                .flatMap(part -> part.loads().stream())
                .filter(load -> load.rated().kind() == CurrentKind.DC)
                .mapToDouble(load -> volts * volts / load.ohms())
                .sum();
    }

    /** The share of its voltage that each source still gives that gives less than all of it, by its live terminal. */
    Map<Terminal, Double> shares() {
        Map<Terminal, Double> shares = new HashMap<>();
        for (Part part : network.assembly().parts()) {
            for (Source source : part.sources()) {
                double share = source.sags() ? Math.round(STEPS * share(part, source)) / STEPS : 1;
                if (share < 1) {
                    shares.put(new Terminal(part.tag(), source.live()), share);
                }
            }
        }
        return shares;
    }

    private double share(Part part, Source source) {
        int live = network.node(new Terminal(part.tag(), source.live())).orElse(-1);
        int back = network.node(new Terminal(part.tag(), source.reference())).orElse(-1);
        if (live < 0 || back < 0) {
            return 1;
        }
        double volts = source.rated().volts();
        double watts = 0;
        double vars = 0;
        for (int p = 0; p < network.assembly().parts().size(); p++) {
            Part fed = network.assembly().parts().get(p);
            for (int l = 0; l < fed.loads().size(); l++) {
                int load = network.load(p, l);
                Branch branch = network.loadBranch(load);
                boolean across = copper.joins(branch.from(), live) && copper.joins(branch.to(), back)
                        || copper.joins(branch.from(), back) && copper.joins(branch.to(), live);
                if (across && fed != part && !burnt.get(load)) {
                    Load taking = fed.loads().get(l);
                    boolean open = isOpen(fed, taking, p);
                    watts += open ? taking.openWatts(volts) : taking.watts(volts);
                    vars += open ? taking.openVars(volts) : taking.vars(volts);
                }
            }
        }
        return source.share(watts, vars);
    }

    private boolean isOpen(Part part, Load load, int index) {
        return part.drive() instanceof Drive.ByCoil && load.rated().kind() == CurrentKind.AC && !home.get(index);
    }
}
