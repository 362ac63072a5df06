package parable.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.Claim;
import parable.files.FileFailure;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.files.Journal;
import parable.files.LogbookFile;

/** The open job and its file. What fails leaves the open job as it is and says why. */
public final class JobModel {

    private final ReadOnlyObjectWrapper<Job> job = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
    private Optional<Path> file = Optional.empty();
    private Optional<Path> origin = Optional.empty();

    private final ReadOnlyBooleanWrapper unsaved = new ReadOnlyBooleanWrapper();
    private Optional<Job> saved;
    private Optional<Claim> claim = Optional.empty();
    private final Deque<Job> past = new ArrayDeque<>();
    private final Deque<Job> future = new ArrayDeque<>();
    private final ReadOnlyIntegerWrapper opened = new ReadOnlyIntegerWrapper();
    private final ReadOnlyIntegerWrapper shown = new ReadOnlyIntegerWrapper();
    private final ReadOnlyBooleanWrapper undoable = new ReadOnlyBooleanWrapper();
    private final ReadOnlyBooleanWrapper redoable = new ReadOnlyBooleanWrapper();

    /**
     * A job that has no file of its own yet.
     *
     * @param origin the file it was copied from, beside which its recipes lie; empty if there is none
     */
    public JobModel(Job job, Optional<Path> origin) {
        this.job.set(job);
        this.saved = Optional.of(job);
        this.origin = origin;
    }

    /** The open job. */
    public ReadOnlyObjectProperty<Job> jobProperty() {
        return job.getReadOnlyProperty();
    }

    /** Whether there is anything that has not been saved. */
    public ReadOnlyBooleanProperty unsavedProperty() {
        return unsaved.getReadOnlyProperty();
    }

    /** Goes on with work that another window left behind unsaved. */
    public void recover(Journal.Unsaved left) {
        claim(left.file());
        file = left.file();
        origin = Optional.empty();
        begin(left.job());
        saved = Optional.empty();
        show(left.job());
        message.set("Recovered. Save it to keep it.");
    }

    /** Gives the file back, so that another window may save it. */
    public void close() {
        claim(Optional.empty());
    }

    private void claim(Optional<Path> wanted) {
        try {
            if (claim.isPresent()) {
                claim.get().close();
            }
        } catch (IOException stays) {
            message.set("The mark of the file that was open cannot be removed: " + FileFailure.words(stays) + ".");
        }
        claim = wanted.flatMap(Claim::on);
    }

    private void begin(Job first) {
        past.clear();
        future.clear();
        saved = Optional.of(first);
        opened.set(opened.get() + 1);
        show(first);
        shown.set(opened.get());
    }

    /** What {@link #openedProperty()} counts, once the job that was opened is the open one; it may equal the one before. */
    public ReadOnlyIntegerProperty shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Counts the jobs that were opened; it stays as it is when the open job is edited. */
    public ReadOnlyIntegerProperty openedProperty() {
        return opened.getReadOnlyProperty();
    }

    /** Whether there is an edit that can be undone. */
    public ReadOnlyBooleanProperty undoableProperty() {
        return undoable.getReadOnlyProperty();
    }

    /** Whether there is an edit that was undone and can be made again. */
    public ReadOnlyBooleanProperty redoableProperty() {
        return redoable.getReadOnlyProperty();
    }

    /** Goes on with a changed job; every edit can be undone, without limit. */
    public void edit(Job changed) {
        if (!changed.equals(job.get())) {
            past.push(job.get());
            future.clear();
            show(changed);
        }
    }

    /** Goes on with a sheet of the job in the place of the one that has its name. */
    public void edit(Sheet changed) {
        edit(job.get().with(changed));
    }

    /** Takes the last edit back. */
    public void undo() {
        if (!past.isEmpty()) {
            future.push(job.get());
            show(past.pop());
        }
    }

    /** Makes the edit again that was taken back last. */
    public void redo() {
        if (!future.isEmpty()) {
            past.push(job.get());
            show(future.pop());
        }
    }

    private void show(Job shown) {
        unsaved.set(!saved.equals(Optional.of(shown)));
        job.set(shown);
        undoable.set(!past.isEmpty());
        redoable.set(!future.isEmpty());
    }

    /** What to tell the user about the last opening or saving. */
    public ReadOnlyStringProperty messageProperty() {
        return message.getReadOnlyProperty();
    }

    /** The file the job is saved to, empty if it has none yet. */
    public Optional<Path> file() {
        return file;
    }

    /** The file the job came from, saved or not. */
    public Optional<Path> origin() {
        return file.or(() -> origin);
    }

    /** Puts the message away. */
    public void acknowledge() {
        message.set("");
    }

    /** Opens a job; returns whether it did. */
    public boolean open(Path from) {
        try {
            Job read = JobFile.open(from);
            file = Optional.of(from);
            origin = Optional.empty();
            claim(Optional.of(from));
            begin(read);
            message.set(
                    claim.isPresent()
                            ? ""
                            : from.getFileName()
                                    + " is open in another window or cannot be written: look and try here, and"
                                    + " save under another name.");
            return true;
        } catch (JobFormatException notAJob) {
            message.set("Cannot open " + from.getFileName() + ": " + notAJob.getMessage() + ".");
        } catch (IOException unreadable) {
            message.set("Cannot read " + from + ": " + FileFailure.words(unreadable) + ".");
        }
        return false;
    }

    /** Saves the job to a file, which is its own from then on; returns whether it did. */
    public boolean save(Path to) {
        if (file.filter(to::equals).isPresent() && claim.isEmpty()) {
            claim(Optional.of(to));
            if (claim.isEmpty()) {
                message.set(to.getFileName() + " belongs to another window: save under another name.");
                return false;
            }
        }
        try {
            JobFile.save(job.get(), to);
            if (file.filter(to::equals).isEmpty()) {
                claim(Optional.of(to));
                if (origin().isPresent()) {
                    LogbookFile.follow(origin().get(), to);
                }
            }
            file = Optional.of(to);
            saved = Optional.of(job.get());
            unsaved.set(false);
            message.set("Saved as " + to.getFileName() + ".");
            return true;
        } catch (IOException unwritable) {
            message.set(
                    "Cannot save to " + to + ": " + FileFailure.words(unwritable) + ". The file there is as it was.");
            return false;
        }
    }
}
