package parable.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
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
        open(file);
    }

    /**
     * Opens the window with the job of a file, which is read while the window is set up.
     *
     * @throws UsersFaultException if it is not a job; then there is no window
     */
    static void open(Path file) {
        if (Files.notExists(file)) {
            read(file);
        }
        CompletableFuture<JobModel> reading = CompletableFuture.supplyAsync(() -> read(file));
        try {
            ParableApp.show(reading::join, window -> {});
        } catch (CompletionException failed) {
            throw failed.getCause() instanceof UsersFaultException fault ? fault : failed;
        }
    }

    private static JobModel read(Path file) {
        JobFile.Opened opened = Jobs.opened(file);
        JobModel jobs = new JobModel(opened.job(), Optional.empty());
        jobs.open(file, opened);
        return jobs;
    }
}
