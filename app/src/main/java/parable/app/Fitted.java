package parable.app;

import java.util.List;
import parable.app.run.RunModel;
import parable.circuit.Fieldwork;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;

/** Sheets of the open job, fitted out: a job holds none that cannot be. */
final class Fitted {

    private Fitted() {}

    /** Lets a run go on with a sheet after an edit; what was done at the panel by it alone changes nothing of what it does, and other tables change all that is read from them. */
    static void goOnWith(RunModel run, Sheet sheet, JobTables tables) {
        Sheet before = run.assembly().sheet();
        if (!run.assembly().tables().equals(tables)) {
            run.goOnWith(out(sheet, tables));
            return;
        }
        if (sheet.equals(before)) {
            return;
        }
        if (bare(sheet).equals(bare(before))) {
            run.keepWith(out(sheet, run.assembly()));
        } else {
            run.goOnWith(out(sheet, run.assembly()));
        }
    }

    /** The circuit without what was done at the panel by it. */
    private static Sheet bare(Sheet sheet) {
        return sheet.withFieldwork(Fieldwork.NONE);
    }

    private static Assembly out(Sheet sheet, Assembly before) {
        try {
            return before.on(sheet);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    /**
     * A sheet of the job, fitted out.
     *
     * @param known sheets that are fitted out already
     */
    static Assembly out(Sheet sheet, JobTables tables, List<Assembly> known) {
        return known.stream()
                .filter(assembly -> assembly.sheet() == sheet)
                .filter(assembly -> assembly.tables().equals(tables))
                .findFirst()
                .orElseGet(() -> out(sheet, tables));
    }

    private static Assembly out(Sheet sheet, JobTables tables) {
        try {
            return Assembly.of(sheet, tables);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }
}
