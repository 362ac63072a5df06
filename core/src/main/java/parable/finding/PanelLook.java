package parable.finding;

import java.util.Locale;
import java.util.Objects;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;

/**
 * Something that can be done and looked at or measured at a panel.
 *
 * @param situation what is done first, from a panel at rest on
 * @param observation what is read then
 */
public record PanelLook(Situation situation, Observation observation) {

    public PanelLook {
        Objects.requireNonNull(situation, "situation");
        Objects.requireNonNull(observation, "observation");
    }

    /** Whether the panel must be switched off, locked and proved dead for it. */
    public boolean isDead() {
        return situation.phase() == Phase.DEAD;
    }

    /** As it is typed, with dots where what is found goes: {@code close Q1, press S1; volts K1:13 to 2 = ...}. */
    public String blank() {
        return LookNotation.blank(this);
    }

    /** What to do and to read, to be read aloud. */
    public String words() {
        String deeds = situation.hands().isEmpty() ? "" : situation.words() + ". ";
        String before = isDead() ? "Switched off, locked and proved dead. " : "";
        String first = deeds.isEmpty() ? "" : deeds.substring(0, 1).toUpperCase(Locale.ROOT) + deeds.substring(1);
        return before + first + observation.words() + ".";
    }
}
