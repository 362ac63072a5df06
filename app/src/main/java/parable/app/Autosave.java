package parable.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import parable.circuit.Job;
import parable.files.Journal;

/** Keeps unsaved work in the journal, within a second of each edit, on a thread of its own. */
final class Autosave {

    /** The property that says where the journal lies; without it in the user's home folder. */
    private static final String FOLDER = "parable.journal";

    /** So long after an edit it is written, together with those that follow it meanwhile. */
    private static final long GATHERING_MILLIS = 300;

    private final JobModel jobs;
    private final MainWindow window;
    private final Journal journal;
    private final ScheduledExecutorService writer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "journal");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicReference<Optional<Wanted>> wanted = new AtomicReference<>(Optional.empty());
    private final AtomicBoolean scheduled = new AtomicBoolean();
    private boolean keeps;

    Autosave(JobModel jobs, MainWindow window) {
        this.jobs = jobs;
        this.window = window;
        journal = new Journal(folder());
    }

    private static Path folder() {
        String told = System.getProperty(FOLDER);
        return told == null ? Path.of(System.getProperty("user.home"), ".parable") : Path.of(told);
    }

    /** Begins to keep what is not saved, and offers what an earlier window left behind. */
    void begin() {
        offer();
        jobs.jobProperty().addListener((any, before, job) -> keep());
        jobs.unsavedProperty().addListener((any, before, unsaved) -> keep());
        keep();
    }

    private void offer() {
        try {
            journal.leftBehind()
                    .ifPresent(left -> window.offer(
                            "Parable was closed with unsaved work on \u201c"
                                    + left.job().name() + "\u201d. Recover it?",
                            () -> {
                                jobs.recover(left);
                                keep();
                                writer.submit(() -> discard(left.entry()));
                            },
                            () -> writer.submit(() -> discard(left.entry()))));
        } catch (IOException unreadable) {
            window.tell("Unsaved work of an earlier window cannot be looked for: " + unreadable.getMessage());
        }
    }

    /** What is to be kept. */
    private record Wanted(Job job, Optional<Path> file) {}

    /** Takes note of the present state; the thread that writes does the rest, however busy the window is. */
    private void keep() {
        if (jobs.unsavedProperty().get()) {
            keeps = true;
            wanted.set(Optional.of(new Wanted(jobs.jobProperty().get(), jobs.file())));
            if (scheduled.compareAndSet(false, true)) {
                writer.schedule(this::write, GATHERING_MILLIS, TimeUnit.MILLISECONDS);
            }
        } else if (keeps) {
            keeps = false;
            wanted.set(Optional.empty());
            writer.execute(this::clear);
        }
    }

    private void write() {
        scheduled.set(false);
        wanted.get().ifPresent(present -> {
            try {
                journal.keep(present.job(), present.file());
            } catch (IOException unwritable) {
                Platform.runLater(() ->
                        window.tell("Unsaved work cannot be kept: " + unwritable.getMessage() + ". Please save."));
            }
        });
    }

    private void clear() {
        try {
            journal.clear();
        } catch (IOException stays) {
            Platform.runLater(() -> window.tell("What was kept cannot be removed: " + stays.getMessage()));
        }
    }

    private void discard(Path entry) {
        try {
            journal.discard(entry);
        } catch (IOException stays) {
            Platform.runLater(() -> window.tell("What was left behind cannot be removed: " + stays.getMessage()));
        }
    }
}
