package parable.bench;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.network.NodeState;
import parable.network.Potential;
import parable.network.Solution;

/**
 * A multimeter with two probes, each on a terminal such as {@code K1:13} or on a wire number, and a clamp. What it shows follows from
 * the solved network; no reading is made up.
 */
public final class Meter {

    /** Above this, in V, an ohmmeter would be damaged; a stray voltage of less does it no harm. */
    private static final double LIVE = 5;

    /** A meter takes this for no resistance, in ohms. */
    private static final double CONTINUITY = 0.5;

    private final Network network;
    private final Solution solution;
    private final InducedVoltages induced;
    private final Supplier<TerminalCurrents> workedOut;
    private Optional<TerminalCurrents> currents = Optional.empty();

    /** What the meter is set to. */
    public enum Range {
        VOLTS_AC("V AC"),
        VOLTS_DC("V DC"),
        OHMS("\u03a9"),
        /** A clamp around the wire on the terminal of the red probe. */
        AMPERES("A");

        private final String words;

        Range(String words) {
            this.words = words;
        }

        /** What stands beside the knob. */
        public String words() {
            return words;
        }
    }

    /**
     * What the meter shows.
     *
     * @param text the display, or the reason why it shows nothing
     * @param value the number in V or ohms; empty if there is none
     */
    public record Display(String text, Optional<Double> value) {}

    Meter(Solution solution, InducedVoltages induced, Supplier<TerminalCurrents> currents) {
        this.network = solution.network();
        this.solution = solution;
        this.induced = induced;
        this.workedOut = currents;
    }

    private Optional<Integer> node(String place) {
        return ProbePoint.read(place).terminal().map(network::node).orElseGet(() -> network.node(place));
    }

    /** What the meter shows with its probes on these places. */
    public Display read(Range range, String red, String black) {
        if (range == Range.AMPERES) {
            return amperes(red);
        }
        Optional<Integer> one = node(red);
        Optional<Integer> other = node(black);
        if (one.isEmpty() || other.isEmpty()) {
            String missing = one.isEmpty() ? red : black;
            return refused(missing.isBlank() ? "put both probes down" : "the sheet has no wire or terminal " + missing);
        }
        Potential volts = induced.voltage(other.get(), one.get());
        return switch (range) {
            case VOLTS_AC -> shown(volts.alternating(), "V");
            case VOLTS_DC -> shown(volts.direct(), "V");
            case OHMS -> ohms(one.get(), other.get());
            case AMPERES -> throw new IllegalStateException("a clamp has one place, not two");
        };
    }

    private Display amperes(String place) {
        Optional<Terminal> terminal = ProbePoint.read(place).terminal();
        if (terminal.isEmpty()) {
            return refused("the clamp goes around one wire: put the red probe on a terminal such as K1:2");
        }
        return currents()
                .amperesAt(terminal.get())
                .map(amperes -> new Display(
                        String.format(Locale.ROOT, amperes < 1 ? "%.3f A" : "%.1f A", amperes), Optional.of(amperes)))
                .orElseGet(() -> refused("the sheet has no terminal " + place));
    }

    private synchronized TerminalCurrents currents() {
        if (currents.isEmpty()) {
            currents = Optional.of(workedOut.get());
        }
        return currents.get();
    }

    private Display ohms(int one, int other) {
        if (isLive(one) || isLive(other) || induced.withoutStray(other, one).rms() > LIVE) {
            return refused("refused: the circuit is live; ohms only when it is proved dead");
        }
        double ohms = solution.resistance(one, other);
        if (Double.isInfinite(ohms)) {
            return new Display("open", Optional.of(ohms));
        }
        return ohms < CONTINUITY ? new Display("0.0 \u03a9, joined", Optional.of(0.0)) : shown(ohms, "\u03a9");
    }

    private boolean isLive(int node) {
        NodeState state = solution.state(node);
        return state == NodeState.LIVE || state == NodeState.LIVE_THROUGH_LOAD || state == NodeState.SHORTED;
    }

    private static Display refused(String why) {
        return new Display(why, Optional.empty());
    }

    private static Display shown(double value, String unit) {
        double rounded = Math.abs(value) < 0.05 ? 0 : value;
        return new Display(String.format(Locale.ROOT, "%.1f %s", rounded, unit), Optional.of(value));
    }
}
