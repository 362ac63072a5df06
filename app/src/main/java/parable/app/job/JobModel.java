package parable.app.job;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileClaim;
import parable.files.FileFailure;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.files.Journal;
import parable.files.LogbookFile;
import parable.files.UnknownFields;
import parable.parts.Assembly;

/** The open job and its file. What fails leaves the open job as it is and says why. */
public final class JobModel {

    private final ReadOnlyObjectWrapper<OpenJob> open;
    private final ReadOnlyObjectWrapper<Job> job = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
    private Optional<Path> origin = Optional.empty();

    private final ReadOnlyBooleanWrapper unsaved = new ReadOnlyBooleanWrapper();
    private Optional<Job> saved;
    private Optional<FileClaim> claim = Optional.empty();
    private Optional<String> known = Optional.empty();
    private List<Assembly> fitted = List.of();
    private final ReadOnlyObjectWrapper<Optional<Conflict>> conflict = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Deque<Job> past = new ArrayDeque<>();
    private final Deque<Job> future = new ArrayDeque<>();
    private final ReadOnlyBooleanWrapper undoable = new ReadOnlyBooleanWrapper();
    private final ReadOnlyBooleanWrapper redoable = new ReadOnlyBooleanWrapper();

    /**
     * A job that has no file of its own yet.
     *
     * @param origin the file it was copied from, beside which its recipes lie; empty if there is none
     */
    public JobModel(Job job, Optional<Path> origin) {
        open = new ReadOnlyObjectWrapper<>(new OpenJob(job, Optional.empty(), 0));
        open.addListener((any, before, now) -> {
            compare();
            this.job.set(now.job());
        });
        this.job.set(job);
        this.saved = Optional.of(job);
        this.origin = origin;
    }

    /** The open job with its file, and which of the jobs opened here it is. */
    public ReadOnlyObjectProperty<OpenJob> openProperty() {
        return open.getReadOnlyProperty();
    }

    /** The open job by itself; it is set before any other listener of {@link #openProperty()} is told. */
    public ReadOnlyObjectProperty<Job> jobProperty() {
        return job.getReadOnlyProperty();
    }

    /** The sheets of the open job that were fitted out when its file was read, by the tables that ship; empty if there was none. */
    public List<Assembly> fitted() {
        return fitted;
    }

    /** Whether there is anything that has not been saved. */
    public ReadOnlyBooleanProperty unsavedProperty() {
        return unsaved.getReadOnlyProperty();
    }

    /** Goes on with work that another window left behind unsaved. */
    public void recover(Journal.Work left) {
        claim(left.file());
        known = left.known();
        origin = Optional.empty();
        fitted = List.of();
        begin(left.job(), left.file(), Optional.empty());
        message.set("Recovered. Save it to keep it.");
    }

    /** The open job as it is to be kept while it is not saved. */
    public Journal.Work work() {
        return new Journal.Work(job.get(), file(), known);
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
        claim = wanted.flatMap(FileClaim::on);
        conflict.set(Optional.empty());
    }

    /**
     * The file of the open job holds something that was not read or written here.
     *
     * @param file the file
     * @param theirs the job that it holds, empty if that is none
     * @param fingerprint of what it holds
     */
    public record Conflict(Path file, Optional<Job> theirs, String fingerprint) {}

    /** What keeps the job from being saved to its own file, empty if nothing does. */
    public ReadOnlyObjectProperty<Optional<Conflict>> conflictProperty() {
        return conflict.getReadOnlyProperty();
    }

    /** Saves over what somebody else has written; that stays beside the file as its previous version. */
    public void saveOver() {
        conflict.get().ifPresent(found -> {
            known = Optional.of(found.fingerprint());
            conflict.set(Optional.empty());
            save(found.file());
        });
    }

    /** Goes on with what somebody else has written; undone, it is again what was open here. */
    public void takeTheirs() {
        conflict.get().ifPresent(found -> found.theirs().ifPresent(theirs -> {
            known = Optional.of(found.fingerprint());
            conflict.set(Optional.empty());
            saved = Optional.of(theirs);
            past.push(job.get());
            future.clear();
            show(theirs);
            message.set("This is what the file holds. Ctrl+Z brings yours back.");
        }));
    }

    /** Leaves the file as somebody else has written it, for now. */
    public void putOff() {
        conflict.set(Optional.empty());
    }

    /** Another job is open from now on. */
    private void begin(Job first, Optional<Path> from, Optional<Job> asSaved) {
        past.clear();
        future.clear();
        saved = asSaved;
        show(new OpenJob(first, from, open.get().generation() + 1));
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

    /** Keeps the seal of the last entry of the logbook; that is no edit, and is never undone. */
    public void sealBy(String seal) {
        show(job.get().sealedBy(seal));
    }

    /** Takes the last edit back. */
    public void undo() {
        if (!past.isEmpty()) {
            future.push(job.get());
            show(past.pop().sealedBy(job.get().logbook()));
        }
    }

    /** Makes the edit again that was taken back last. */
    public void redo() {
        if (!future.isEmpty()) {
            past.push(job.get());
            show(future.pop().sealedBy(job.get().logbook()));
        }
    }

    private void show(Job edited) {
        show(open.get().with(edited));
    }

    private void show(OpenJob shown) {
        open.set(shown);
        compare();
        undoable.set(!past.isEmpty());
        redoable.set(!future.isEmpty());
    }

    /** Who listens to this learns from {@link #openProperty()} whether it is still the same job. */
    private void compare() {
        unsaved.set(!saved.equals(Optional.of(open.get().job())));
    }

    /** What to tell the user about the last opening or saving. */
    public ReadOnlyStringProperty messageProperty() {
        return message.getReadOnlyProperty();
    }

    /** The file the job is saved to, empty if it has none yet. */
    public Optional<Path> file() {
        return open.get().file();
    }

    /** The file the job came from, saved or not. */
    public Optional<Path> origin() {
        return file().or(() -> origin);
    }

    /** Puts the message away. */
    public void acknowledge() {
        message.set("");
    }

    /** Opens a job; returns whether it did. */
    public boolean open(Path from) {
        try {
            open(from, JobFile.opened(from));
            return true;
        } catch (JobFormatException notAJob) {
            message.set("Cannot open " + from.getFileName() + ": " + notAJob.getMessage() + ".");
        } catch (IOException unreadable) {
            message.set("Cannot read " + from + ": " + FileFailure.words(unreadable) + ".");
        }
        return false;
    }

    /** Opens a job as it was read from a file. */
    public void open(Path from, JobFile.Opened read) {
        known = Optional.of(read.fingerprint());
        origin = Optional.empty();
        claim(Optional.of(from));
        fitted = read.read().sheets();
        begin(read.job(), Optional.of(from), Optional.of(read.job()));
        message.set(Stream.concat(claimed(from).stream(), UnknownFields.told(read.job()).stream())
                .collect(Collectors.joining(" ")));
    }

    private Optional<String> claimed(Path from) {
        return claim.isPresent()
                ? Optional.empty()
                : Optional.of(from.getFileName()
                        + " is open in another window or cannot be written: look and try here, and"
                        + " save under another name.");
    }

    /**
     * Saves the job to a file, which is its own from then on; returns whether it did. It does not if another window has the file, or if it is the job's own and
     * somebody else has changed it.
     */
    public boolean save(Path to) {
        try {
            return isOwn(to) ? saveOwn(to) : saveAs(to);
        } catch (IOException unwritable) {
            message.set(
                    "Cannot save to " + to + ": " + FileFailure.words(unwritable) + ". The file there is as it was.");
            return false;
        }
    }

    private boolean isOwn(Path to) throws IOException {
        Optional<Path> own = file();
        return own.isPresent()
                && (own.get().equals(to)
                        || Files.exists(to) && Files.exists(own.get()) && Files.isSameFile(own.get(), to));
    }

    private boolean saveOwn(Path to) throws IOException {
        if (claim.isEmpty()) {
            claim(Optional.of(to));
            if (claim.isEmpty() && Files.exists(to)) {
                message.set(
                        to.getFileName() + " belongs to another window or cannot be written: save under another name.");
                return false;
            }
        }
        Optional<String> there = JobFile.fingerprint(to);
        if (there.isPresent() && !there.equals(known)) {
            conflict.set(Optional.of(new Conflict(to, theirs(to), there.get())));
            message.set(to.getFileName()
                    + " was changed by somebody else since it was read here. Nothing is written: look at both first.");
            return false;
        }
        write(to);
        return true;
    }

    private static Optional<Job> theirs(Path file) {
        try {
            return Optional.of(JobFile.open(file));
        } catch (JobFormatException | IOException none) {
            return Optional.empty();
        }
    }

    private boolean saveAs(Path to) throws IOException {
        Optional<FileClaim> theirs = FileClaim.on(to);
        if (theirs.isEmpty() && Files.exists(to)) {
            message.set(to.getFileName()
                    + " is open in another window or cannot be written. It is as it was: save under another name.");
            return false;
        }
        Optional<Path> before = origin();
        try {
            write(to);
        } catch (IOException unwritable) {
            if (theirs.isPresent()) {
                theirs.get().close();
            }
            throw unwritable;
        }
        claim(Optional.empty());
        claim = theirs;
        before.ifPresent(from -> takeLogbook(from, to));
        return true;
    }

    private void takeLogbook(Path from, Path to) {
        try {
            LogbookFile.follow(from, to);
        } catch (IOException stays) {
            message.set("Saved as " + to.getFileName() + ", but its logbook could not be copied there: "
                    + FileFailure.words(stays) + ".");
        }
    }

    private void write(Path to) throws IOException {
        known = Optional.of(JobFile.save(job.get(), to));
        saved = Optional.of(job.get());
        show(open.get().in(to));
        message.set("Saved as " + to.getFileName() + ".");
    }
}
