package parable.app.job;

import java.nio.file.Path;
import java.util.Optional;
import parable.circuit.Job;

/**
 * The job that is open.
 *
 * @param job the job as it is now
 * @param file the file that it is saved to, empty if it has none yet
 * @param generation how many jobs were opened before it in this window; an edit does not change it
 */
public record OpenJob(Job job, Optional<Path> file, int generation) {

    /** The same job after an edit. */
    OpenJob with(Job edited) {
        return new OpenJob(edited, file, generation);
    }

    /** The same job in another file. */
    OpenJob in(Path other) {
        return new OpenJob(job, Optional.of(other), generation);
    }
}
