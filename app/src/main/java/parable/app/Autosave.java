package parable.app;

import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import parable.app.MessageSlip.Answer;
import parable.app.job.HomeFolder;
import parable.app.job.JobModel;
import parable.files.FileFailure;
import parable.files.Journal;

/** Keeps unsaved work in the journal, within a second of each edit, on a thread of its own. */
final class Autosave {

    /** So long after an edit it is written, together with those that follow it meanwhile. */
    private static final long GATHERING_MILLIS = 300;

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    private final JobModel jobs;
    private final MainWindow window;
    private final Journal journal;
    private final ScheduledExecutorService writer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "journal");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicReference<Optional<Journal.Work>> wanted = new AtomicReference<>(Optional.empty());
    private final AtomicBoolean scheduled = new AtomicBoolean();
    private boolean keeps;
    private int opened;

    Autosave(JobModel jobs, MainWindow window) {
        this.jobs = jobs;
        this.window = window;
        journal = new Journal(HomeFolder.path());
        opened = jobs.openProperty().get().generation();
    }

    /** Begins to keep what is not saved, and offers what earlier windows left behind. */
    void begin() {
        jobs.jobProperty().addListener((any, before, job) -> keep());
        jobs.unsavedProperty().addListener((any, before, unsaved) -> keep());
        keep();
        look();
    }

    private void look() {
        try {
            Journal.Finds found = journal.leftBehind();
            if (!found.aside().isEmpty()) {
                window.tell(String.join(" ", found.aside()));
            }
            offer(found.work().stream()
                    .sorted(Comparator.comparing(left -> !isOfOpenJob(left)))
                    .toList());
        } catch (IOException unreadable) {
            window.tell(
                    "Unsaved work of an earlier window cannot be looked for: " + FileFailure.words(unreadable) + ".");
        }
    }

    /** Offers the first; the others come after it was discarded, and stay for the next window once it was recovered. */
    private void offer(List<Journal.Unsaved> left) {
        if (left.isEmpty()) {
            return;
        }
        Journal.Unsaved first = left.get(0);
        if (!isOfOpenJob(first)) {
            offerOther(left);
            return;
        }
        window.slip()
                .offer(
                        words(first, left.size() - 1),
                        new Answer("answer-yes", "Recover", () -> recover(first)),
                        new Answer("answer-no", "Discard", () -> discard(left)));
    }

    private void discard(List<Journal.Unsaved> left) {
        writer.submit(() -> discard(left.get(0).entry()));
        offer(left.subList(1, left.size()));
    }

    private boolean isOfOpenJob(Journal.Unsaved left) {
        return left.work().file().equals(jobs.file())
                && left.work().job().name().equals(jobs.jobProperty().get().name());
    }

    /** Work on another job than the one that is open is kept until somebody says otherwise. */
    private void offerOther(List<Journal.Unsaved> left) {
        Journal.Unsaved first = left.get(0);
        window.slip()
                .offer(
                        words(first, left.size() - 1)
                                .replace("Recover it?", "That is another job than the one that is open."),
                        new Answer("answer-yes", "Open that one", () -> recover(first)),
                        new Answer("answer-later", "Keep it for later", () -> writer.submit(journal::release)),
                        new Answer("answer-no", "Throw it away", () -> discard(left)));
    }

    private void recover(Journal.Unsaved left) {
        jobs.recover(left.work());
        writer.submit(() -> {
            write();
            discard(left.entry());
            journal.release();
        });
    }

    private static String words(Journal.Unsaved left, int more) {
        return "Parable was closed with unsaved work on \u201c"
                + left.work().job().name() + "\u201d"
                + left.work().file().map(file -> " (" + file + ")").orElse("") + ", last changed "
                + WHEN.format(left.at().toInstant().atZone(ZoneId.systemDefault()))
                + (more == 0 ? "." : ", and on " + more + " more.") + " Recover it?";
    }

    /** Takes note of the present state; the thread that writes does the rest, however busy the window is. */
    private void keep() {
        if (opened != jobs.openProperty().get().generation()) {
            opened = jobs.openProperty().get().generation();
            leave();
        }
        if (jobs.unsavedProperty().get()) {
            keeps = true;
            wanted.set(Optional.of(jobs.work()));
            if (scheduled.compareAndSet(false, true)) {
                writer.schedule(this::write, GATHERING_MILLIS, TimeUnit.MILLISECONDS);
            }
        } else if (keeps) {
            keeps = false;
            wanted.set(Optional.empty());
            writer.execute(this::clear);
        }
    }

    /** What was not saved when another job was opened in its place is left to the next window. */
    private void leave() {
        if (!keeps) {
            return;
        }
        keeps = false;
        Optional<Journal.Work> left = wanted.getAndSet(Optional.empty());
        writer.execute(() -> {
            try {
                if (left.isPresent()) {
                    journal.keep(left.get());
                }
                journal.leave();
                left.ifPresent(work -> Platform.runLater(() -> window.tell("What was not saved of \u201c"
                        + work.job().name() + "\u201d is kept. The next window that opens offers it.")));
            } catch (IOException unwritable) {
                Platform.runLater(() ->
                        window.tell("What was not saved could not be kept: " + FileFailure.words(unwritable) + "."));
            }
        });
    }

    private void write() {
        scheduled.set(false);
        wanted.get().ifPresent(present -> {
            try {
                journal.keep(present);
            } catch (IOException unwritable) {
                Platform.runLater(() -> window.tell(
                        "Unsaved work cannot be kept: " + FileFailure.words(unwritable) + ". Please save."));
            }
        });
    }

    /** Keeps the present state now, before anything else is tried; to be called when the program is in trouble. */
    void keepNow() {
        if (jobs.unsavedProperty().get()) {
            wanted.set(Optional.of(jobs.work()));
            writer.execute(this::write);
        }
    }

    private void clear() {
        try {
            journal.clear();
        } catch (IOException stays) {
            Platform.runLater(() -> window.tell("What was kept cannot be removed: " + FileFailure.words(stays) + "."));
        }
    }

    private void discard(Path entry) {
        try {
            journal.discard(entry);
        } catch (IOException stays) {
            Platform.runLater(
                    () -> window.tell("What was left behind cannot be removed: " + FileFailure.words(stays) + "."));
        }
    }
}
