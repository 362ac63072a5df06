package parable.finding;

import java.util.Objects;
import parable.testsheet.Observation;

/**
 * What somebody found at a look.
 *
 * @param look where
 * @param found what was read or seen, as it was written down
 */
public record Seen(Look look, String found) {

    public Seen {
        Objects.requireNonNull(look, "look");
        Objects.requireNonNull(found, "found");
    }

    /** As it is typed: {@code close Q1, press S1; volts K1:13 to 2 = 0 V}. */
    public String text() {
        boolean sight = look.observation() instanceof Observation.Sight;
        return sight ? LookNotation.deeds(look) + "; " + found : look.text() + " = " + found;
    }
}
