package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.draw.PanelDrawing;
import parable.draw.SheetDrawing;
import parable.logbook.Revision;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.IoList;
import parable.program.StructuredText;
import parable.proof.Claim;
import parable.proof.Proof;
import parable.proof.Verdict;
import parable.testsheet.TestSheet;
import parable.wiring.Cables;
import parable.wiring.PartsList;
import parable.wiring.TerminalPlan;
import parable.wiring.WireList;

/**
 * All of a job on paper: for each sheet its drawing, program, parts, wires, terminals, places, test sheet and what was proved of it, behind a cover with the
 * cautions.
 */
public final class JobPack {

    private static final List<String> CAUTIONS = List.of(
            "#Before you rely on this",
            "It was made to advise, not to certify. Local code, the makers' instructions and the rules of the site decide; work is done by licensed"
                    + " or supervised people.",
            "Isolate, lock out, tag out and prove dead before any cover is opened. Capacitors and a second supply may still be live.",
            "An emergency stop and any other safety function need a risk assessment of the machine. It has not been made here.",
            "Lengths, cross-sections and colours are proposals to compare and to order by; measure before cutting.",
            "What is proved is proved of the circuit as it is drawn, with the times that are stated, and not of what was wired.",
            "",
            "#Sheets");

    /** As many states as are usually gone through for a pack: every starter of relays is proved within them. */
    public static final int STATES = 60_000;

    private final Job job;
    private final PdfBook book;
    private final Map<Sheet, Contents> contents;

    /** What is worked out for a sheet. */
    private record Contents(Assembly assembly, Proof proof, Table tests) {}

    private JobPack(Job job, PdfBook book, Map<Sheet, Contents> contents) {
        this.job = job;
        this.book = book;
        this.contents = contents;
    }

    /**
     * The bytes of the PDF.
     *
     * @param sheets those of the job that go in
     * @param mostStates how many states of a sheet are gone through for its proof; claims that need more stand as not finished
     */
    public static byte[] of(Job job, List<Sheet> sheets, int mostStates) {
        Map<Sheet, Contents> contents = sheets.parallelStream()
                .collect(Collectors.toConcurrentMap(
                        Function.identity(), sheet -> contents(job, sheet, mostStates), (one, same) -> one));
        try (PdfBook book = new PdfBook(job)) {
            JobPack pack = new JobPack(job, book, contents);
            pack.cover(sheets);
            for (Sheet sheet : sheets) {
                pack.add(sheet, contents.get(sheet));
            }
            return book.bytes();
        } catch (IOException impossible) {
            throw new UncheckedIOException("a file in memory cannot be written", impossible);
        }
    }

    private static Contents contents(Job job, Sheet sheet, int mostStates) {
        try {
            Assembly assembly = Assembly.of(sheet);
            return new Contents(
                    assembly,
                    Proof.of(assembly, Proof.Speed.WITHIN_TIMES, states -> states > mostStates),
                    TestsCsv.table(TestSheet.of(assembly, job.practice()), sheet.fieldwork()));
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void cover(List<Sheet> sheets) throws IOException {
        List<String> lines = new ArrayList<>(CAUTIONS);
        for (Sheet sheet : sheets) {
            Proof proof = contents.get(sheet).proof();
            long fails = proof.claims().stream()
                    .filter(claim -> claim.verdict() == Verdict.FAILS)
                    .count();
            long open = proof.claims().stream()
                    .filter(claim -> claim.verdict() == Verdict.UNFINISHED)
                    .count();
            lines.add(sheet.name() + ": circuit " + Revision.of(sheet) + ", "
                    + proof.claims().size() + " claims, "
                    + (fails == 0 ? "none fails" : fails + " fail")
                    + (open == 0 ? "" : ", " + open + " not finished and so not proved") + ".");
        }
        book.text("Cover", job.name() + ", " + job.practice().words() + " practice", lines);
    }

    private void add(Sheet sheet, Contents of) throws IOException {
        Assembly assembly = of.assembly();
        String name = sheet.name();
        book.draw(assembly, SheetDrawing.of(assembly, job.practice()), name);
        if (sheet.program().isPresent()) {
            List<String> lines =
                    StructuredText.write(sheet.program().get()).lines().toList();
            book.text(name + ", program", name + ", program", lines);
            table(name + ", inputs and outputs", IoCsv.table(IoList.of(assembly)), 0);
        }
        table(name + ", parts", PartsCsv.table(PartsList.of(assembly)), 0);
        table(name + ", wires", WiresCsv.table(WireList.of(assembly, job.practice()), sheet.fieldwork()), 3);
        table(name + ", terminal strip", TerminalsCsv.table(TerminalPlan.of(assembly, job.practice())), 0);
        table(name + ", cables", CablesCsv.table(Cables.of(assembly, job.practice())), 0);
        book.draw(assembly, PanelDrawing.all(assembly), name + ", places");
        table(name + ", test sheet", of.tests(), 0);
        proof(name, sheet, of.proof());
    }

    /** A table, left out if it has no rows. */
    private void table(String title, Table table, int boxes) throws IOException {
        if (!table.rows().isEmpty()) {
            book.table(title, table, boxes);
        }
    }

    private void proof(String name, Sheet sheet, Proof proof) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        for (Claim claim : proof.claims()) {
            String rests = claim.times().isEmpty() ? "" : "Rests on: " + String.join("; ", claim.times());
            rows.add(List.of(
                    claim.text(),
                    claim.verdict() == Verdict.UNFINISHED
                            ? "not finished, not proved"
                            : claim.verdict().word().replace('-', ' '),
                    claim.story().isEmpty() ? rests : String.join(" ", claim.story())));
        }
        String title = name + ", proof of circuit " + Revision.of(sheet) + ", " + proof.states() + " states"
                + (proof.complete() ? "" : ", not finished");
        table(title, new Table(List.of("Claim", "Verdict", "Times, or how it fails"), rows), 0);
    }
}
