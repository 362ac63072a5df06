package parable.circuit;

import java.util.Optional;
import java.util.stream.Stream;

/** How wires leave the back plate. */
public enum WiringMethod {
    /** A wire goes straight from terminal to terminal, wherever they are. */
    POINT_TO_POINT("point to point"),
    /** Every wire number that leaves the back plate passes a terminal of the strip on it: easier to change and to measure. */
    TERMINAL_STRIP("terminal strip");

    private final String words;

    WiringMethod(String words) {
        this.words = words;
    }

    /** As it is said and written in a job file. */
    public String words() {
        return words;
    }

    /** The method of these words, empty if there is none. */
    public static Optional<WiringMethod> ofWords(String words) {
        return Stream.of(values()).filter(one -> one.words.equals(words)).findFirst();
    }
}
