package parable.circuit;

import java.util.List;
import java.util.Objects;

/**
 * A table of ratings that a job keeps as its own, in the place of the one that ships.
 *
 * @param name such as {@code motor-current}
 * @param lines as it is written: name, title and source, then its columns, then its rows
 */
public record TableCopy(String name, List<String> lines) {

    /** Not modified: the list is copied. */
    public TableCopy {
        Objects.requireNonNull(name, "name");
        lines = List.copyOf(lines);
    }
}
