package parable.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.util.Duration;
import parable.circuit.Job;
import parable.files.Journal;

/** Keeps unsaved work in the journal, once a second while there is any, on a thread of its own. */
final class Autosave {

    /** The property that says where the journal lies; without it in the user's home folder. */
    private static final String FOLDER = "parable.journal";

    private static final Duration EVERY = Duration.seconds(1);

    private final JobModel jobs;
    private final MainWindow window;
    private final Journal journal;
    private final ExecutorService writer = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "journal");
        thread.setDaemon(true);
        return thread;
    });
    private Optional<Job> kept = Optional.empty();

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
        Timeline clock = new Timeline(new KeyFrame(EVERY, event -> keep()));
        clock.setCycleCount(Animation.INDEFINITE);
        clock.play();
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

    private void keep() {
        Job now = jobs.jobProperty().get();
        if (!jobs.unsavedProperty().get()) {
            if (kept.isPresent()) {
                kept = Optional.empty();
                writer.submit(this::clear);
            }
        } else if (kept.filter(job -> job == now).isEmpty()) {
            kept = Optional.of(now);
            Optional<Path> file = jobs.file();
            writer.submit(() -> write(now, file));
        }
    }

    private void write(Job job, Optional<Path> file) {
        try {
            journal.keep(job, file);
        } catch (IOException unwritable) {
            Platform.runLater(() -> {
                kept = Optional.empty();
                window.tell("Unsaved work cannot be kept: " + unwritable.getMessage() + ". Please save.");
            });
        }
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
