package parable.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.files.FileFailure;
import parable.files.JobFile;
import parable.starters.Library;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Writes the library of starters as job files. */
@Command(
        name = "library",
        description = "Write every starter of the library into job files, to open, run and change.",
        mixinStandardHelpOptions = true)
final class LibraryCommand implements Callable<Integer> {

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "FOLDER",
            description = "the folder they go to; files of their names are replaced")
    private Path folder;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        try {
            Files.createDirectories(folder);
            for (Job job : Library.jobs()) {
                Path file = folder.resolve(job.name().toLowerCase(Locale.ROOT).replace(' ', '-') + JobFile.ENDING);
                Jobs.save(job, file);
                spec.commandLine().getOut().println(file);
            }
            spec.commandLine().getOut().flush();
            return 0;
        } catch (IOException unwritable) {
            throw new UsersFaultException(
                    folder + ": the library cannot be written there: " + FileFailure.words(unwritable));
        }
    }
}
