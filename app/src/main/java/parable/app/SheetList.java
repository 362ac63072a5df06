package parable.app;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.circuit.Duty;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Rail;
import parable.circuit.Sheet;

/** The sheets of the open job as wholes. */
final class SheetList implements SheetActions {

    private final JobModel jobs;
    private final Supplier<String> shown;
    private final Consumer<String> show;
    private final Runnable startPage;
    private final Runnable allPage;
    private final FilePrompt prompt;

    /**
     * The sheets of a job.
     *
     * @param shown the name of the sheet that is shown
     * @param show shows another
     * @param startPage opens the page of questions
     * @param allPage opens the page with all sheets
     */
    SheetList(
            JobModel jobs,
            Supplier<String> shown,
            Consumer<String> show,
            Runnable startPage,
            Runnable allPage,
            FilePrompt prompt) {
        this.jobs = jobs;
        this.shown = shown;
        this.show = show;
        this.startPage = startPage;
        this.allPage = allPage;
        this.prompt = prompt;
    }

    private Job job() {
        return jobs.jobProperty().get();
    }

    private Sheet sheet() {
        return job().sheet(shown.get()).orElseThrow();
    }

    /** The name, or the name with the lowest number that makes it new to the job. */
    private String free(String wanted) {
        String name = wanted;
        for (int number = 2; job().sheet(name).isPresent(); number++) {
            name = wanted + " " + number;
        }
        return name;
    }

    /** Adds a sheet under a name that is new to the job, and shows it. */
    void add(Sheet sheet) {
        add(sheet, jobs.jobProperty().get());
    }

    /** Adds a sheet to the job as it becomes in the same step, so that one undo takes both back. */
    void add(Sheet sheet, Job changed) {
        Sheet named = sheet.named(free(sheet.name()));
        jobs.edit(changed.with(named));
        show.accept(named.name());
    }

    @Override
    public void showAll() {
        allPage.run();
    }

    @Override
    public void start() {
        startPage.run();
    }

    @Override
    public void addEmpty() {
        add(new Sheet(
                "Empty sheet",
                Duty.MAINTAINED,
                List.of(new Rail("L", "1"), new Rail("N", "2")),
                List.of(),
                List.of(),
                List.of(),
                Extras.NONE));
    }

    @Override
    public void copy() {
        add(sheet().withFieldwork(sheet().fieldwork().undone()));
    }

    @Override
    public void rename() {
        prompt.toName("New name of the sheet", shown.get()).map(String::strip).ifPresent(name -> {
            if (!name.isEmpty() && !name.equals(shown.get())) {
                List<Sheet> sheets = new ArrayList<>(job().sheets());
                Sheet renamed = sheet().named(free(name));
                sheets.set(sheets.indexOf(sheet()), renamed);
                jobs.edit(job().with(sheets));
                show.accept(renamed.name());
            }
        });
    }

    @Override
    public void move(int places) {
        List<Sheet> sheets = new ArrayList<>(job().sheets());
        int from = sheets.indexOf(sheet());
        int to = Math.max(0, Math.min(sheets.size() - 1, from + places));
        sheets.add(to, sheets.remove(from));
        jobs.edit(job().with(sheets));
    }

    @Override
    public void remove() {
        List<Sheet> sheets = new ArrayList<>(job().sheets());
        if (sheets.size() > 1) {
            sheets.remove(sheet());
            jobs.edit(job().with(sheets));
        }
    }
}
