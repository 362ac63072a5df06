package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import parable.circuit.Job;
import parable.circuit.Sheet;

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

    private JobPack(Job job, PdfBook book) {
        this.job = job;
        this.book = book;
    }

    /**
     * The bytes of the PDF.
     *
     * @param sheets those of the job that go in
     * @param mostStates how many states of a sheet are gone through for its proof; claims that need more stand as not finished
     */
    public static byte[] of(Job job, List<Sheet> sheets, int mostStates) {
        Map<Sheet, SheetPages> pages = workedOut(job, sheets, mostStates);
        try (PdfBook book = new PdfBook(job)) {
            new JobPack(job, book).cover(sheets.stream().map(pages::get).toList());
            for (Sheet sheet : sheets) {
                pages.get(sheet).write(book);
            }
            return book.bytes();
        } catch (IOException impossible) {
            throw new UncheckedIOException("a file in memory cannot be written", impossible);
        }
    }

    /** The sheets are worked out on all cores, each core taking the next that waits. */
    private static Map<Sheet, SheetPages> workedOut(Job job, List<Sheet> sheets, int mostStates) {
        ExecutorService cores =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            Map<Sheet, CompletableFuture<SheetPages>> begun = new LinkedHashMap<>();
            for (Sheet sheet : longestFirst(sheets)) {
                begun.put(sheet, CompletableFuture.supplyAsync(() -> SheetPages.of(job, sheet, mostStates), cores));
            }
            Map<Sheet, SheetPages> done = new HashMap<>();
            begun.forEach((sheet, pages) -> done.put(sheet, pages.join()));
            return done;
        } finally {
            cores.shutdown();
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

    private void cover(List<SheetPages> sheets) throws IOException {
        List<String> lines = new ArrayList<>(CAUTIONS);
        sheets.forEach(sheet -> lines.add(sheet.summary()));
        book.text("Cover", job.name() + ", " + job.practice().words() + " practice", lines);
    }
}
