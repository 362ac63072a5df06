package parable.app;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import parable.app.colours.ColoursView;
import parable.app.conflict.ConflictView;
import parable.app.job.HomeFolder;
import parable.app.job.JobModel;
import parable.app.job.Lately;
import parable.app.job.Person;
import parable.app.keys.KeysView;
import parable.app.learn.LearnModel;
import parable.app.learn.LearnPage;
import parable.app.look.Look;
import parable.app.paper.TitleView;
import parable.app.sheets.SheetsPage;
import parable.app.start.StartModel;
import parable.app.start.StartView;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.drafting.Dress;

/**
 * The pages to be read or answered in the place of the drawing.
 *
 * @param sheets the sheets of the job as wholes
 * @param known the jobs that were opened lately
 * @param person who sits at the window
 */
record Interludes(JobModel jobs, Look look, SheetList sheets, Lately known, Person person, Exits exits)
        implements SheetsPage.Actions {

    /** Where one goes from there. */
    interface Exits {

        /** Puts a page in the place of the drawing. */
        void instead(Node page);

        /** Shows a sheet of the job. */
        void open(String sheet);

        /** Shows the sheet again that was shown before. */
        void back();
    }

    /** Shows all sheets, and those of the library. */
    void showAll() {
        exits.instead(new SheetsPage(jobs.jobProperty().get(), look, this, exits::back));
    }

    /** Shows all keys. */
    void showKeys() {
        exits.instead(new KeysView(exits::back));
    }

    /** Shows the colours of buttons and lamps. */
    void showColours() {
        exits.instead(new ColoursView(jobs, exits::back));
    }

    /** Shows the title block. */
    void showTitle() {
        exits.instead(new TitleView(jobs, exits::back));
    }

    /** Asks which of two versions is to stay. */
    void showConflict(JobModel.Conflict conflict, Runnable saveAs) {
        exits.instead(new ConflictView(jobs, conflict, saveAs, exits::back));
    }

    @Override
    public void open(String name) {
        exits.open(name);
    }

    @Override
    public void add(Sheet sheet) {
        sheets.add(sheet);
    }

    @Override
    public List<Path> lately() {
        return known.files().stream()
                .filter(file -> !jobs.file().equals(Optional.of(file)))
                .toList();
    }

    @Override
    public void open(Path file) {
        jobs.open(file);
    }

    /** Asks what a starter is to do. */
    @Override
    public void ask() {
        StartModel start = new StartModel(jobs.jobProperty().get());
        exits.instead(new StartView(start, this::begin, exits::back));
    }

    /** Draws what was wished for; the job wears the dress that was chosen with it. */
    private void begin(StartModel start) {
        Practice practice = start.wishProperty().get().practice();
        sheets.add(start.starter().sheet(), Dress.of(jobs.jobProperty().get(), practice));
    }

    @Override
    public void learn() {
        LearnModel learning = new LearnModel(person, HomeFolder.path().resolve("progress.jsonl"));
        exits.instead(new LearnPage(learning, look, exits::back));
    }

    @Override
    public void addEmpty() {
        sheets.addEmpty();
    }
}
