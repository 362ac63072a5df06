package parable.circuit;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A job: all the sheets of one installation, as one file holds them.
 *
 * @param name for example {@code Tern Hollow press house}
 * @param practice the regional practice it is drawn in
 * @param sheets in their order; names are unique
 * @param extras unknown fields
 */
public record Job(String name, Practice practice, List<Sheet> sheets, Extras extras) {

    /** Not modified: the list is copied. */
    public Job {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(practice, "practice");
        Objects.requireNonNull(extras, "extras");
        sheets = List.copyOf(sheets);
    }

    /** The sheet of this name, empty if the job has none. */
    public Optional<Sheet> sheet(String name) {
        return sheets.stream().filter(sheet -> sheet.name().equals(name)).findFirst();
    }
}
