package parable.parts;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A rated voltage as it stands on a nameplate, for example {@code 230 V AC}.
 *
 * @param volts above 0; r.m.s. for AC
 * @param kind AC or DC
 */
public record RatedVoltage(double volts, CurrentKind kind) {

    private static final Pattern WRITTEN = Pattern.compile("(\\d+(?:\\.\\d+)?) ?V ?(AC|DC)");

    /** No nameplate says less, in V. */
    private static final double LOWEST = 0.1;

    /** No device of a control panel has more, in V. */
    private static final double HIGHEST = 100_000;

    public RatedVoltage {
        if (!(volts > 0)) {
            throw new IllegalArgumentException("a rated voltage is above 0 V, found " + volts);
        }
    }

    /** The voltage that these words say, from 0.1 V to 100 kV; empty if they say none. */
    static Optional<RatedVoltage> read(String words) {
        Matcher written = WRITTEN.matcher(words);
        if (!written.matches()) {
            return Optional.empty();
        }
        double volts = Double.parseDouble(written.group(1));
        return volts >= LOWEST && volts <= HIGHEST
                ? Optional.of(new RatedVoltage(volts, CurrentKind.valueOf(written.group(2))))
                : Optional.empty();
    }

    /** A voltage of the same kind that is so many times this one; more than 0. */
    RatedVoltage times(double factor) {
        return new RatedVoltage(factor * volts, kind);
    }

    /** As on a nameplate: {@code 230 V AC}. */
    @Override
    public String toString() {
        return Nameplate.figure(volts) + " V " + kind;
    }
}
