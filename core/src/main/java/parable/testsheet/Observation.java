package parable.testsheet;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import parable.bench.Condition;
import parable.bench.Faults;
import parable.bench.Meter;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;

/** Something that is read or looked at once all has come to rest. */
public sealed interface Observation
        permits Observation.Ohms,
                Observation.Protective,
                Observation.Insulation,
                Observation.Loop,
                Observation.Residual,
                Observation.Volts,
                Observation.Amperes,
                Observation.Glance,
                Observation.After,
                Observation.Meanwhile,
                Observation.Dial,
                Observation.Wires,
                Glimpse,
                WiresAt {

    /** A meter shows less than this, in ohms, where it shows nothing. */
    double JOINED = 1;

    /** What lies just on the edge of a tolerance is within it, whatever the last digit of a sum. */
    double EDGE = 1e-9;

    /** The voltage in V that may be left on what can be touched. */
    double TOUCHABLE = 60;

    /** As it is said to whoever tests. */
    String words();

    /** What is found at an instant. */
    Found at(StepRehearsal.Rest rest);

    /** Whether what somebody wrote down is as good as what was expected. */
    boolean accepts(Found expected, String written);

    private static String place(String place) {
        return ProbePoint.read(place).words();
    }

    /**
     * The resistance between two terminals or wire numbers: below an ohm is joined, above a megohm open. A coil or a winding may have half or
     * twice of what is usual for its size: its own data, or its twin, say it better. Through lamps and electronics a meter shows anything above
     * ten kilohms, or open.
     */
    record Ohms(String red, String black) implements Observation {

        private static final double OPEN = 1e6;
        private static final double HARDLY_ANYTHING = 1e5;
        private static final double HIGH = 1e4;
        private static final double MAY_DIFFER = 2;
        private static final String ABOVE = "above 10 k\u03a9, or open";

        @Override
        public String words() {
            return "Ohms from " + place(red) + " to " + place(black);
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            Meter.Display reading = rest.meter().read(Meter.Range.OHMS, red, black);
            double ohms = reading.value().orElse(Double.NaN);
            if (Double.isNaN(ohms)) {
                return Found.words(reading.text());
            }
            if (Double.isInfinite(ohms)) {
                return new Found("open", Optional.of(ohms));
            }
            if (ohms >= HARDLY_ANYTHING) {
                return new Found(ABOVE, Optional.of(ohms));
            }
            return ohms < JOINED
                    ? new Found("0 \u03a9", Optional.of(0.0))
                    : new Found(
                            String.format(Locale.ROOT, ohms < 10 ? "%.1f \u03a9" : "%.0f \u03a9", ohms),
                            Optional.of(ohms));
        }

        @Override
        public boolean accepts(Found expected, String written) {
            boolean open = WrittenReading.isOpen(written);
            double value = expected.value().orElse(Double.NaN);
            if (value >= HARDLY_ANYTHING) {
                double least = Double.isInfinite(value) ? OPEN : HIGH;
                return open
                        || WrittenReading.isSame(expected, written)
                        || WrittenReading.atLeast(written).orElse(0) >= least;
            }
            OptionalDouble number = WrittenReading.number(written);
            double found = number.orElse(Double.NaN);
            return WrittenReading.isSame(expected, written)
                    || Math.abs(found - value) <= JOINED
                    || value >= JOINED && found >= value / MAY_DIFFER && found <= value * MAY_DIFFER;
        }
    }

    /**
     * The resistance of a protective conductor: at most what its length and cross-section make, with as much again and a tenth of an ohm for what it is
     * clamped with (IEC 60204-1, 18.2.2).
     *
     * @param made its length and size, in words
     * @param most in ohms
     */
    record Protective(String red, String black, String made, double most) implements Observation {

        @Override
        public String words() {
            return "Protective conductor from " + place(red) + " to " + place(black) + ", " + made;
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            double ohms =
                    rest.meter().read(Meter.Range.OHMS, red, black).value().orElse(Double.NaN);
            return ohms < JOINED
                    ? new Found(String.format(Locale.ROOT, "at most %.2f \u03a9", most), Optional.of(0.0))
                    : new Ohms(red, black).at(rest);
        }

        @Override
        public boolean accepts(Found expected, String written) {
            OptionalDouble number = WrittenReading.number(written);
            return WrittenReading.isSame(expected, written)
                    || number.isPresent() && number.getAsDouble() >= 0 && number.getAsDouble() <= most;
        }
    }

    /** The insulation of a motor and its cable against earth, by an instrument for that: at 500 V at least a megohm (IEC 60204-1, 18.3). */
    record Insulation(String tag, List<String> leads, String earth) implements Observation {

        private static final double LEAST = 1e6;

        public Insulation {
            leads = List.copyOf(leads);
        }

        @Override
        public String words() {
            return "Insulation of " + tag + " with its cable at 500 V DC: " + String.join(" ", leads)
                    + " joined, against " + place(earth);
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            double least = leads.stream()
                    .mapToDouble(lead -> rest.meter()
                            .read(Meter.Range.OHMS, tag + ":" + lead, earth)
                            .value()
                            .orElse(0.0))
                    .min()
                    .orElse(0);
            return least >= LEAST
                    ? new Found("at least 1 M\u03a9", Optional.of(Double.POSITIVE_INFINITY))
                    : new Found(String.format(Locale.ROOT, "%.0f \u03a9", least), Optional.of(least));
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isSame(expected, written)
                    || WrittenReading.isOpen(written)
                    || WrittenReading.atLeast(written).orElse(0) >= LEAST;
        }
    }

    /**
     * The impedance of the loop of an earth fault, by an instrument for that, at the incoming line. At the motor it must still be so small that the breaker
     * or fuse before it opens in time, so that the line and the protective conductor to it are taken off; and the instrument measures at a cold conductor, so
     * that two thirds of it are allowed (IEC 60204-1, 18.2; IEC 60364-6, D.6.4.3.7.3).
     *
     * @param red where the line comes in
     * @param black the wire number of the protective earth
     * @param opens which device has to open, at which current, in words
     * @param most in ohms
     */
    record Loop(String red, String black, String opens, double most) implements Observation {

        @Override
        public String words() {
            return "Loop impedance from " + place(red) + " to " + place(black) + ", so that " + opens;
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            double volts =
                    rest.meter().read(Meter.Range.VOLTS_AC, red, black).value().orElse(0.0);
            return Math.abs(volts) > TOUCHABLE
                    ? new Found(String.format(Locale.ROOT, "at most %.2f \u03a9", most), Optional.of(0.0))
                    : Found.words("no loop");
        }

        @Override
        public boolean accepts(Found expected, String written) {
            OptionalDouble number = WrittenReading.number(written);
            return WrittenReading.isSame(expected, written)
                    || number.isPresent() && number.getAsDouble() >= 0 && number.getAsDouble() <= most;
        }
    }

    /** The voltage that is left five seconds after the supply has gone: at most 60 V (IEC 60204-1, 6.2.4 and 18.5). */
    record Residual(String red, String black, boolean direct) implements Observation {

        @Override
        public String words() {
            return "Five seconds later, volts " + (direct ? "DC" : "AC") + " from " + place(red) + " to "
                    + place(black);
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            Meter.Range range = direct ? Meter.Range.VOLTS_DC : Meter.Range.VOLTS_AC;
            Meter.Display reading = rest.meter().read(range, red, black);
            return reading.value().filter(volts -> Math.abs(volts) <= TOUCHABLE).isPresent()
                    ? new Found("at most 60 V", Optional.of(0.0))
                    : new Found(reading.text(), reading.value());
        }

        @Override
        public boolean accepts(Found expected, String written) {
            OptionalDouble number = WrittenReading.number(written);
            return WrittenReading.isSame(expected, written)
                    || number.isPresent() && Math.abs(number.getAsDouble()) <= TOUCHABLE;
        }
    }

    /** The voltage between two wire numbers, one probe parked: within a tenth, at least 5 V. */
    record Volts(String red, String parked, boolean direct) implements Observation {

        private static final double LEAST = 5;

        @Override
        public String words() {
            return "Volts " + (direct ? "DC" : "AC") + " on " + place(red) + ", the other probe parked on "
                    + place(parked);
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            Meter.Range range = direct ? Meter.Range.VOLTS_DC : Meter.Range.VOLTS_AC;
            Meter.Display reading = rest.meter().read(range, red, parked);
            return new Found(
                    reading.value()
                            .map(volts -> String.format(Locale.ROOT, "%.0f V", volts + 0.0))
                            .orElse(reading.text())
                            .replace("-0 V", "0 V"),
                    reading.value());
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isNear(expected, written, 0.1, LEAST);
        }
    }

    /** The current of a phase by the clamp: within a fifth, at least 0.2 A. */
    record Amperes(Terminal at) implements Observation {

        @Override
        public String words() {
            return "Clamp on the lead of " + at.tag() + " " + at.marking();
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            Meter.Display reading = rest.meter().read(Meter.Range.AMPERES, at.toString(), "");
            return new Found(
                    reading.value()
                            .map(amperes -> String.format(Locale.ROOT, "%.1f A", amperes))
                            .orElse(reading.text()),
                    reading.value());
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isNear(expected, written, 0.2, 0.2);
        }
    }

    /** What the devices that act do. */
    record Glance(List<String> tags) implements Observation {

        public Glance {
            tags = List.copyOf(tags);
        }

        @Override
        public String words() {
            return "Look";
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            return Found.words(tags.stream()
                    .map(tag -> tag + " " + condition(rest, tag).word())
                    .collect(Collectors.joining(", ")));
        }

        /** A button that is looked at has a lamp, and that is what is looked at. */
        static Condition condition(StepRehearsal.Rest rest, String tag) {
            Condition condition = rest.moment().condition(tag);
            boolean button = condition == Condition.PRESSED || condition == Condition.RELEASED;
            return !button ? condition : rest.moment().energised(tag) ? Condition.LIT : Condition.DARK;
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isSame(expected, written);
        }
    }

    /** How long after the last deed a device gets into a condition: within 15 per cent, at least half a second. */
    record After(String tag, Condition reached) implements Observation {

        @Override
        public String words() {
            return "Seconds until " + tag + " is " + reached.word();
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            OptionalDouble seconds = rest.secondsUntil(tag, reached);
            return seconds.isEmpty()
                    ? Found.words("never")
                    : new Found(
                            String.format(Locale.ROOT, "%.1f s", seconds.getAsDouble()),
                            Optional.of(seconds.getAsDouble()));
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isNear(expected, written, 0.15, 0.5);
        }
    }

    /** For how long a device is in a condition that it does not stay in: within 15 per cent, at least half a second. */
    record Meanwhile(String tag, Condition passing) implements Observation {

        @Override
        public String words() {
            return "Seconds for which " + tag + " is " + passing.word() + " meanwhile";
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            double seconds = rest.secondsIn(tag, passing);
            return new Found(String.format(Locale.ROOT, "%.1f s", seconds), Optional.of(seconds));
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isNear(expected, written, 0.15, 0.5);
        }
    }

    /** Where the dial of an overload release stands. */
    record Dial(String tag) implements Observation {

        @Override
        public String words() {
            return "Read the dial of " + tag;
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            double right = rest.part(tag).heater().orElseThrow().setting();
            double set = right * Faults.dial(tag, rest.faults());
            return new Found(String.format(Locale.ROOT, "%.2f A", set), Optional.of(set));
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isNear(expected, written, 0.05, 0.01);
        }
    }

    /** Whether every wire on a device holds when it is tugged, and has the number that belongs on its terminal. */
    record Wires(String tag) implements Observation {

        @Override
        public String words() {
            return "Tug the wires on " + tag + ", compare their numbers with the list";
        }

        @Override
        public Found at(StepRehearsal.Rest rest) {
            List<String> wrong = WiresAt.wrong(rest, tag).toList();
            return Found.words(wrong.isEmpty() ? WiresAt.SOUND : String.join(", ", wrong));
        }

        @Override
        public boolean accepts(Found expected, String written) {
            return WrittenReading.isSame(expected, written);
        }
    }
}
