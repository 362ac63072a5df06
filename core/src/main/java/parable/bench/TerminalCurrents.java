package parable.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import parable.circuit.Terminal;
import parable.network.ContactCurrents;
import parable.network.Current;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.Load;
import parable.parts.MotorModel;
import parable.parts.Part;
import parable.parts.Source;

/**
 * The currents in the wires at an instant. A motor takes what it takes at its speed; the input of a transformer, DC supply
 * or rectifier takes the power of its output, and a twentieth of its rated current besides.
 */
final class TerminalCurrents {

    private static final double WITHOUT_LOAD = 0.05;
    private static final double NO_CURRENT = 1e-9;

    private final Rig rig;
    private final Network network;
    private final Solution solution;
    private final double[] weights;
    private ContactCurrents currents;

    /**
     * Currents under a solution.
     *
     * @param motorAmperes for each part the current of the winding of its motor that carries most, in A
     */
    TerminalCurrents(Rig rig, Solution solution, IntToDoubleFunction motorAmperes) {
        this.rig = rig;
        this.network = solution.network();
        this.solution = solution;
        weights = new double[network.loadCount()];
        Arrays.fill(weights, 1);
        int converters = 0;
        for (int p = 0; p < rig.parts.size(); p++) {
            if (rig.parts.get(p).machine().isPresent()) {
                weighMotor(p, motorAmperes.applyAsDouble(p));
            }
            converters += (int) rig.parts.get(p).sources().stream()
                    .filter(source -> source.following().isPresent())
                    .count();
        }
        currents = ContactCurrents.of(solution, load -> weights[load]);
        for (int round = 0; round < converters; round++) {
            weighConverters();
            currents = ContactCurrents.of(solution, load -> weights[load]);
        }
    }

    private void weighMotor(int part, double amperes) {
        int first = network.load(part, 0);
        int windings = rig.parts.get(part).loads().size();
        MotorModel model = rig.parts.get(part).machine().orElseThrow().motor();
        double strongest = 0;
        for (int winding = 0; winding < windings; winding++) {
            if (model.carriesWhileRunning(winding)) {
                strongest = Math.max(
                        strongest, solution.loadCurrent(first + winding).rms());
            }
        }
        for (int winding = 0; winding < windings; winding++) {
            boolean carries = strongest >= NO_CURRENT && model.carriesWhileRunning(winding);
            weights[first + winding] = carries ? amperes / strongest : 0;
        }
    }

    private void weighConverters() {
        for (int p = 0; p < rig.parts.size(); p++) {
            for (Source source : rig.parts.get(p).sources()) {
                if (source.following().isPresent()) {
                    weighConverter(p, source, source.following().get());
                }
            }
        }
    }

    private void weighConverter(int part, Source source, Source.Following following) {
        Load input = rig.parts.get(part).loads().get(following.load());
        int load = network.load(part, following.load());
        double rated = input.rated().volts() / Math.hypot(input.ohms(), input.reactance());
        double share = solution.loadVoltage(load).rms() / input.rated().volts();
        double asRated = solution.loadCurrent(load).rms();
        if (asRated < NO_CURRENT) {
            return;
        }
        double output = at(part, source.live()).rms();
        double passedOn = output * source.rated().volts() / input.rated().volts();
        weights[load] = (passedOn + WITHOUT_LOAD * rated * share) / asRated;
    }

    /** The current in A of the wire on a terminal, AC and DC together; empty if the terminal does not exist. */
    Optional<Double> amperesAt(Terminal terminal) {
        return network.assembly()
                .indexOf(terminal.tag())
                .filter(part -> rig.parts.get(part).terminals().contains(terminal.marking()))
                .map(part -> at(part, terminal.marking()).rms());
    }

    /** The current that enters a device at one of its terminals. */
    private Current at(int index, String marking) {
        Part part = rig.parts.get(index);
        if (part.sources().stream()
                .anyMatch(source ->
                        source.live().equals(marking) || source.reference().equals(marking))) {
            return fromSourceAt(network.node(new Terminal(part.tag(), marking)).orElseThrow());
        }
        double[] sum = new double[3];
        List<Contact> contacts = part.contacts();
        for (int c = 0; c < contacts.size(); c++) {
            Current through = currents.through(network.contact(index, c));
            add(sum, through, sign(contacts.get(c).from(), contacts.get(c).to(), marking), 1);
        }
        for (int l = 0; l < part.loads().size(); l++) {
            int load = network.load(index, l);
            int sign = sign(part.loads().get(l).from(), part.loads().get(l).to(), marking);
            add(sum, solution.loadCurrent(load), sign, weights[load]);
        }
        return new Current(sum[0], sum[1], sum[2]);
    }

    private static int sign(String from, String to, String marking) {
        return from.equals(marking) ? 1 : to.equals(marking) ? -1 : 0;
    }

    /** What a source gives to its node: all that leaves the node by copper or through loads. */
    private Current fromSourceAt(int node) {
        Current copper = currents.outOf(node);
        double[] sum = {copper.real(), copper.imaginary(), copper.direct()};
        for (int load = 0; load < network.loadCount(); load++) {
            int from = network.loadBranch(load).from();
            int to = network.loadBranch(load).to();
            add(sum, solution.loadCurrent(load), (from == node ? 1 : 0) - (to == node ? 1 : 0), weights[load]);
        }
        return new Current(sum[0], sum[1], sum[2]);
    }

    private static void add(double[] sum, Current current, int sign, double weight) {
        sum[0] += sign * weight * current.real();
        sum[1] += sign * weight * current.imaginary();
        sum[2] += sign * weight * current.direct();
    }
}
