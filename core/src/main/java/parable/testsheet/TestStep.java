package parable.testsheet;

import java.util.Locale;

/**
 * A step of a test sheet.
 *
 * @param id says the same step after the sheet was opened again
 * @param situation what is done first
 * @param observation what is read then
 * @param expected what must be found, from the simulation of this very circuit
 */
public record TestStep(String id, Situation situation, Observation observation, Found expected) {

    /** What to do and to read, to be read aloud: {@code Close Q1, press S1. Look.} */
    public String words() {
        if (situation.hands().isEmpty()) {
            return observation.words() + ".";
        }
        String first = situation.words();
        return first.substring(0, 1).toUpperCase(Locale.ROOT) + first.substring(1) + ". " + observation.words() + ".";
    }

    /** Whether what somebody wrote down passes. */
    public boolean passes(String written) {
        return observation.accepts(expected, written);
    }
}
