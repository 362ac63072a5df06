package parable.cli;

import java.nio.file.Path;
import java.util.Optional;
import parable.app.ParableApp;
import parable.app.job.JobModel;
import parable.files.JobFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Opens the window with a job. */
@Command(name = "open", description = "Open the window with a job.", mixinStandardHelpOptions = true)
final class OpenCommand implements Runnable {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Override
    public void run() {
        JobFile.Opened opened = Jobs.opened(file);
        JobModel jobs = new JobModel(opened.job(), Optional.empty());
        jobs.open(file, opened);
        ParableApp.show(() -> jobs, window -> {});
    }
}
