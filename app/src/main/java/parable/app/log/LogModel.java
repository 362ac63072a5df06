package parable.app.log;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import parable.app.JobModel;
import parable.app.Person;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.JobFormatException;
import parable.files.LogbookFile;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.logbook.Revision;

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
            logbook.set(LogbookFile.read(file().get()));
            state.set(logbook.get()
                    .tampered(jobs.jobProperty().get().logbook())
                    .map(number -> number > logbook.get().entries().size()
                            ? "Entries are missing at the end: the last one that this job knows of is not there."
                            : "Entry " + number + " is not as it was made, or one before it was taken out."
                                    + " What follows it proves nothing.")
                    .orElse(logbook.get().entries().size()
                            + (logbook.get().entries().size() == 1 ? " entry, unbroken." : " entries, unbroken.")));
        } catch (IOException unreadable) {
            state.set("Cannot read the logbook: " + FileFailure.words(unreadable) + ".");
        } catch (JobFormatException broken) {
            state.set("The logbook is broken: " + broken.getMessage() + ".");
        }
    }

    /**
     * Makes an entry; returns whether it could be. If not, {@link #stateProperty()} says why.
     *
     * @param corrects the number of an entry to be corrected, 0 for none
     */
    public boolean enter(LogEntry.Kind kind, String text, Map<String, String> readings, int corrects) {
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
        Logbook more = logbook.get()
                .with(
                        new Logbook.Draft(
                                person.name(),
                                name,
                                sheet.map(Revision::of).orElse(""),
                                kind,
                                text.strip(),
                                readings,
                                corrects),
                        Person.instant());
        try {
            LogbookFile.append(file().get(), more);
            String seal = more.entries().get(more.entries().size() - 1).seal();
            jobs.edit(jobs.jobProperty().get().sealedBy(seal));
            look();
            return true;
        } catch (IOException unwritable) {
            state.set(
                    "Cannot write to the logbook: " + FileFailure.words(unwritable) + ". What was there is as it was.");
            return false;
        }
    }
}
