package parable.testsheet;

import java.util.Optional;

/**
 * What is read or seen.
 *
 * @param text as it is written down: {@code 230 V}, {@code open}, {@code K1 in, P1 lit}
 * @param value the number in V, ohms, A or s; infinite for an open circuit; empty where there is no number
 */
public record Found(String text, Optional<Double> value) {

    static Found words(String text) {
        return new Found(text, Optional.empty());
    }
}
