package parable.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.drafting.Dress;
import parable.files.FileFailure;
import parable.files.JobPack;
import parable.files.SheetExport;
import parable.files.WholeFile;
import parable.parts.PartException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes what a sheet holds for others to read. */
@Command(
        name = "export",
        description =
                "Write a job as one PDF, or of a sheet its drawing or places as SVG, its program, or its lists: inputs and"
                        + " outputs, wires, terminals, cables, parts, labels, tests.",
        mixinStandardHelpOptions = true)
final class ExportCommand implements Callable<Integer> {

    private static final String PDF = "pdf";

    /** The words that {@code --to} takes. */
    private static final class Formats extends ArrayList<String> {
        private static final long serialVersionUID = 1L;

        Formats() {
            super(Stream.concat(Stream.of(PDF), Stream.of(SheetExport.values()).map(SheetExport::word))
                    .toList());
        }
    }

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(
            names = "--sheet",
            paramLabel = "NAME",
            description = "the sheet; unless said, the first as SVG, all as PDF")
    private String sheet = "";

    @Option(
            names = "--to",
            required = true,
            paramLabel = "FORMAT",
            completionCandidates = Formats.class,
            description = "${COMPLETION-CANDIDATES}")
    private String format = "";

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "OUT",
            description = "the file to write")
    private Path out;

    @Option(
            names = "--practice",
            paramLabel = "PRACTICE",
            description = "IEC or North-American; the job's, unless said")
    private String practice = "";

    @Override
    public Integer call() {
        Jobs.refuseOverJob(file, out);
        Job job = dressed(Jobs.open(file));
        Sheet drawn = sheet.isEmpty() ? job.sheets().get(0) : Jobs.sheet(job, sheet);
        try {
            WholeFile.write(out, bytes(job, drawn));
            return 0;
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        } catch (IOException unwritable) {
            throw new UsersFaultException(out + ": cannot be written: " + FileFailure.words(unwritable));
        }
    }

    private Job dressed(Job job) {
        return practice.isEmpty()
                ? job
                : Dress.of(
                        job,
                        Practice.ofWords(practice.replace('-', ' '))
                                .orElseThrow(() -> new UsersFaultException(
                                        "--practice: '" + practice + "' found, IEC or North-American expected")));
    }

    private byte[] bytes(Job job, Sheet drawn) throws PartException {
        if (format.equals(PDF)) {
            return JobPack.of(job, sheet.isEmpty() ? job.sheets() : List.of(drawn), JobPack.STATES);
        }
        return wanted().bytes(job, drawn)
                .orElseThrow(() -> new UsersFaultException("the sheet '" + drawn.name() + "' has no program"));
    }

    private SheetExport wanted() {
        return Stream.of(SheetExport.values())
                .filter(one -> one.word().equals(format))
                .findFirst()
                .orElseThrow(() -> new UsersFaultException(
                        "--to: '" + format + "' found, one of " + String.join(", ", new Formats()) + " expected"));
    }
}
