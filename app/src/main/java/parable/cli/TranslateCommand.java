package parable.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.SealIn;
import parable.plc.Translation;
import parable.plc.TranslationChoices;
import parable.plc.TranslationException;
import parable.ratings.JobTables;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Translates a relay sheet into that of a controller. */
@Command(
        name = "translate",
        description = "Translate a relay sheet into that of a controller, as a further sheet of the job.",
        mixinStandardHelpOptions = true)
final class TranslateCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(names = "--sheet", paramLabel = "NAME", required = true, description = "the sheet")
    private String sheet = "";

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "FILE2",
            description = "the job file to write")
    private Path out;

    @Option(
            names = "--seal-in",
            paramLabel = "HOW",
            description =
                    "'output bit', 'auxiliary contact' or 'auxiliary contact with alarm', which it is unless said")
    private String sealIn = TranslationChoices.PROPOSED.sealIn().words();

    @Option(names = "--transistor", description = "transistor outputs instead of relays")
    private boolean transistor;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Job job = Jobs.open(file);
        Sheet relays = Jobs.sheet(job, sheet);
        SealIn how = SealIn.ofWords(sealIn)
                .orElseThrow(() -> new UsersFaultException("--seal-in: '" + sealIn
                        + "' found, 'output bit', 'auxiliary contact' or 'auxiliary contact with alarm' expected"));
        TranslationChoices proposed = TranslationChoices.PROPOSED;
        try {
            Translation translation = Translation.of(
                    Assembly.of(relays, JobTables.of(job)),
                    job.practice(),
                    new TranslationChoices(how, transistor, proposed.alarmMillis(), proposed.copper()));
            Jobs.save(job.with(translation.sheet()), out);
            PrintWriter printed = spec.commandLine().getOut();
            printed.println(translation.sheet().name());
            translation.splits().forEach(split -> printed.println("  " + split.what() + ": " + split.why()));
            printed.flush();
            return 0;
        } catch (TranslationException untranslatable) {
            throw new UsersFaultException(file + ", " + untranslatable.getMessage());
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        }
    }
}
