package parable.cli;

import java.nio.file.Path;
import java.util.Optional;
import parable.app.JobModel;
import parable.app.ParableApp;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Opens the window with a job. */
@Command(name = "open", description = "Open the window with a job.", mixinStandardHelpOptions = true)
final class OpenCommand implements Runnable {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Override
    public void run() {
        JobModel jobs = new JobModel(Jobs.open(file), Optional.empty());
        jobs.open(file);
        ParableApp.show(() -> jobs, window -> {});
    }
}
