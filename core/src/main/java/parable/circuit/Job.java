package parable.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A job: all the sheets of one installation, as one file holds them.
 *
 * @param name for example {@code Tern Hollow press house}
 * @param conventions the regional practice it is drawn in, and the colours it goes by
 * @param sheets in their order; names are unique
 * @param sizing what is stated for the sizing of all of it
 * @param logbook the seal of the last entry of its logbook, so that entries cut off there are noticed; empty if there was none
 * @param extras unknown fields
 */
public record Job(
        String name, Conventions conventions, List<Sheet> sheets, SizingBasis sizing, String logbook, Extras extras) {

    /** Not modified: the list is copied. */
    public Job {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(conventions, "conventions");
        Objects.requireNonNull(sizing, "sizing");
        Objects.requireNonNull(logbook, "logbook");
        Objects.requireNonNull(extras, "extras");
        sheets = List.copyOf(sheets);
    }

    /** A job without a logbook, with the colours that are usual in its practice. */
    public Job(String name, Practice practice, List<Sheet> sheets, Extras extras) {
        this(name, Conventions.of(practice), sheets, SizingBasis.NONE, "", extras);
    }

    /** The regional practice it is drawn in. */
    public Practice practice() {
        return conventions.practice();
    }

    /** This job with other conventions, and nothing drawn otherwise. */
    public Job with(Conventions others) {
        return new Job(name, others, sheets, sizing, logbook, extras);
    }

    /** This job with another last entry in its logbook. */
    public Job sealedBy(String seal) {
        return new Job(name, conventions, sheets, sizing, seal, extras);
    }

    /** This job with a sheet in the place of the one that has its name; at the end if none has. */
    public Job with(Sheet changed) {
        List<Sheet> others = new ArrayList<>(sheets);
        int place = 0;
        while (place < others.size() && !others.get(place).name().equals(changed.name())) {
            place++;
        }
        if (place < others.size()) {
            others.set(place, changed);
        } else {
            others.add(changed);
        }
        return new Job(name, conventions, others, sizing, logbook, extras);
    }

    /** This job with another basis for its sizing. */
    public Job with(SizingBasis other) {
        return new Job(name, conventions, sheets, other, logbook, extras);
    }

    /** This job with other unknown fields. */
    public Job with(Extras others) {
        return new Job(name, conventions, sheets, sizing, logbook, others);
    }

    /** This job with other sheets. */
    public Job with(List<Sheet> others) {
        return new Job(name, conventions, others, sizing, logbook, extras);
    }

    /** The sheet of this name, empty if the job has none. */
    public Optional<Sheet> sheet(String name) {
        return sheets.stream().filter(sheet -> sheet.name().equals(name)).findFirst();
    }
}
