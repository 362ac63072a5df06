package parable.scenario;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Meter;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.network.NodeState;
import parable.parts.Assembly;
import parable.parts.Family;

/** Something a script expects of an instant. */
public sealed interface Expectation {

    /** The expectation as the script writes it. */
    String text();

    /** Why this cannot be asked of a sheet at all, empty if it can. */
    Optional<String> nonsenseOn(Assembly assembly);

    /** What is found instead, empty if the expectation is met. The sheet must be one it can be asked of. */
    Optional<String> missedAt(Moment moment);

    /** What was found instead up to now, empty if the expectation is met. The sheet must be one it can be asked of. */
    default Optional<String> missedBy(Bench bench) {
        return missedAt(bench.moment());
    }

    /** That a device is in a condition: {@code K1 in}. */
    record DeviceIs(String tag, Condition condition) implements Expectation {
        @Override
        public String text() {
            return tag + " " + condition.word();
        }

        @Override
        public Optional<String> nonsenseOn(Assembly assembly) {
            if (assembly.part(tag).isEmpty()) {
                return Optional.of("the sheet has no device " + tag);
            }
            Family family = assembly.part(tag).get().family();
            return condition.fits(family)
                    ? Optional.empty()
                    : Optional.of("found '" + text() + "', expected of a " + family.words() + " one of "
                            + Condition.of(family).stream().map(Condition::word).collect(Collectors.joining(", ")));
        }

        @Override
        public Optional<String> missedAt(Moment moment) {
            Condition found = moment.condition(tag);
            return found == condition ? Optional.empty() : Optional.of(tag + " is " + found.word());
        }
    }

    /** That a wire is in a state: {@code wire 6 live}. */
    record WireIs(String number, NodeState state) implements Expectation {
        @Override
        public String text() {
            return "wire " + number + " " + state.words();
        }

        @Override
        public Optional<String> nonsenseOn(Assembly assembly) {
            return unknown(assembly, number);
        }

        @Override
        public Optional<String> missedAt(Moment moment) {
            NodeState found = moment.node(number).orElseThrow();
            return found == state ? Optional.empty() : Optional.of("wire " + number + " is " + found.words());
        }
    }

    /** That a meter between two wires reads a voltage in a range: {@code volts 4 2 between 210 250}. */
    record VoltsBetween(String one, String other, double lowest, double highest) implements Expectation {
        @Override
        public String text() {
            return "volts " + one + " " + other + " between " + plain(lowest) + " " + plain(highest);
        }

        @Override
        public Optional<String> nonsenseOn(Assembly assembly) {
            return unknown(assembly, one).or(() -> unknown(assembly, other));
        }

        @Override
        public Optional<String> missedAt(Moment moment) {
            double volts = moment.voltage(one, other).orElseThrow().rms();
            return volts >= lowest && volts <= highest
                    ? Optional.empty()
                    : Optional.of(String.format(Locale.ROOT, "there are %.1f V", volts));
        }
    }

    /** That a clamp around the wire on a terminal reads a current in a range: {@code amperes M1:U1 between 4 5}. */
    record AmperesBetween(Terminal terminal, double lowest, double highest) implements Expectation {
        @Override
        public String text() {
            return "amperes " + terminal + " between " + plain(lowest) + " " + plain(highest);
        }

        @Override
        public Optional<String> nonsenseOn(Assembly assembly) {
            return assembly.part(terminal.tag())
                            .filter(part -> part.terminals().contains(terminal.marking()))
                            .isPresent()
                    ? Optional.empty()
                    : Optional.of("the sheet has no terminal " + terminal);
        }

        @Override
        public Optional<String> missedAt(Moment moment) {
            Meter.Display reading = moment.meter().read(Meter.Range.AMPERES, terminal.toString(), "");
            double amperes = reading.value().orElseThrow();
            return amperes >= lowest && amperes <= highest
                    ? Optional.empty()
                    : Optional.of(String.format(Locale.ROOT, "there are %.3f A", amperes));
        }
    }

    /** That there is no short circuit: {@code nothing shorted}. */
    record NothingShorted() implements Expectation {
        @Override
        public String text() {
            return "nothing shorted";
        }

        @Override
        public Optional<String> nonsenseOn(Assembly assembly) {
            return Optional.empty();
        }

        @Override
        public Optional<String> missedAt(Moment moment) {
            return moment.shorted() ? Optional.of("there is a short circuit") : Optional.empty();
        }
    }

    /** That there has been no short circuit from the beginning until then: {@code nothing was shorted}. */
    record NothingWasShorted() implements Expectation {
        @Override
        public String text() {
            return "nothing was shorted";
        }

        @Override
        public Optional<String> nonsenseOn(Assembly assembly) {
            return Optional.empty();
        }

        @Override
        public Optional<String> missedAt(Moment moment) {
            return moment.shorted() ? Optional.of("there is a short circuit") : Optional.empty();
        }

        @Override
        public Optional<String> missedBy(Bench bench) {
            for (long instant : bench.instants()) {
                if (bench.momentAt(instant).shorted()) {
                    return Optional.of(
                            String.format(Locale.ROOT, "there was a short circuit at %.1f ms", instant / 1000.0));
                }
            }
            return missedAt(bench.moment());
        }
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }

    private static Optional<String> unknown(Assembly assembly, String wireNumber) {
        return assembly.nodes().indexOf(wireNumber).isPresent()
                ? Optional.empty()
                : Optional.of("the sheet has no wire " + wireNumber);
    }
}
