package parable.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.SvgFile;
import parable.parts.Assembly;
import parable.parts.PartException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes the drawing of a sheet. */
@Command(name = "export", description = "Write the drawing of a sheet as SVG.", mixinStandardHelpOptions = true)
final class ExportCommand implements Callable<Integer> {

    /** What a sheet can be written as. */
    enum Format {
        svg
    }

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(names = "--sheet", paramLabel = "NAME", description = "the sheet; the first, unless said")
    private String sheet = "";

    @Option(names = "--to", required = true, paramLabel = "FORMAT", description = "${COMPLETION-CANDIDATES}")
    private Format format;

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "OUT",
            description = "the file to write")
    private Path out;

    @Override
    public Integer call() {
        Job job = Jobs.open(file);
        Sheet drawn = sheet.isEmpty() ? job.sheets().get(0) : Jobs.sheet(job, sheet);
        try {
            Files.writeString(out, SvgFile.text(Assembly.of(drawn), job.name() + ", " + drawn.name()));
            return 0;
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        } catch (IOException unwritable) {
            throw new UsersFaultException(out + ": cannot be written: " + unwritable.getMessage());
        }
    }
}
