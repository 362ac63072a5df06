package parable.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import parable.circuit.Terminal;
import parable.network.NodeState;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Excitation;
import parable.parts.Load;

/**
 * What is found on a line that is open while its motor turns on the two others: the motor makes up most of the missing voltage, so that a meter shows nearly a sound
 * supply. With a system along the sense of rotation and one against it in series (impedances Z1 and Z2) the open terminal is at the middle of the other two
 * and one and a half times D (Z1 - Z2) / (Z1 + Z2) beside it, where D is the voltage between those two over root 3, a quarter turn ahead. And on the leads of a motor
 * that has just been switched off: its field dies away over tenths of a second, and so does the voltage that it makes. And on a wire that is joined to nothing what strays
 * over from live ones.
 */
final class InducedVoltages {

    /** In per unit; a motor that turns slower makes no voltage. */
    private static final double TURNS = 0.02;

    private static final Potential NONE = new Potential(0, 0, 0);

    private final Solution solution;
    private final StrayVoltages stray;
    private final Map<Integer, Potential> open = new HashMap<>();

    /**
     * Those of an instant.
     *
     * @param speedOf for each part the speed of its motor, in per unit
     */
    InducedVoltages(Rig rig, Solution solution, PhysicalState physical, long time, IntToDoubleFunction speedOf) {
        this.solution = solution;
        stray = new StrayVoltages(solution);
        Excitation[] excitations = physical.excitations;
        for (int part = 0; part < rig.parts.size(); part++) {
            if (rig.parts.get(part).machine().isPresent()) {
                double speed = speedOf.applyAsDouble(part);
                Optional<double[]> ratio = excitations[part].openLine(speed);
                FieldSurge surge = physical.surges[part];
                double fieldTime = rig.parts.get(part).machine().get().fieldTime();
                double left = excitations[part].field().isPresent() ? 0 : surge.voltageLeft(time, fieldTime);
                if (left > 0 && Math.abs(speed) > TURNS) {
                    noteField(rig, part, left * windingVolts(rig, part), speed);
                }
                if (ratio.isPresent()) {
                    int motor = part;
                    rig.openLine(part, solution).ifPresent(line -> note(rig, motor, line, ratio.get(), speed));
                }
            }
        }
    }

    private static double windingVolts(Rig rig, int part) {
        return rig.parts.get(part).loads().get(0).rated().volts();
    }

    /** The three leads of a motor that turns by itself, each a third of a turn behind the one before; of one with six leads none. */
    private void noteField(Rig rig, int part, double volts, double speed) {
        List<String> lines = rig.parts.get(part).lineLeads();
        boolean three = !lines.isEmpty()
                && lines.stream().allMatch(line -> rig.network
                        .node(new Terminal(rig.parts.get(part).tag(), line))
                        .isPresent());
        boolean star = rig.parts.get(part).loads().stream().allMatch(Load::endsAtStarPoint);
        boolean free = three
                && lines.stream()
                        .map(line -> rig.node(part, line))
                        .allMatch(node -> solution.state(node) == NodeState.DEAD
                                && !solution.joined(node, solution.network().earth()));
        for (int line = 0; free && star && line < lines.size(); line++) {
            double angle = -Math.signum(speed) * 2 * Math.PI * line / 3;
            Potential there = new Potential(volts * Math.cos(angle), volts * Math.sin(angle), 0);
            int node = rig.node(part, lines.get(line));
            for (int other = 0; other < solution.network().nodeCount(); other++) {
                if (other == node || Rig.isOne(solution, other, node)) {
                    open.put(other, there);
                }
            }
        }
    }

    private void note(Rig rig, int part, String line, double[] ratio, double speed) {
        List<String> lines = rig.parts.get(part).lineLeads();
        int at = lines.indexOf(line);
        Potential next = potential(rig, part, lines.get((at + 1) % lines.size()));
        Potential last = potential(rig, part, lines.get((at + 2) % lines.size()));
        double sense = speed < 0 ? -1 : 1;
        double across = 1.5 * sense / Math.sqrt(3);
        double aheadReal = -across * (next.imaginary() - last.imaginary());
        double aheadImaginary = across * (next.real() - last.real());
        Potential there = new Potential(
                (next.real() + last.real()) / 2 + aheadReal * ratio[0] - aheadImaginary * ratio[1],
                (next.imaginary() + last.imaginary()) / 2 + aheadReal * ratio[1] + aheadImaginary * ratio[0],
                0);
        int node = rig.node(part, line);
        for (int other = 0; other < solution.network().nodeCount(); other++) {
            if (other == node || Rig.isOne(solution, other, node)) {
                open.put(other, there);
            }
        }
    }

    private Potential potential(Rig rig, int part, String marking) {
        return solution.potential(rig.node(part, marking));
    }

    /** The voltage of a node against another; none is left where one of them is on a short circuit, as for a load there. */
    Potential voltage(int from, int to) {
        return isShorted(from, to) ? NONE : potential(to).minus(potential(from));
    }

    private boolean isShorted(int from, int to) {
        return solution.state(from) == NodeState.SHORTED || solution.state(to) == NodeState.SHORTED;
    }

    /** As above, without what strays over from live wires, which does an ohmmeter no harm. */
    Potential withoutStray(int from, int to) {
        return isShorted(from, to) ? NONE : made(to).minus(made(from));
    }

    private Potential made(int node) {
        return open.getOrDefault(node, solution.potential(node));
    }

    private Potential potential(int node) {
        return open.containsKey(node) ? open.get(node) : stray.potential(node);
    }
}
