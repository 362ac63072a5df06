package parable.circuit;

import java.util.Arrays;
import java.util.Optional;

/** The regional practice that decides symbols, tags, colours and defaults; never what the circuit does. */
public enum Practice {
    IEC("IEC"),
    NORTH_AMERICAN("North American");

    private final String words;

    Practice(String words) {
        this.words = words;
    }

    /** The practice as it is written in a job file and on screen. */
    public String words() {
        return words;
    }

    /** The practice of these words, empty if there is none. */
    public static Optional<Practice> ofWords(String words) {
        return Arrays.stream(values())
                .filter(practice -> practice.words.equals(words))
                .findFirst();
    }
}
