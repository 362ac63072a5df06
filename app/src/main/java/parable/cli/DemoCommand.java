package parable.cli;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import parable.app.ParableApp;
import parable.app.job.JobModel;
import picocli.CommandLine.Command;

/** Opens the window with the demo job. */
@Command(name = "demo", description = "Open the window with the demo job.", mixinStandardHelpOptions = true)
final class DemoCommand implements Runnable {

    @Override
    public void run() {
        Path demo = Jobs.demo();
        CompletableFuture<JobModel> reading =
                CompletableFuture.supplyAsync(() -> new JobModel(Jobs.open(demo), Optional.of(demo)));
        ParableApp.show(reading::join, window -> window.tour().offer());
    }
}
