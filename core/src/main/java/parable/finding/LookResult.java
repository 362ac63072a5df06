package parable.finding;

import java.util.Objects;

/**
 * What somebody found at a look.
 *
 * @param look where
 * @param found what was read or seen, as it was written down
 */
public record LookResult(PanelLook look, String found) {

    public LookResult {
        Objects.requireNonNull(look, "look");
        Objects.requireNonNull(found, "found");
    }

    /** As it is typed: {@code close Q1, press S1; volts K1:13 to 2 = 0 V}. */
    public String text() {
        return LookNotation.text(look, found);
    }
}
