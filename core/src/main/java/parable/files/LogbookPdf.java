package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import parable.circuit.Job;
import parable.logbook.LogEntry;

/** Entries of a logbook on paper. */
public final class LogbookPdf {

    private LogbookPdf() {}

    /**
     * The bytes of a PDF.
     *
     * @param machine what the entries are about
     * @param state whether the logbook is as it was made, in words
     */
    public static byte[] of(Job job, String machine, List<LogEntry> entries, String state) {
        try (PdfBook book = new PdfBook(job)) {
            book.table(machine + ", record. " + state, LogbookCsv.table(entries), 0);
            return book.bytes();
        } catch (IOException impossible) {
            throw new UncheckedIOException("a file in memory cannot be written", impossible);
        }
    }
}
