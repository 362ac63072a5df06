package parable.app.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.app.InterfaceThread;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.logbook.LogEntry;
import parable.logbook.SignedStep;
import parable.starters.Library;

class LogModelTest {

    private static final String PUMP = "Wash pump";

    @TempDir
    private Path folder;

    private final Person person = new Person();
    private JobModel jobs;
    private LogModel log;

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    @BeforeEach
    void savePump() throws Exception {
        Sheet pump = Library.jobs().get(0).sheet(PUMP).orElseThrow();
        InterfaceThread.run(() -> {
            jobs = new JobModel(new Job("Tern Hollow", Practice.IEC, List.of(pump), Extras.NONE), Optional.empty());
            log = new LogModel(jobs, PUMP, person);
        });
    }

    @AfterEach
    void close() throws Exception {
        InterfaceThread.run(() -> jobs.close());
    }

    private void save() {
        assertThat(jobs.save(folder.resolve("mine" + JobFile.ENDING))).isTrue();
        person.nameProperty().set("E. Marsh");
    }

    @Test
    void aJobWithoutAFileHasNoLogbookYet() throws Exception {
        InterfaceThread.run(() -> {
            person.nameProperty().set("E. Marsh");
            assertThat(log.enter(LogEntry.Kind.REMARK, "Belt is new.", Map.of(), 0))
                    .isFalse();
            assertThat(log.stateProperty().get()).startsWith("Save the job first");
        });
    }

    @Test
    void anEntryBearsANameAndSaysSomething() throws Exception {
        InterfaceThread.run(() -> {
            save();
            person.nameProperty().set("");
            assertThat(log.enter(LogEntry.Kind.REMARK, "Belt is new.", Map.of(), 0))
                    .isFalse();
            assertThat(log.stateProperty().get()).contains("an entry bears a name");
            person.nameProperty().set("E. Marsh");
            assertThat(log.enter(LogEntry.Kind.REMARK, " ", Map.of(), 0)).isFalse();
            assertThat(log.stateProperty().get()).isEqualTo("An entry says something or gives a reading.");
            assertThat(log.enter(LogEntry.Kind.REMARK, " ", Map.of("Current U1", "3.8 A"), 0))
                    .isTrue();
        });
    }

    @Test
    void entriesAreNumberedAndBearTheCircuit() throws Exception {
        InterfaceThread.run(() -> {
            save();
            log.enter(LogEntry.Kind.FAULT, "K1 13-14 burnt.", Map.of(), 0);
            log.enter(LogEntry.Kind.CORRECTION, "It was 43-44.", Map.of(), 1);
            List<LogEntry> entries = log.logbookProperty().get().find(PUMP, "");

            assertThat(entries).extracting(LogEntry::number).containsExactly(1, 2);
            assertThat(entries).extracting(LogEntry::by).containsOnly("E. Marsh");
            assertThat(entries).extracting(LogEntry::revision).containsOnly(log.revision());
            assertThat(entries.get(1).corrects()).isEqualTo(1);
            assertThat(log.verified(entries.get(0)))
                    .isEqualTo("Every word is as it was signed. The circuit is still the one it was signed for.");
        });
    }

    @Test
    void aSignatureIsShownAndASpoiltRecordProvesNothing() throws Exception {
        InterfaceThread.run(() -> {
            save();
            assertThat(log.signature()).isEmpty();
            SignedStep step =
                    new SignedStep("Dead. Look", "K1 out", "K1 out", "pass", "", "E. Marsh", "2026-11-26", "abc");
            assertThat(log.sign("All passed.", Map.of(), List.of(step))).isTrue();
            assertThat(log.signature())
                    .startsWith("Signed by E. Marsh on ")
                    .contains("Every word is as it was signed.");
            spoil();
            assertThat(log.signature()).contains("this proves nothing");
        });
    }

    private void spoil() {
        try (var files = Files.list(folder)) {
            Path logbook = files.filter(file -> file.toString().contains("logbook"))
                    .findFirst()
                    .orElseThrow();
            Files.writeString(logbook, Files.readString(logbook).replace("All passed", "All failed"));
        } catch (java.io.IOException unexpected) {
            throw new java.io.UncheckedIOException(unexpected);
        }
    }

    @Test
    void aSignatureOfAnotherCircuitSaysSo() throws Exception {
        InterfaceThread.run(() -> {
            save();
            log.sign("All passed.", Map.of(), List.of());
            String before = log.revision();
            Sheet pump = jobs.jobProperty().get().sheet(PUMP).orElseThrow();
            jobs.edit(pump.withDevices(pump.devices().stream()
                    .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                    .toList()));
            assertThat(log.revision()).isNotEqualTo(before);
            assertThat(log.signature())
                    .endsWith("The circuit has changed since: it was " + before + ", it is " + log.revision() + ".");
        });
    }
}
