package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import parable.circuit.Job;
import parable.circuit.Revision;
import parable.circuit.Sheet;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;

/** Drawings of sheets as PDF, with the geometry of the screen, everything at rest, in black on white. */
public final class PdfFile {

    private PdfFile() {}

    /** The bytes of the file with these sheets of a job, one after the other. */
    public static byte[] of(Job job, List<Sheet> sheets) {
        try (PdfBook book = new PdfBook(job)) {
            JobTables tables = JobTables.of(job);
            for (Sheet sheet : sheets) {
                Assembly assembly = Assembly.of(sheet, tables);
                book.about(Revision.of(sheet));
                book.draw(assembly, SheetDrawing.of(assembly, job.practice()), sheet.name());
            }
            return book.bytes();
        } catch (IOException impossible) {
            throw new UncheckedIOException("a file in memory cannot be written", impossible);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }
}
