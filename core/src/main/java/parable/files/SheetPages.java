package parable.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import parable.bench.Progress;
import parable.check.MotorCircuit;
import parable.circuit.Job;
import parable.circuit.Revision;
import parable.circuit.Sheet;
import parable.draw.Drawing;
import parable.draw.LegendDrawing;
import parable.draw.PanelDrawing;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.IoList;
import parable.program.StructuredText;
import parable.proof.Claim;
import parable.proof.OnTogether;
import parable.proof.Proof;
import parable.proof.Verdict;
import parable.ratings.JobTables;
import parable.sizing.JobSizing;
import parable.sizing.SheetFacts;
import parable.sizing.SheetSizing;
import parable.testsheet.TestSheet;
import parable.wiring.Cables;
import parable.wiring.PartsList;
import parable.wiring.TerminalPlan;
import parable.wiring.WireList;

/** What a job pack says of one sheet: all of it worked out first, which may be done for several sheets at once, and written then, one after the other. */
final class SheetPages {

    /** Puts something of the sheet on pages. */
    private interface Part {
        void write(PdfBook book) throws IOException;
    }

    private final Job job;
    private final Sheet sheet;
    private final Assembly assembly;
    private final Proof proof;
    private final SheetFacts facts;
    private final List<Part> parts = new ArrayList<>();

    private SheetPages(Job job, Sheet sheet, Proof proof, SheetFacts facts) {
        this.job = job;
        this.sheet = sheet;
        this.assembly = facts.assembly();
        this.proof = proof;
        this.facts = facts;
    }

    /**
     * Works a sheet out.
     *
     * @param mostStates how many states of it are explored for its proof
     */
    static SheetPages of(Job job, Sheet sheet, int mostStates) {
        try {
            Assembly assembly = Assembly.of(sheet, JobTables.of(job));
            Progress untilMost = states -> states > mostStates;
            Proof proof = Proof.of(assembly, Proof.Timing.WITHIN_TIMES, untilMost);
            SheetFacts facts = new SheetFacts(
                    assembly,
                    MotorCircuit.of(assembly, job.practice()),
                    OnTogether.of(assembly, mostStates, untilMost));
            SheetPages pages = new SheetPages(job, sheet, proof, facts);
            pages.workOut();
            return pages;
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void workOut() {
        Drawing drawing = SheetDrawing.of(assembly, job.practice());
        parts.add(book -> book.draw(assembly, drawing, sheet.name()));
        List<Drawing> legend = List.of(LegendDrawing.of(assembly, job.practice()));
        parts.add(book -> book.draw(assembly, legend, sheet.name() + ", symbols"));
        List<String> function = FunctionText.lines(assembly, proof);
        parts.add(book -> book.text(sheet.name() + ", function", sheet.name() + ", function", function));
        sheet.program().ifPresent(program -> {
            List<String> lines = StructuredText.write(program).lines().toList();
            parts.add(book -> book.text(sheet.name() + ", program", sheet.name() + ", program", lines));
            table("inputs and outputs", IoCsv.table(IoList.of(assembly)), 0);
        });
        SheetSizing sizing =
                SheetSizing.of(facts, job.practice(), JobTables.of(job).of(job.practice()));
        table("sizing", SizingCsv.resultTable(sizing), 0);
        table("where the drawing is not as it is sized", SizingCsv.differenceTable(sizing), 0);
        table("parts", PartsCsv.table(PartsList.of(assembly)), 0);
        table("wires", WiresCsv.table(WireList.of(assembly, job.practice()), sheet.fieldwork()), 3);
        table("terminal strip", TerminalsCsv.table(TerminalPlan.of(assembly, job.practice())), 0);
        table("cables", CablesCsv.table(Cables.of(assembly, job.practice())), 0);
        List<Drawing> places = PanelDrawing.all(assembly);
        parts.add(book -> book.draw(assembly, places, sheet.name() + ", places"));
        table("test sheet", TestsCsv.table(TestSheet.of(assembly, job.practice()), sheet), 0);
        String title = "proof of circuit " + Revision.of(sheet) + ", " + proof.states() + " states"
                + (proof.complete() ? "" : ", not finished");
        table(title, claims(), 0);
        table("limits of the proof", limits(), 0);
    }

    /**
     * A table, left out if it has no rows.
     *
     * @param boxes how many of the last columns are boxes to be ticked
     */
    private void table(String title, Table table, int boxes) {
        if (!table.rows().isEmpty()) {
            parts.add(book -> book.table(sheet.name() + ", " + title, table, boxes));
        }
    }

    private Table claims() {
        List<List<String>> rows = new ArrayList<>();
        for (Claim claim : proof.claims()) {
            String rests = claim.times().isEmpty() ? "" : "Rests on: " + String.join("; ", claim.times());
            rows.add(List.of(
                    claim.sort().words(),
                    claim.text(),
                    verdict(claim),
                    claim.story().isEmpty() ? rests : String.join(" ", claim.story())));
        }
        return new Table(List.of("Kind", "Claim", "Verdict", "Times, or how it fails"), rows);
    }

    private static String verdict(Claim claim) {
        return switch (claim.verdict()) {
            case UNFINISHED -> "not finished, not proved";
            case NOT_REACHED -> "not reached, not proved";
            default -> claim.verdictWords();
        };
    }

    /** What the proof leaves out, a sentence a row. */
    private Table limits() {
        return new Table(
                List.of("What the proof leaves out"),
                proof.limits().stream().map(List::of).toList());
    }

    private long count(Verdict verdict) {
        return proof.claims().stream()
                .filter(claim -> claim.verdict() == verdict)
                .count();
    }

    /** What the cover says of it, in a sentence. */
    String summary() {
        long fails = count(Verdict.FAILS);
        long open = count(Verdict.UNFINISHED) + count(Verdict.NOT_REACHED);
        return sheet.name() + ": circuit " + Revision.of(sheet) + ", "
                + proof.claims().size() + " claims, "
                + (fails == 0 ? "none fails" : fails + " fail")
                + (open == 0 ? "" : ", " + open + " not finished or not reached and so not proved") + ".";
    }

    /** The sheets of a job, fitted out. */
    static List<Assembly> assemblies(Job job) {
        List<Assembly> all = new ArrayList<>();
        JobTables tables = JobTables.of(job);
        for (Sheet one : job.sheets()) {
            try {
                all.add(Assembly.of(one, tables));
            } catch (PartException impossible) {
                throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
            }
        }
        return all;
    }

    /** The sizing of some sheets of a job, their states explored. */
    static JobSizing sizing(Job job, List<Assembly> sheets) {
        List<SheetFacts> facts = sheets.stream()
                .map(one -> new SheetFacts(
                        one,
                        MotorCircuit.of(one, job.practice()),
                        OnTogether.of(one, SheetFacts.MOST_STATES, Progress.UNWATCHED)))
                .toList();
        return JobSizing.of(job, facts, JobTables.of(job).of(job.practice()));
    }

    /** What the circuit tells of itself. */
    SheetFacts facts() {
        return facts;
    }

    Sheet sheet() {
        return sheet;
    }

    /** Writes its pages. */
    void write(PdfBook book) throws IOException {
        book.about(Revision.of(sheet));
        for (Part part : parts) {
            part.write(book);
        }
    }
}
