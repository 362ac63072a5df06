package parable.sizing;

import java.util.List;
import java.util.Optional;
import parable.circuit.Practice;

/** Something that sizing asks: a quantity, or one of a few words. */
public interface SizingQuestion {

    /** How it is asked. */
    Ask ask();

    /** By which it is stated. */
    default String key() {
        return ask().key();
    }

    /** What it is called on the page. */
    default String label() {
        return ask().label();
    }

    /** The quantity that it is, empty where it is answered by one of a few words. */
    default Optional<Measure> measure() {
        return ask().measure();
    }

    /** What can be answered; empty where it is a quantity. */
    default List<String> words() {
        return ask().words();
    }

    /** What is usual in a practice; empty where nothing is assumed. */
    default String usual(Practice practice) {
        return ask().usual(practice);
    }

    /** Whether it decides anything in a practice. */
    default boolean isFor(Practice practice) {
        return true;
    }

    /** What makes sense, in words. */
    default String expected() {
        return measure().map(Measure::expected).orElseGet(() -> "one of " + String.join(", ", words()));
    }

    /**
     * Refuses what makes no sense.
     *
     * @param place what it is about, for the words of the refusal
     */
    default void check(String place, String written) throws SizingException {
        if (measure().isPresent()) {
            measure().get().read(place, written);
        } else if (!words().contains(written)) {
            throw new SizingException(place, written, expected());
        }
    }
}
