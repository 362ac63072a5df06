package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import org.apache.pdfbox.pdmodel.PDPage;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.ratings.JobTables;
import parable.sizing.JobSizing;
import parable.sizing.SheetFacts;

/**
 * All of a job on paper: for each sheet its drawing, program, sizing, parts, wires, terminals, places, test sheet and what was proved of it, behind a cover with the
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

    /** As many states as are usually explored for a pack: every starter of relays is proved within them. */
    public static final int STATES = 60_000;

    private final Job job;
    private final PdfBook book;
    private final Map<Sheet, List<PDPage>> sections = new HashMap<>();
    private final Map<Sheet, String> summaries = new HashMap<>();
    private final Map<Sheet, SheetFacts> facts = new HashMap<>();

    private JobPack(Job job, PdfBook book) {
        this.job = job;
        this.book = book;
    }

    /**
     * The bytes of the PDF.
     *
     * @param sheets those of the job that go in
     * @param mostStates how many states of a sheet are explored for its proof; claims that need more stand as not finished
     */
    public static byte[] of(Job job, List<Sheet> sheets, int mostStates) {
        try (PdfBook book = new PdfBook(job)) {
            return new JobPack(job, book).bound(sheets, mostStates);
        } catch (IOException impossible) {
            throw new UncheckedIOException("a file in memory cannot be written", impossible);
        }
    }

    /** The sheets are worked out on all cores, each core taking the next that waits, and written as they come; the cover is written last. */
    private byte[] bound(List<Sheet> sheets, int mostStates) throws IOException {
        ExecutorService cores =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            BlockingQueue<CompletableFuture<SheetPages>> done = new LinkedBlockingQueue<>();
            for (Sheet sheet : longestFirst(sheets)) {
                CompletableFuture<SheetPages> pages =
                        CompletableFuture.supplyAsync(() -> SheetPages.of(job, sheet, mostStates), cores);
                pages.whenComplete((worked, failure) -> done.add(pages));
            }
            for (int written = 0; written < sheets.size(); written++) {
                write(done.take().join());
            }
        } catch (InterruptedException notWanted) {
            Thread.currentThread().interrupt();
            throw new CancellationException("the job pack was not waited for");
        } finally {
            cores.shutdown();
        }
        cover(sheets);
        List<List<PDPage>> all = new ArrayList<>(List.of(book.section()));
        sheets.forEach(sheet -> all.add(sections.get(sheet)));
        return book.bytes(all);
    }

    private void write(SheetPages pages) throws IOException {
        pages.write(book);
        sections.put(pages.sheet(), book.section());
        summaries.put(pages.sheet(), pages.summary());
        facts.put(pages.sheet(), pages.facts());
    }

    private void cover(List<Sheet> sheets) throws IOException {
        List<String> lines = new ArrayList<>(CAUTIONS);
        sheets.forEach(sheet -> lines.add(summaries.get(sheet)));
        JobSizing sizing = JobSizing.of(
                job, sheets.stream().map(facts::get).toList(), JobTables.of(job).of(job.practice()));
        List<String> ratings = SizingCsv.ratings(job, sizing);
        if (!ratings.isEmpty()) {
            lines.addAll(List.of("", "#Ratings for the plate of the panel"));
            lines.addAll(ratings);
        }
        book.about("");
        book.text("Cover", job.name() + ", " + job.practice().words() + " practice", lines);
        if (!sizing.rows().isEmpty()) {
            book.table("All motors", SizingCsv.motorTable(sizing), 0);
            book.table("Feeder, supply and heat of all sheets", SizingCsv.resultTable(sizing.results()), 0);
        }
    }

    /** Timers and programs take longest to be proved; what is begun last should take little, so that no core waits for another. */
    private static List<Sheet> longestFirst(List<Sheet> sheets) {
        return sheets.stream()
                .sorted(Comparator.comparing((Sheet sheet) -> sheet.program().isEmpty())
                        .thenComparing(sheet -> sheet.devices().stream()
                                .noneMatch(device -> device.kind().contains("timer")))
                        .thenComparing(sheet -> -sheet.devices().size()))
                .toList();
    }
}
