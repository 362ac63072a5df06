package parable.testsheet;

import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import parable.circuit.Practice;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Nameplate;
import parable.parts.Part;
import parable.parts.Source;
import parable.parts.TripCurve;
import parable.wiring.Wire;
import parable.wiring.WireList;

/**
 * How large the impedance of the loop may be at the incoming line, so that an earth fault at any motor opens what is before that motor in time: two thirds of the
 * voltage to earth over the current that does it, less the line and the protective conductor to the motor. At once is the upper end of the band of a breaker (5, 10, 20
 * times for B, C, D, IEC 60898-1, table 7; 14 times the setting of a motor-protective breaker, IEC 60947-4-1 practice); a fuse has 0.4 s up to 32 A and 5 s above
 * (IEC 60364-4-41, table 41.1).
 */
final class FaultLoop {

    private static final double SHARE_OF_COLD = 2.0 / 3;
    private static final double OF_A_SETTING = 14;
    /** From the middle of a fuse's band, which its curve is, to the upper end; practice, the standard gives gates only. */
    private static final double TO_END_OF_BAND = 1.2;

    private static final double FINAL_CIRCUIT = 32;

    /** What must open, and the impedance in ohms up to which it does. */
    private record Limit(Part opens, double amperes, double ohms) {}

    private final Assembly assembly;
    private final List<Wire> wires;
    private final Network network;

    FaultLoop(Assembly assembly, Practice practice) {
        this.assembly = assembly;
        wires = WireList.of(assembly, practice).wires();
        network = Network.of(assembly);
    }

    /** The step for it; empty without an earthed supply, a protective conductor or a motor behind a breaker or fuse. */
    Optional<Observation.Loop> step() {
        Optional<String> earth = assembly.nodes().all().stream()
                .filter(node ->
                        node.terminals().stream().anyMatch(end -> end.marking().equals("PE")))
                .map(node -> node.number())
                .findFirst();
        for (Part supply : assembly.parts()) {
            for (Source source : supply.family() == Family.SUPPLY ? supply.sources() : List.<Source>of()) {
                boolean line = source.grounded() && source.rated().kind() == CurrentKind.AC;
                Optional<Limit> tightest = line
                        ? tightest(source.rated().volts(), new Terminal(supply.tag(), source.live()))
                        : Optional.empty();
                if (earth.isPresent() && tightest.isPresent()) {
                    Limit limit = tightest.get();
                    String opens = limit.opens().tag() + " opens in time at "
                            + Nameplate.figure(Math.ceil(limit.amperes())) + " A";
                    return Optional.of(new Observation.Loop(
                            Steps.at(supply, source.live()), earth.get(), opens, Math.max(0, limit.ohms())));
                }
            }
        }
        return Optional.empty();
    }

    private Optional<Limit> tightest(double volts, Terminal line) {
        return assembly.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .flatMap(motor -> limit(motor, volts, line).stream())
                .min(Comparator.comparingDouble(Limit::ohms));
    }

    /** Of several before a motor the one that opens first decides. */
    private Optional<Limit> limit(Part motor, double volts, Terminal line) {
        Optional<String> lead = motor.loads().stream()
                .filter(load -> load.role() == LoadRole.WINDING)
                .map(Load::from)
                .filter(marking -> network.node(new Terminal(motor.tag(), marking))
                        .filter(node -> isFed(node, line, any -> true))
                        .isPresent())
                .findFirst();
        if (lead.isEmpty() || network.node(line).isEmpty()) {
            return Optional.empty();
        }
        int node = network.node(new Terminal(motor.tag(), lead.get())).orElseThrow();
        double way = ohms(new Terminal(motor.tag(), lead.get()))
                + motor.bare().stream()
                        .mapToDouble(marking -> ohms(new Terminal(motor.tag(), marking)))
                        .sum();
        return assembly.parts().stream()
                .filter(part -> part.protection().isPresent())
                .filter(part -> !isFed(node, line, other -> !other.equals(part)))
                .map(part -> new Limit(part, opensAt(part), SHARE_OF_COLD * volts / opensAt(part) - way))
                .max(Comparator.comparingDouble(Limit::ohms));
    }

    /** Whether a node is joined to the line through all contacts of those parts that pass. */
    private boolean isFed(int node, Terminal line, Predicate<Part> passes) {
        BitSet closed = new BitSet();
        for (int p = 0; p < assembly.parts().size(); p++) {
            Part part = assembly.parts().get(p);
            for (int c = 0; c < part.contacts().size(); c++) {
                closed.set(
                        network.contact(p, c),
                        passes.test(part) && part.contacts().get(c).pole());
            }
        }
        Solution joints = network.solve(closed, new BitSet());
        return network.node(line).filter(live -> joints.joined(node, live)).isPresent();
    }

    /** The current in A at which it opens in time, at the upper end of its band. */
    private static double opensAt(Part part) {
        double rated = part.protection().orElseThrow().amperes();
        Optional<TripCurve> curve = part.protection().orElseThrow().curve();
        if (curve.isEmpty()) {
            return OF_A_SETTING * part.heater().map(heater -> heater.setting()).orElse(rated);
        }
        double seconds = rated > FINAL_CIRCUIT ? 5 : 0.4;
        return switch (curve.get()) {
            case B -> 5 * rated;
            case C -> 10 * rated;
            case D -> 20 * rated;
            case GG, AM -> rated * TO_END_OF_BAND * multipleFor(curve.get(), seconds);
        };
    }

    private static double multipleFor(TripCurve curve, double seconds) {
        double multiple = 1;
        while (curve.secondsAt(multiple) > seconds) {
            multiple += 0.1;
        }
        return multiple;
    }

    /** The resistance of the wire that comes to a terminal, in ohms. */
    private double ohms(Terminal terminal) {
        return wires.stream()
                .filter(wire -> wire.from().equals(terminal) || wire.to().equals(terminal))
                .mapToDouble(wire -> {
                    OptionalDouble square = wire.conductor().squareMillimetres();
                    return square.isPresent() ? DeadSteps.COPPER * wire.metres() / square.getAsDouble() : 0;
                })
                .max()
                .orElse(0);
    }
}
