package parable.app.log;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.circuit.Revision;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.LogbookFile;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.logbook.SignedStep;

/** The logbook of the open job, as far as it is about one sheet. */
public final class LogModel {

    private final JobModel jobs;
    private final String name;
    private final Person person;
    private final ReadOnlyObjectWrapper<Logbook> logbook = new ReadOnlyObjectWrapper<>(Logbook.EMPTY);
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper("");

    /** The logbook of the sheet of this name. */
    public LogModel(JobModel jobs, String name, Person person) {
        this.jobs = jobs;
        this.name = name;
        this.person = person;
    }

    /** The sheet it is about. */
    String machine() {
        return name;
    }

    /** The entries as they were read last. */
    public ReadOnlyObjectProperty<Logbook> logbookProperty() {
        return logbook.getReadOnlyProperty();
    }

    /** Whether it is as it was made, or why it cannot be read or written. */
    public ReadOnlyStringProperty stateProperty() {
        return state.getReadOnlyProperty();
    }

    private Optional<Path> file() {
        return jobs.origin().map(LogbookFile::beside);
    }

    /** The circuit as it is now. */
    String revision() {
        return jobs.jobProperty().get().sheet(name).map(Revision::of).orElse("");
    }

    /** Reads the file anew. */
    public void look() {
        if (file().isEmpty()) {
            logbook.set(Logbook.EMPTY);
            state.set("Save the job first: its logbook lies in a file beside it.");
            return;
        }
        try {
            Optional<String> mended = mend();
            logbook.set(LogbookFile.read(file().get()));
            String words = logbook.get().state(jobs.jobProperty().get().logbook());
            state.set(mended.map(done -> done + " ").orElse("") + words);
        } catch (IOException unreadable) {
            state.set("Cannot read the logbook: " + FileFailure.words(unreadable) + ".");
        }
    }

    /** Whether an entry is as it was made, and of the circuit as it is now; sentences. */
    String verified(LogEntry entry) {
        String whole = logbook.get().isAsMade(entry, jobs.jobProperty().get().logbook())
                ? "Every word is as it was signed."
                : "The record is broken there: this proves nothing.";
        return whole
                + (entry.revision().equals(revision())
                        ? " The circuit is still the one it was signed for."
                        : " The circuit has changed since: it was " + entry.revision() + ", it is " + revision() + ".");
    }

    /** What there is to say of the last signature of a test sheet of this machine, read anew; empty if there is none. */
    public String signature() {
        look();
        return logbook.get().find(name, "").stream()
                .filter(entry -> entry.kind() == LogEntry.Kind.SIGNED)
                .reduce((earlier, later) -> later)
                .map(entry ->
                        "Signed by " + entry.by() + " on " + entry.on().replace('T', ' ') + ". " + verified(entry))
                .orElse("");
    }

    /** The entries on this machine in which a device is named, the last first, each with its day and name. */
    public List<String> about(String tag) {
        return logbook.get().naming(name, tag).stream()
                .map(entry -> entry.on().substring(0, 10) + ", " + entry.by() + ": " + entry.text())
                .toList();
    }

    /** Puts a last line in order that is not whole, if this window may write there. */
    private Optional<String> mend() {
        try {
            return LogbookFile.mend(file().orElseThrow(), Person.instant());
        } catch (IOException readOnly) {
            return Optional.empty();
        }
    }

    /**
     * Makes an entry; returns whether it could be. If not, {@link #stateProperty()} says why.
     *
     * @param corrects the number of an entry to be corrected, 0 for none
     */
    public boolean enter(LogEntry.Kind kind, String text, Map<String, String> readings, int corrects) {
        return enter(kind, text, readings, List.of(), corrects);
    }

    /**
     * Enters the signature of a test sheet; returns whether it could be. If not, {@link #stateProperty()} says why.
     *
     * @param signed the complete sheet
     */
    public boolean sign(String text, Map<String, String> readings, List<SignedStep> signed) {
        return enter(LogEntry.Kind.SIGNED, text, readings, signed, 0);
    }

    private boolean enter(
            LogEntry.Kind kind, String text, Map<String, String> readings, List<SignedStep> signed, int corrects) {
        look();
        if (file().isEmpty()) {
            return false;
        }
        if (person.name().isEmpty()) {
            state.set("Say who you are first: an entry bears a name.");
            return false;
        }
        if (text.isBlank() && readings.isEmpty()) {
            state.set("An entry says something or gives a reading.");
            return false;
        }
        Optional<Sheet> sheet = jobs.jobProperty().get().sheet(name);
        Logbook.Draft draft = new Logbook.Draft(
                person.name(),
                name,
                sheet.map(Revision::of).orElse(""),
                kind,
                text.strip(),
                readings,
                signed,
                corrects);
        try {
            Logbook more = LogbookFile.add(
                    file().get(),
                    draft,
                    Person.instant(),
                    jobs.jobProperty().get().logbook());
            jobs.sealBy(more.seal());
            look();
            return true;
        } catch (IOException unwritable) {
            state.set(
                    "Cannot write to the logbook: " + FileFailure.words(unwritable) + ". What was there is as it was.");
            return false;
        }
    }
}
