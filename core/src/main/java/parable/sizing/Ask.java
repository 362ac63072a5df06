package parable.sizing;

import java.util.List;
import java.util.Optional;
import parable.circuit.Practice;

/**
 * How something is asked.
 *
 * @param key by which it is stated
 * @param label what it is called on the page
 * @param measure the quantity that it is, empty where it is answered by one of a few words
 * @param words what can be answered; empty where it is a quantity
 * @param iec what is usual in IEC practice; empty where nothing is assumed
 * @param northAmerican what is usual in North American practice, likewise
 */
public record Ask(
        String key, String label, Optional<Measure> measure, List<String> words, String iec, String northAmerican) {

    /** For a quantity. */
    static Ask quantity(String key, String label, Measure measure, String iec, String northAmerican) {
        return new Ask(key, label, Optional.of(measure), List.of(), iec, northAmerican);
    }

    /** For one of a few words, which is usual in both practices. */
    static Ask words(String key, String label, List<String> words, String usual) {
        return new Ask(key, label, Optional.empty(), words, usual, usual);
    }

    String usual(Practice practice) {
        return practice == Practice.IEC ? iec : northAmerican;
    }
}
