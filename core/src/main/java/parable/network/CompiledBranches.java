package parable.network;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.circuit.Terminal;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * The branches of a network as plain arrays for the solver. Voltages in V, admittances in S.
 *
 * @param contactFrom first node of each contact
 * @param contactTo second node of each contact
 * @param sourceFrom reference node of each source
 * @param sourceTo live node of each source
 * @param sourceShare for each source the share of its voltage that it gives, 1 if it is sound
 * @param sourceValue for each source its real, imaginary and DC voltage
 * @param following for each source how it follows an input of its device, empty if it does not
 * @param followed for each source the number of the load that it follows, -1 if none
 * @param tiedTo for each source the node of an input to which the diodes of a rectifier tie its reference, -1 if none do
 * @param loadFrom first node of each load
 * @param loadTo second node of each load
 * @param loadAdmittance for each load its AC conductance, its AC susceptance, its DC conductance, and what an ohmmeter finds of it
 * @param diodeFrom the node at the anode of each diode
 * @param diodeTo the node at its cathode
 * @param diodeSource the source that each diode belongs to
 * @param jumperFrom first node of each jumper
 * @param jumperTo second node of each jumper
 * @param jumperClusters for each node the cluster that jumpers alone make of it
 */
record CompiledBranches(
        int[] contactFrom,
        int[] contactTo,
        int[] sourceFrom,
        int[] sourceTo,
        double[] sourceShare,
        double[][] sourceValue,
        List<Optional<Source.Following>> following,
        int[] followed,
        int[] tiedTo,
        int[] loadFrom,
        int[] loadTo,
        double[][] loadAdmittance,
        int[] diodeFrom,
        int[] diodeTo,
        int[] diodeSource,
        int[] jumperFrom,
        int[] jumperTo,
        int[] jumperClusters) {

    static CompiledBranches of(Network network) {
        List<Branch> contacts = sorted(network, Branch.Sort.CONTACT);
        List<Branch> sources = sorted(network, Branch.Sort.SOURCE);
        List<Branch> loads = sorted(network, Branch.Sort.LOAD);
        List<Branch> diodes = sorted(network, Branch.Sort.DIODE);
        List<Branch> jumpers = sorted(network, Branch.Sort.JUMPER);
        List<Part> parts = network.assembly().parts();
        List<Source> sourceParts = parts(sources, parts);
        double[] shares = shares(sources, network);
        return new CompiledBranches(
                from(contacts),
                to(contacts),
                from(sources),
                to(sources),
                shares,
                values(sourceParts, shares),
                sourceParts.stream().map(Source::following).toList(),
                sources.stream()
                        .mapToInt(branch -> parts.get(branch.part())
                                .sources()
                                .get(branch.index())
                                .following()
                                .map(following -> network.load(branch.part(), following.load()))
                                .orElse(-1))
                        .toArray(),
                sources.stream()
                        .mapToInt(branch -> tiedTo(
                                network,
                                branch,
                                parts.get(branch.part()).sources().get(branch.index())))
                        .toArray(),
                from(loads),
                to(loads),
                loads.stream()
                        .map(branch ->
                                admittance(parts.get(branch.part()).loads().get(branch.index())))
                        .toArray(double[][]::new),
                from(diodes),
                to(diodes),
                diodes.stream()
                        .mapToInt(branch -> network.source(branch.part(), 0))
                        .toArray(),
                from(jumpers),
                to(jumpers),
                Clusters.ofJumpers(network.nodeCount(), from(jumpers), to(jumpers)));
    }

    /** The same branches with the shares of their voltages that the sources of a network give. */
    CompiledBranches giving(Network network) {
        List<Branch> sources = sorted(network, Branch.Sort.SOURCE);
        double[] shares = shares(sources, network);
        return new CompiledBranches(
                contactFrom,
                contactTo,
                sourceFrom,
                sourceTo,
                shares,
                values(parts(sources, network.assembly().parts()), shares),
                following,
                followed,
                tiedTo,
                loadFrom,
                loadTo,
                loadAdmittance,
                diodeFrom,
                diodeTo,
                diodeSource,
                jumperFrom,
                jumperTo,
                jumperClusters);
    }

    private static List<Source> parts(List<Branch> sources, List<Part> parts) {
        return sources.stream()
                .map(branch -> parts.get(branch.part()).sources().get(branch.index()))
                .toList();
    }

    private static double[] shares(List<Branch> sources, Network network) {
        return sources.stream()
                .mapToDouble(branch -> {
                    Part part = network.assembly().parts().get(branch.part());
                    String live = part.sources().get(branch.index()).live();
                    return network.defects().shares().getOrDefault(new Terminal(part.tag(), live), 1.0);
                })
                .toArray();
    }

    private static double[][] values(List<Source> sources, double[] shares) {
        return IntStream.range(0, shares.length)
                .mapToObj(i -> value(sources.get(i), shares[i]))
                .toArray(double[][]::new);
    }

    /** The node of the first terminal of the input that a rectifier's output is tied to through its diodes; -1 if it is no rectifier. */
    private static int tiedTo(Network network, Branch branch, Source source) {
        return source.following()
                .filter(following -> following.law() == Source.Law.RECTIFIED)
                .map(following -> network.loadBranch(network.load(branch.part(), following.load()))
                        .from())
                .orElse(-1);
    }

    private static List<Branch> sorted(Network network, Branch.Sort sort) {
        List<Branch> all = network.branches();
        int begin = 0;
        while (begin < all.size() && all.get(begin).sort() != sort) {
            begin++;
        }
        int end = begin;
        while (end < all.size() && all.get(end).sort() == sort) {
            end++;
        }
        return all.subList(begin, end);
    }

    private static int[] from(List<Branch> branches) {
        return branches.stream().mapToInt(Branch::from).toArray();
    }

    private static int[] to(List<Branch> branches) {
        return branches.stream().mapToInt(Branch::to).toArray();
    }

    private static double[] value(Source source, double share) {
        double volts = share * source.rated().volts();
        double angle = Math.toRadians(source.degrees());
        return switch (source.rated().kind()) {
            case AC -> new double[] {volts * Math.cos(angle), volts * Math.sin(angle), 0};
            case DC -> new double[] {0, 0, volts};
        };
    }

    private static double[] admittance(Load load) {
        double square = load.ohms() * load.ohms() + load.reactance() * load.reactance();
        return new double[] {
            load.ohms() / square, -load.reactance() / square, 1 / load.directOhms(), 1 / load.meterOhms()
        };
    }
}
