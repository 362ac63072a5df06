package parable.circuit;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What is ticked off for a wire, in the order in which it is done. */
public enum Tick {
    /** Both ends are in. */
    DONE,
    /** Both ends were tugged and hold. */
    TUGGED,
    /** Somebody has compared it with the list once more. */
    CHECKED;

    /** As it is said and written in a job file. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The tick of this word, empty if there is none. */
    public static Optional<Tick> ofWord(String word) {
        return Stream.of(values()).filter(one -> one.word().equals(word)).findFirst();
    }
}
