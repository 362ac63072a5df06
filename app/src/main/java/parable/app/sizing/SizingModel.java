package parable.app.sizing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.app.job.JobModel;
import parable.app.job.Latest;
import parable.bench.Progress;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.circuit.TableCopy;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingTables;
import parable.sizing.DrawingDifference;
import parable.sizing.JobSizing;
import parable.sizing.SheetFacts;
import parable.sizing.SheetSizing;

/** The sizing of the open job, worked out beside the window once somebody has asked for it. */
public final class SizingModel {

    private final JobModel jobs;
    private final Latest latest = new Latest("sizing");
    private final ReadOnlyObjectWrapper<Optional<Sized>> sized = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Job> asked = Optional.empty();

    /**
     * A job and its sizing.
     *
     * @param job as it was sized
     * @param facts what each sheet's circuit tells, by the name of the sheet
     * @param tables it was sized by
     * @param sizing all that follows
     * @param problem what is wrong with the job's own tables; empty if nothing is, and then those are used
     */
    public record Sized(Job job, Map<String, SheetFacts> facts, RatingTables tables, JobSizing sizing, String problem) {

        /** Not modified: the map is copied in its order. */
        public Sized {
            facts = Collections.unmodifiableMap(new LinkedHashMap<>(facts));
        }

        private static Sized of(Job job, Map<String, SheetFacts> known) {
            Map<String, SheetFacts> facts = new LinkedHashMap<>();
            for (Sheet sheet : job.sheets()) {
                facts.put(sheet.name(), facts(sheet, job, Optional.ofNullable(known.get(sheet.name()))));
            }
            RatingTables tables = RatingTables.of(job.practice());
            String problem = "";
            try {
                tables = JobSizing.tables(job);
            } catch (RatingFormatException senseless) {
                problem = senseless.getMessage();
            }
            return new Sized(job, facts, tables, JobSizing.of(job, List.copyOf(facts.values()), tables), problem);
        }

        private static SheetFacts facts(Sheet sheet, Job job, Optional<SheetFacts> known) {
            try {
                return known.isPresent() && known.get().assembly().sheet().isSameCircuit(sheet)
                        ? known.get().on(Assembly.of(sheet, JobTables.of(job)))
                        : SheetFacts.explored(sheet, job.practice(), JobTables.of(job), Progress.UNWATCHED);
            } catch (PartException impossible) {
                throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
            }
        }
    }

    /** The sizing of an open job. */
    public SizingModel(JobModel jobs) {
        this.jobs = jobs;
        jobs.jobProperty().addListener((any, before, now) -> {
            if (asked.isPresent()) {
                look();
            }
        });
    }

    /** Looks at the job, anew if it has changed; from then on it is followed. */
    public void look() {
        Job job = bare(jobs.jobProperty().get());
        if (!asked.equals(Optional.of(job))) {
            asked = Optional.of(job);
            boolean same = sized.get()
                    .filter(one -> one.job().practice() == job.practice())
                    .isPresent();
            Map<String, SheetFacts> known = same ? sized.get().orElseThrow().facts() : Map.of();
            latest.ask(() -> Sized.of(job, known), made -> sized.set(Optional.of(made)));
        }
    }

    /** What was done at the panel changes nothing. */
    private static Job bare(Job job) {
        return job.with(job.sheets().stream()
                        .map(sheet -> sheet.withFieldwork(sheet.fieldwork().undone()))
                        .toList())
                .sealedBy("");
    }

    /** What was worked out last, empty until something was. */
    public ReadOnlyObjectProperty<Optional<Sized>> sizedProperty() {
        return sized.getReadOnlyProperty();
    }

    /** The sizing of a sheet, empty until it is worked out. */
    public Optional<SheetSizing> sheet(String name) {
        return sized.get().flatMap(one -> one.sizing().sheet(name));
    }

    /** How a sheet is to its sizing, in a word or two; empty until it is worked out. */
    public String state(String name) {
        return sheet(name).map(SizingModel::words).orElse("");
    }

    private static String words(SheetSizing sheet) {
        int failing = sheet.failing().size() + sheet.problems().size();
        long differ = sheet.differences().size();
        if (failing > 0) {
            return failing + " not kept";
        }
        return differ > 0 ? differ + (differ == 1 ? " differs" : " differ") : "kept";
    }

    /**
     * States something of a device of a sheet, or takes it back with an empty value.
     *
     * @return why it makes no sense, empty if it is stated now
     */
    public String state(String sheet, Stated statement) {
        Job job = jobs.jobProperty().get();
        Sheet before = job.sheet(sheet).orElseThrow();
        Sheet after = before.withStated(with(before.stated(), statement));
        Optional<Sized> known = sized.get();
        if (known.isPresent() && known.get().facts().containsKey(sheet)) {
            SheetSizing was = tried(known.get(), before, job);
            SheetSizing is = tried(known.get(), after, job);
            if (!is.problems().isEmpty() && !was.problems().containsAll(is.problems())) {
                return is.problems().stream()
                        .filter(one -> !was.problems().contains(one))
                        .findFirst()
                        .orElseThrow();
            }
        }
        jobs.edit(after);
        return "";
    }

    private static SheetSizing tried(Sized known, Sheet sheet, Job job) {
        try {
            return SheetSizing.of(
                    known.facts().get(sheet.name()).on(Assembly.of(sheet, JobTables.of(job))),
                    job.practice(),
                    known.tables());
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    /**
     * States something of the whole job, or takes it back with an empty value.
     *
     * @return why it makes no sense, empty if it is stated now
     */
    public String stateOfJob(Stated statement) {
        Job job = jobs.jobProperty().get();
        Job after = job.with(job.sizing().stating(with(job.sizing().stated(), statement)));
        Optional<Sized> known = sized.get();
        if (known.isPresent()) {
            JobSizing is = JobSizing.of(
                    after,
                    List.copyOf(known.get().facts().values()),
                    known.get().tables());
            if (!is.problem().isEmpty()
                    && !is.problem().equals(known.get().sizing().problem())) {
                return is.problem();
            }
        }
        jobs.edit(after);
        return "";
    }

    private static List<Stated> with(List<Stated> before, Stated statement) {
        List<Stated> after = new ArrayList<>(before);
        after.removeIf(one -> one.isOf(statement.about(), statement.quantity()));
        if (!statement.value().isBlank()) {
            after.add(new Stated(
                    statement.about(), statement.quantity(), statement.value().strip()));
        }
        return after;
    }

    /** Takes differences over into the drawing of a sheet, as one edit. */
    public void takeOver(String sheet, List<DrawingDifference> differences) {
        Sheet changed = jobs.jobProperty().get().sheet(sheet).orElseThrow();
        for (DrawingDifference difference : differences) {
            changed = difference.takeOver().on(changed);
        }
        jobs.edit(changed);
    }

    /**
     * Keeps a table in the job in the place of the one that ships.
     *
     * @return why it makes no sense, empty if it is kept now
     */
    public String keep(TableCopy copy) {
        Job job = jobs.jobProperty().get();
        SizingBasis changed = without(job.sizing(), copy.name(), Optional.of(copy));
        try {
            RatingTables.of(job.practice()).with(changed.tables());
        } catch (RatingFormatException senseless) {
            return senseless.getMessage();
        }
        jobs.edit(job.with(changed));
        return "";
    }

    /** Goes by the table that ships again. */
    public void asShipped(String table) {
        Job job = jobs.jobProperty().get();
        jobs.edit(job.with(without(job.sizing(), table, Optional.empty())));
    }

    private static SizingBasis without(SizingBasis basis, String table, Optional<TableCopy> instead) {
        List<TableCopy> tables = new ArrayList<>(basis.tables());
        tables.removeIf(one -> one.name().equals(table));
        instead.ifPresent(tables::add);
        return basis.withTables(tables);
    }
}
