package parable.ratings;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.TableCopy;

/**
 * The tables that a job goes by, wherever something is read from one: those of its own practice, with what it keeps in the place of some, and
 * those that ship with the other, for a motor or a coil that is not of its practice.
 */
public final class JobTables {

    /** Those that ship, of both practices. */
    public static final JobTables SHIPPED = new JobTables(RatingTables.of(Practice.IEC));

    private final RatingTables own;

    private JobTables(RatingTables own) {
        this.own = Objects.requireNonNull(own, "own");
    }

    /** Those of a job; where its own make no sense, those that ship. */
    public static JobTables of(Job job) {
        try {
            return of(job.practice(), job.sizing().tables());
        } catch (RatingFormatException senseless) {
            return SHIPPED;
        }
    }

    /** What makes no sense in the tables of a job, so that they are left out; empty if all of it does. */
    public static Optional<String> problem(Job job) {
        try {
            of(job.practice(), job.sizing().tables());
            return Optional.empty();
        } catch (RatingFormatException senseless) {
            return Optional.of(senseless.getMessage());
        }
    }

    /**
     * Those of a practice with copies in the place of some.
     *
     * @throws RatingFormatException if a copy makes no sense
     */
    public static JobTables of(Practice practice, List<TableCopy> copies) throws RatingFormatException {
        return copies.isEmpty()
                ? SHIPPED
                : new JobTables(RatingTables.of(practice).with(copies));
    }

    /** Those of a practice. */
    public RatingTables of(Practice practice) {
        return practice == own.practice() ? own : RatingTables.of(practice);
    }

    /** Whether the same is read from both. */
    @Override
    public boolean equals(Object other) {
        return other instanceof JobTables tables
                && (own == tables.own
                        || own.practice() == tables.own.practice() && own.all().equals(tables.own.all()));
    }

    @Override
    public int hashCode() {
        return Objects.hash(own.practice(), own.all());
    }
}
