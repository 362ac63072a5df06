package parable.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.PlcOpenException;
import parable.files.PlcOpenXml;
import parable.plc.ProgramSheet;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.StructuredText;
import parable.program.StructuredTextException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Makes a job of a program: a sheet with a controller that has the terminals the program needs. */
@Command(
        name = "import",
        description = "Read a program, PLCopen XML or Structured Text, into a job of its own, or into a sheet of one.",
        mixinStandardHelpOptions = true)
final class ImportCommand implements Callable<Integer> {

    @Parameters(paramLabel = "IN", description = "a file of PLCopen XML or Structured Text")
    private Path in;

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "FILE",
            description = "the job file to write")
    private Path out;

    @Option(
            names = "--into",
            paramLabel = "JOB",
            description = "a job that has the sheet; the program takes the place of the one there")
    private Optional<Path> into = Optional.empty();

    @Option(names = "--sheet", paramLabel = "NAME", description = "the sheet of that job")
    private String sheet = "";

    @Override
    public Integer call() {
        Program program = program(Jobs.text(in));
        if (Jobs.isSame(in, out)) {
            throw new UsersFaultException("-o " + out + ": found the file that is read, expected another name");
        }
        Jobs.save(job(program), out);
        return 0;
    }

    private Job job(Program program) {
        if (into.isEmpty()) {
            Sheet made = ProgramSheet.of(program);
            return new Job(program.name(), Practice.IEC, List.of(made), Extras.NONE);
        }
        Job job = Jobs.open(into.get());
        return job.with(Jobs.sheet(job, sheet).withProgram(Optional.of(program)));
    }

    private Program program(String text) {
        try {
            return text.stripLeading().startsWith("<") ? PlcOpenXml.read(text) : StructuredText.read(text);
        } catch (PlcOpenException | StructuredTextException | ProgramException refused) {
            throw new UsersFaultException(in + ": " + refused.getMessage());
        }
    }
}
