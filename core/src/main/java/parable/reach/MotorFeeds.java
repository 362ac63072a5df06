package parable.reach;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.IntStream;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.CurrentKind;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** What voltages make of the motors of a circuit. */
final class MotorFeeds {

    /** The share of its rated voltage from which on a winding drives. */
    private static final double WORKS = 0.3;

    private static final int PHASES = 3;
    private static final double EVEN = 0.7;

    /** Where the armature of a DC motor begins. */
    private static final String ARMATURE = "A1";

    /** Below this product of two voltages in V² there is no rotating field to speak of. */
    private static final double LEAST_FIELD = 100;

    private final Network network;
    private final List<Part> parts;

    MotorFeeds(Network network, List<Part> parts) {
        this.network = network;
        this.parts = parts;
    }

    /** Whether a motor is fed on a winding; a brake's direct current does not drive, nor does the field of a DC motor by itself. */
    boolean isDriven(Solution solution, int motor) {
        List<Load> loads = parts.get(motor).loads();
        boolean directMotor = loads.stream().anyMatch(load -> load.rated().kind() == CurrentKind.DC);
        for (int l = 0; l < loads.size(); l++) {
            var voltage = solution.loadVoltage(network.load(motor, l));
            double drives = directMotor ? voltage.rms() : voltage.alternating();
            boolean turns = !directMotor || loads.get(l).from().equals(ARMATURE);
            if (loads.get(l).role() == LoadRole.WINDING
                    && turns
                    && drives > WORKS * loads.get(l).rated().volts()) {
                return true;
            }
        }
        return false;
    }

    /** Whether the order of the phases at a three-phase motor is the reverse one, or one winding of another motor is exchanged against the others. */
    boolean isReversed(Solution solution, int motor) {
        String tag = parts.get(motor).tag();
        List<String> leads = parts.get(motor).lineLeads();
        if (leads.isEmpty()) {
            return product(solution, motor) < 0;
        }
        Potential first = potential(solution, tag, leads.get(1)).minus(potential(solution, tag, leads.get(0)));
        Potential second = potential(solution, tag, leads.get(2)).minus(potential(solution, tag, leads.get(0)));
        boolean field = first.alternating() * second.alternating() > LEAST_FIELD;
        return field && first.real() * second.imaginary() - first.imaginary() * second.real() > 0;
    }

    /** What the voltages of a motor's windings make together: less than nothing if one of two is exchanged. */
    private double product(Solution solution, int motor) {
        List<Load> loads = parts.get(motor).loads();
        if (loads.size() < 2) {
            Potential only = solution.loadVoltage(network.load(motor, 0));
            return loads.get(0).rated().kind() == CurrentKind.DC ? only.direct() : 0;
        }
        Potential one = solution.loadVoltage(network.load(motor, 0));
        Potential other = solution.loadVoltage(network.load(motor, 1));
        return one.real() * other.real() + one.imaginary() * other.imaginary() + one.direct() * other.direct();
    }

    /** Whether the windings of a three-phase motor do not all get the same voltage, as with a phase missing. */
    boolean isUneven(Solution solution, int motor) {
        DoubleSummaryStatistics windings = IntStream.range(
                        0, parts.get(motor).loads().size())
                .filter(l -> parts.get(motor).loads().get(l).role() == LoadRole.WINDING)
                .mapToDouble(l -> solution.loadVoltage(network.load(motor, l)).alternating())
                .summaryStatistics();
        return windings.getCount() == PHASES && windings.getMin() < EVEN * windings.getMax();
    }

    /** Whether a motor that is no motor for direct voltage gets some on a winding. */
    boolean isBraked(Solution solution, int motor) {
        List<Load> loads = parts.get(motor).loads();
        return loads.stream().noneMatch(load -> load.rated().kind() == CurrentKind.DC)
                && IntStream.range(0, loads.size())
                        .anyMatch(l -> Math.abs(solution.loadVoltage(network.load(motor, l))
                                        .direct())
                                > Conductions.BRAKES);
    }

    /** Whether a terminal of a motor carries dangerous voltage. */
    boolean isLive(Solution solution, int motor) {
        return parts.get(motor).terminals().stream()
                .flatMap(marking -> network.node(new Terminal(parts.get(motor).tag(), marking)).stream())
                .anyMatch(node -> solution.potential(node).rms() > Conductions.EXTRA_LOW);
    }

    private Potential potential(Solution solution, String tag, String marking) {
        return solution.potential(network.node(new Terminal(tag, marking)).orElseThrow());
    }
}
