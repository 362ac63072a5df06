package parable.logbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.files.JobFormatException;
import parable.files.LogbookCsv;
import parable.files.LogbookFile;

class LogbookTest {

    @TempDir
    private Path folder;

    private Logbook three() {
        return Logbook.EMPTY
                .with(
                        draft(LogEntry.Kind.TEST, "All steps pass", Map.of("Current U1", "3.8 A"), 0),
                        "2024-11-26T09:00:00")
                .with(draft(LogEntry.Kind.FAULT, "S1 sticks", Map.of(), 0), "2025-06-02T14:30:00")
                .with(
                        draft(LogEntry.Kind.CORRECTION, "It was S3", Map.of("Current U1", "4,1 A"), 2),
                        "2025-06-03T08:00:00");
    }

    private static Logbook.Draft draft(LogEntry.Kind kind, String text, Map<String, String> readings, int corrects) {
        return new Logbook.Draft("R. Alder", "Wash pump", "52a8400321b2", kind, text, readings, corrects);
    }

    private Path written(Logbook logbook) throws IOException {
        Path file = folder.resolve("press.logbook.jsonl");
        Logbook sofar = Logbook.EMPTY;
        for (LogEntry entry : logbook.entries()) {
            List<LogEntry> more = new ArrayList<>(sofar.entries());
            more.add(entry);
            sofar = new Logbook(more);
            LogbookFile.append(file, sofar);
        }
        return file;
    }

    @Test
    void itIsReadAsItWasWritten() throws Exception {
        Logbook read = LogbookFile.read(written(three()));

        assertThat(read).isEqualTo(three());
        assertThat(read.tampered("")).isEmpty();
        assertThat(read.tampered(three().entries().get(2).seal())).isEmpty();
        assertThat(LogbookFile.read(folder.resolve("none.logbook.jsonl"))).isEqualTo(Logbook.EMPTY);
    }

    /** Any sign changed anywhere is noticed, if only by the file not being readable any more. */
    @Test
    void anySignChangedIsNoticed() throws Exception {
        String text = Files.readString(written(three()));
        Path file = folder.resolve("changed.logbook.jsonl");
        for (int i = 0; i < text.length(); i++) {
            char sign = text.charAt(i);
            if (sign != '\n') {
                char other = sign == '7' ? '8' : '7';
                Files.writeString(file, text.substring(0, i) + other + text.substring(i + 1));
                assertThat(isNoticed(file)).as("at %s: %s", i, sign).isTrue();
            }
        }
    }

    private static boolean isNoticed(Path file) throws IOException {
        try {
            return LogbookFile.read(file).tampered("").isPresent();
        } catch (JobFormatException broken) {
            return true;
        }
    }

    @Test
    void entriesTakenOutExchangedOrCutOffAreNoticed() {
        List<LogEntry> all = three().entries();
        String last = all.get(2).seal();

        assertThat(new Logbook(List.of(all.get(1), all.get(2))).tampered("")).contains(1);
        assertThat(new Logbook(List.of(all.get(0), all.get(2))).tampered("")).contains(2);
        assertThat(new Logbook(List.of(all.get(0), all.get(2), all.get(1))).tampered(""))
                .contains(2);
        assertThat(new Logbook(all.subList(0, 2)).tampered(last)).contains(3);
        assertThat(Logbook.EMPTY.tampered(last)).contains(1);
    }

    /** A whole chain made anew is sound in itself; the job still knows the seal of the old one. */
    @Test
    void aForgedChainIsNoticedByTheSealThatTheJobKeeps() {
        Logbook forged =
                Logbook.EMPTY.with(draft(LogEntry.Kind.TEST, "All steps pass", Map.of(), 0), "2024-11-26T09:00:00");

        assertThat(forged.tampered("")).isEmpty();
        assertThat(forged.tampered(three().entries().get(2).seal())).contains(2);
    }

    @Test
    void itIsSearchedByAnyWordsOfItAndKeepsMachinesApart() {
        Logbook book = three();

        assertThat(book.find("Wash pump", "")).hasSize(3);
        assertThat(book.find("Wash pump", "FAULT s1"))
                .extracting(LogEntry::number)
                .containsExactly(2);
        assertThat(book.find("Wash pump", "2025-06 alder"))
                .extracting(LogEntry::number)
                .containsExactly(2, 3);
        assertThat(book.find("Mill", "")).isEmpty();
    }

    @Test
    void aReadingGoesOverTime() {
        assertThat(three().readable("Wash pump")).containsExactly("Current U1");
        assertThat(three().trend("Wash pump", "Current U1"))
                .extracting(Logbook.Point::value)
                .containsExactly(3.8, 4.1);
    }

    @Test
    void aBrokenLineIsToldByItsNumber() throws Exception {
        Path file = written(three());
        Files.writeString(file, Files.readString(file) + "{\"number\": 4}\n");

        assertThatThrownBy(() -> LogbookFile.read(file))
                .isInstanceOf(JobFormatException.class)
                .hasMessageContaining("line 4");
    }

    @Test
    void whatCannotBeWrittenLeavesWhatWasThere() throws Exception {
        Path file = written(three());
        String before = Files.readString(file);
        Path within = file.resolve("impossible.logbook.jsonl");

        assertThatThrownBy(() -> LogbookFile.append(within, three())).isInstanceOf(IOException.class);
        assertThat(Files.readString(file)).isEqualTo(before);
    }

    @Test
    void itGoesWithAJobToAnotherFile() throws Exception {
        Path job = folder.resolve("press.parable.json");
        written(three());
        LogbookFile.follow(job, folder.resolve("copy.parable.json"));

        assertThat(LogbookFile.read(LogbookFile.beside(folder.resolve("copy.parable.json"))))
                .isEqualTo(three());
    }

    @Test
    void formulasInItAreHarmlessInASpreadsheet() {
        Logbook book = Logbook.EMPTY.with(
                draft(LogEntry.Kind.REMARK, "=HYPERLINK(\"x\")", Map.of(), 0), "2025-01-01T00:00:00");

        assertThat(LogbookCsv.text(book.entries())).contains("\"'=HYPERLINK(\"\"x\"\")\"");
    }

    @Test
    void aRevisionChangesWithTheCircuitAndWithNothingElse() {
        Sheet sheet = Examples.ofLibrary("Wash pump");
        Fieldwork work = Fieldwork.NONE
                .by(WiringMethod.TERMINAL_STRIP)
                .with(new Reading("step", "ok", "", "R. Alder", "2026-11-26 10:00"));

        assertThat(Revision.of(sheet.withFieldwork(work).named("Pump")))
                .isEqualTo(Revision.of(sheet))
                .matches("[0-9a-f]{12}");
        assertThat(Revision.of(sheet.withDevices(sheet.devices().stream()
                        .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                        .toList())))
                .isNotEqualTo(Revision.of(sheet));
    }
}
