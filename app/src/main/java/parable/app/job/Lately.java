package parable.app.job;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import parable.files.RecentJobs;

/** The jobs that were opened lately, kept for the next window. */
public final class Lately {

    private Optional<RecentJobs> kept = Optional.empty();

    /** Keeps from now on what is opened or saved. */
    public void follow(JobModel jobs, RecentJobs where) {
        kept = Optional.of(where);
        jobs.file().ifPresent(this::keep);
        jobs.openProperty().addListener((any, before, now) -> {
            if (!before.file().equals(now.file())) {
                now.file().ifPresent(this::keep);
            }
        });
    }

    /** The list is a convenience: a folder in which nothing can be written costs nobody anything. */
    private void keep(Path file) {
        kept.ifPresent(where -> {
            try {
                where.add(file);
            } catch (IOException unwritable) {
                kept = Optional.empty();
            }
        });
    }

    /** The files, the last one first; none in a window that keeps nothing. */
    public List<Path> files() {
        return kept.map(RecentJobs::list).orElse(List.of());
    }
}
