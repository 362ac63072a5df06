package parable.sizing;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One result of sizing.
 *
 * @param key by which it is overridden, such as {@code overload}
 * @param name what it is called on the page
 * @param value the number, in the unit; that of the rating where one is chosen
 * @param unit such as {@code A}; empty for a plain number
 * @param written the value as it is ordered, dialled or read, such as {@code 1.5 mm²}
 * @param inputs what went in, each as {@code name value}
 * @param formula how it follows
 * @param source the standard and its table or clause
 * @param row the row of the table that was read; empty if none was
 * @param verdict whether it keeps its limit; empty if it has none
 * @param overridden whether somebody put it in the place of what would follow
 * @param ofEditedTable whether a table that it rests on was edited: one that it was read from, one from which a result that it follows from was read, or, if it was
 *     overridden, one that its limit rests on
 */
public record SizingResult(
        String key,
        String name,
        double value,
        String unit,
        String written,
        List<String> inputs,
        String formula,
        String source,
        String row,
        Optional<LimitVerdict> verdict,
        boolean overridden,
        boolean ofEditedTable) {

    /** Not modified: the list is copied. */
    public SizingResult {
        Objects.requireNonNull(verdict, "verdict");
        inputs = List.copyOf(inputs);
    }

    /** What it is and how it breaks its limit; it must. */
    public String failure() {
        return name + " " + written + ". " + verdict.orElseThrow().words();
    }

    /** Whether it breaks its limit. */
    public boolean fails() {
        return verdict.filter(one -> !one.met()).isPresent();
    }
}
