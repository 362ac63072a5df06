package parable.app;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import parable.app.job.JobModel;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.ratings.JobTables;

/** The pages of the sheets that were looked at since the job was opened, each with a bench of its own. */
final class OpenPages {

    private final Map<String, SheetPage> byName = new LinkedHashMap<>();
    private final BiFunction<String, Assembly, SheetPage> maker;

    /**
     * No pages yet.
     *
     * @param maker makes one of the name of a sheet and of the sheet fitted out
     */
    OpenPages(BiFunction<String, Assembly, SheetPage> maker) {
        this.maker = maker;
    }

    /**
     * The page of a sheet, made if it is the first time.
     *
     * @throws IllegalArgumentException if the job has no such sheet
     */
    SheetPage of(String name, JobModel jobs) {
        Job job = jobs.jobProperty().get();
        Sheet sheet = job.sheet(name).orElseThrow(() -> new IllegalArgumentException("the job has no sheet " + name));
        return byName.computeIfAbsent(
                name, any -> maker.apply(name, Fitted.out(sheet, JobTables.of(job), jobs.fitted())));
    }

    /** Nobody looks at any of them for now. */
    void leave() {
        byName.values().forEach(SheetPage::leave);
    }

    /** Another job was opened. */
    void close() {
        leave();
        byName.clear();
    }

    /** The job was edited: what survives it keeps its state. */
    void goOnWith(Job job) {
        List.copyOf(byName.keySet()).stream()
                .filter(name -> job.sheet(name).isEmpty())
                .forEach(gone -> byName.remove(gone).leave());
        JobTables tables = JobTables.of(job);
        byName.forEach(
                (name, page) -> Fitted.goOnWith(page.run(), job.sheet(name).orElseThrow(), tables));
    }
}
