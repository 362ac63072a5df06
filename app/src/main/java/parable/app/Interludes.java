package parable.app;

import java.util.function.Consumer;
import javafx.scene.Node;
import parable.app.colours.ColoursView;
import parable.app.conflict.ConflictView;
import parable.app.job.JobModel;
import parable.app.keys.KeysView;
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
 * @param instead puts a page in the place of the drawing
 * @param open shows a sheet of the job
 * @param back shows the sheet again that was shown before
 */
record Interludes(
        JobModel jobs, Look look, SheetList sheets, Consumer<Node> instead, Consumer<String> open, Runnable back)
        implements SheetsPage.Actions {

    /** Shows all sheets, and those of the library. */
    void showAll() {
        instead.accept(new SheetsPage(jobs.jobProperty().get(), look.ink(), this, back));
    }

    /** Shows all keys. */
    void showKeys() {
        instead.accept(new KeysView(back));
    }

    /** Shows the colours of buttons and lamps. */
    void showColours() {
        instead.accept(new ColoursView(jobs, back));
    }

    /** Shows the title block. */
    void showTitle() {
        instead.accept(new TitleView(jobs, back));
    }

    /** Asks which of two versions is to stay. */
    void showConflict(JobModel.Conflict conflict, Runnable saveAs) {
        instead.accept(new ConflictView(jobs, conflict, saveAs, back));
    }

    @Override
    public void open(String name) {
        open.accept(name);
    }

    @Override
    public void add(Sheet sheet) {
        sheets.add(sheet);
    }

    /** Asks what a starter is to do. */
    @Override
    public void ask() {
        StartModel start = new StartModel(jobs.jobProperty().get().conventions());
        instead.accept(new StartView(start, this::begin, back));
    }

    /** Draws what was wished for; the job wears the dress that was chosen with it. */
    private void begin(StartModel start) {
        Practice practice = start.wishProperty().get().practice();
        sheets.add(start.starter().sheet(), Dress.of(jobs.jobProperty().get(), practice));
    }

    @Override
    public void addEmpty() {
        sheets.addEmpty();
    }
}
