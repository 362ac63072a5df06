package parable.logbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.Share;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;
import parable.circuit.Revision;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.files.LogbookCsv;
import parable.files.LogbookFile;

class LogbookTest {

    @TempDir
    private Path folder;

    private static Logbook.Draft draft(LogEntry.Kind kind, String text, Map<String, String> readings, int corrects) {
        return new Logbook.Draft("R. Alder", "Wash pump", "52a8400321b2", kind, text, readings, corrects);
    }

    private Path written() throws IOException {
        Path file = folder.resolve("press.logbook.jsonl");
        LogbookFile.add(
                file,
                draft(LogEntry.Kind.TEST, "All steps pass", Map.of("Current U1", "3.8 A"), 0),
                "2024-11-26T09:00:00",
                "");
        LogbookFile.add(file, draft(LogEntry.Kind.FAULT, "S1 sticks", Map.of(), 0), "2025-06-02T14:30:00", "");
        LogbookFile.add(
                file,
                draft(LogEntry.Kind.CORRECTION, "It was S3", Map.of("Current U1", "4,1 A"), 2),
                "2025-06-03T08:00:00",
                "");
        return file;
    }

    private Logbook three() throws IOException {
        return LogbookFile.read(written());
    }

    private static Logbook more(Path file, String last) throws IOException {
        return LogbookFile.add(file, draft(LogEntry.Kind.REMARK, "went on", Map.of(), 0), "2026-01-01T00:00:00", last);
    }

    @Test
    void itIsReadAsItWasWritten() throws Exception {
        Logbook read = three();

        assertThat(read.entries())
                .extracting(LogEntry::text)
                .containsExactly("All steps pass", "S1 sticks", "It was S3");
        assertThat(read.entries()).extracting(LogEntry::number).containsExactly(1, 2, 3);
        assertThat(read.breach("")).isEmpty();
        assertThat(read.breach(read.entries().get(1).seal())).isEmpty();
        assertThat(read.state(read.seal())).isEqualTo("3 entries, unbroken.");
        assertThat(LogbookFile.read(folder.resolve("none.logbook.jsonl"))).isEqualTo(Logbook.EMPTY);
    }

    /** Each sign changed, taken away or doubled, and each place the file is cut off at: told, and told for good after writing on. */
    @Test
    void anySignChangedIsNoticedAndStaysNoticedAfterWritingOn() throws Exception {
        String text = Files.readString(written());
        String seal = LogbookFile.read(folder.resolve("press.logbook.jsonl")).seal();
        Path file = folder.resolve("changed.logbook.jsonl");
        int step = 5 - Share.oneIn(4, 4);
        for (int i = 0; i < text.length() - 1; i++) {
            char sign = text.charAt(i);
            for (String spoilt : new String[] {
                text.substring(0, i) + (sign == '7' ? '8' : '7') + text.substring(i + 1),
                text.substring(0, i) + text.substring(i + 1),
                text.substring(0, i) + sign + text.substring(i),
                text.substring(0, i)
            }) {
                boolean every = (spoilt.length() == text.length() || i % 3 == 0) && i % step == 0;
                if (every && !spoilt.equals(text)) {
                    Files.writeString(file, spoilt);
                    String place = "at " + i + " of " + spoilt;
                    LogbookFile.mend(file, "2026-01-01T00:00:00");
                    assertThat(LogbookFile.read(file).state(seal)).as(place).doesNotEndWith(", unbroken.");
                    if (i % 11 == 0) {
                        more(file, seal);
                        Logbook on = more(file, seal);
                        assertThat(on.state(seal)).as(place).doesNotEndWith(", unbroken.");
                        assertThat(on.breach(seal)).as(place).isEmpty();
                        assertThat(on.breaks()).as(place).isNotEmpty();
                    }
                }
            }
        }
    }

    @Test
    void fieldsAddedAndKindsChangedAreNoticed() throws Exception {
        Path file = written();
        String text = Files.readString(file);
        for (String[] change : new String[][] {
            {"\"kind\":\"fault found\"", "\"kind\":\"remark\""},
            {"\"corrects\":2", "\"corrects\":1"},
            {"\"number\":2", "\"number\":02"},
            {"\"text\":\"S1 sticks\"", "\"text\":\"S1 sticks\",\"cost\":\"none\""},
            {"\"3.8 A\"", "\"3.8 A\" "}
        }) {
            Files.writeString(file, text.replace(change[0], change[1]));
            assertThat(LogbookFile.read(file).breach("")).as(change[1]).isPresent();
        }
    }

    @Test
    void linesTakenOutExchangedOrCutOffAreNoticed() throws Exception {
        List<LogLine> all = three().lines();
        String last = three().seal();

        assertThat(line(all.get(1), all.get(2)).breach("").orElseThrow().line()).isEqualTo(1);
        assertThat(line(all.get(0), all.get(2)).breach("").orElseThrow().line()).isEqualTo(2);
        assertThat(line(all.get(0), all.get(2), all.get(1))
                        .breach("")
                        .orElseThrow()
                        .line())
                .isEqualTo(2);
        assertThat(line(all.get(0), all.get(1)).breach(last).orElseThrow().line())
                .isEqualTo(3);
        assertThat(Logbook.EMPTY.breach(last).orElseThrow().line()).isEqualTo(1);
    }

    private static Logbook line(LogLine... lines) {
        return new Logbook(List.of(lines));
    }

    /** A logbook taken away, and one made anew: the next entry does not make it whole. */
    @Test
    void aLogbookThatWasTakenAwayIsToldForGood() throws Exception {
        Path file = written();
        String last = LogbookFile.read(file).seal();
        Files.delete(file);

        Logbook on = more(file, last);
        assertThat(on.entries()).extracting(LogEntry::kind).containsExactly(LogEntry.Kind.BREAK, LogEntry.Kind.REMARK);
        assertThat(on.state(on.seal())).startsWith("2 entries, broken: see No. 1.");
        assertThat(on.state(last)).startsWith("2 entries, broken: see No. 1.");
        assertThat(more(file, on.seal()).entries()).hasSize(3);

        Files.delete(file);
        more(file, "");
        assertThat(LogbookFile.read(file).breach(last)).isPresent();
    }

    /** What an entry about a breach has sealed cannot be changed again unnoticed, nor can that entry be taken out. */
    @Test
    void aBreachIsPartOfTheChain() throws Exception {
        Path file = written();
        Files.writeString(file, Files.readString(file).replace("3.8 A", "3.9 A"));
        Logbook on = more(file, "");
        assertThat(on.breach("")).isEmpty();
        String text = Files.readString(file);

        Files.writeString(file, text.replace("3.9 A", "3.8 A"));
        assertThat(LogbookFile.read(file).breach("")).isPresent();
        Files.writeString(
                file,
                text.lines()
                        .filter(line -> !line.contains("break in the record"))
                        .collect(Collectors.joining("\n", "", "\n")));
        assertThat(LogbookFile.read(file).breach("")).isPresent();
    }

    @Test
    void halfALineIsKeptAsideAndTheNextEntryIsNotGluedToIt() throws Exception {
        Path file = written();
        String text = Files.readString(file);
        Files.writeString(file, text.substring(0, text.length() - 40));

        assertThat(LogbookFile.mend(file, "2026-01-01T00:00:00"))
                .get()
                .asString()
                .startsWith("The last line was not whole");
        Logbook mended = LogbookFile.read(file);
        assertThat(mended.entries()).extracting(LogEntry::kind).endsWith(LogEntry.Kind.FAULT, LogEntry.Kind.BREAK);
        assertThat(LogbookFile.mend(file, "2026-01-01T00:00:00")).isEmpty();
        try (Stream<Path> files = Files.list(folder)) {
            Path aside = files.filter(path -> path.toString().endsWith(".half-line"))
                    .findFirst()
                    .orElseThrow();
            assertThat(text).contains(Files.readString(aside));
        }
        assertThat(more(file, mended.seal()).entries()).hasSize(4);
    }

    @Test
    void aMissingEndOfTheLastLineSwallowsNothing() throws Exception {
        Path file = written();
        String text = Files.readString(file);
        Files.writeString(file, text.strip());

        Logbook on = more(file, "");
        assertThat(on.entries()).hasSize(4);
        assertThat(on.state("")).isEqualTo("4 entries, unbroken.");
        assertThat(LogbookFile.read(file)).isEqualTo(on);
    }

    /** Signing seals each step; one word of it changed, and the signature is none. */
    @Test
    void aSignatureSealsTheCompleteSheet() throws Exception {
        Path file = folder.resolve("press.logbook.jsonl");
        List<SignedStep> sheet = List.of(
                new SignedStep(
                        "Dead. Ohms from S1 13 to K1 13.",
                        "0",
                        "0.1",
                        "pass",
                        "",
                        "R. Alder",
                        "2026-01-01 10:00",
                        "52a8"),
                new SignedStep(
                        "Dead. Read the dial of F2.",
                        "4.1 A",
                        "9 A",
                        "fail, remarked",
                        "ordered",
                        "E. Marsh",
                        "2026-01-01 10:05",
                        "52a8"));
        Logbook.Draft signature =
                new Logbook.Draft("R. Alder", "Wash pump", "52a8", LogEntry.Kind.SIGNED, "2 steps", Map.of(), sheet, 0);
        LogbookFile.add(file, signature, "2026-01-01T11:00:00", "");

        Logbook read = LogbookFile.read(file);
        assertThat(read.entries().get(0).signed()).isEqualTo(sheet);
        assertThat(read.isAsMade(read.entries().get(0), read.seal())).isTrue();
        Files.writeString(file, Files.readString(file).replace("9 A", "4 A"));
        Logbook spoilt = LogbookFile.read(file);
        assertThat(spoilt.isAsMade(spoilt.entries().get(0), read.seal())).isFalse();
        Logbook on = more(file, read.seal());
        assertThat(on.isAsMade(on.entries().get(0), on.seal())).isFalse();
    }

    @Test
    void itIsSearchedByAnyWordsOfItAndKeepsMachinesApart() throws IOException {
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
    void aReadingGoesOverTime() throws IOException {
        Logbook book = three();

        assertThat(book.readable("Wash pump")).containsExactly("Current U1");
        assertThat(book.trend("Wash pump", "Current U1"))
                .extracting(Logbook.MeasuredValue::value)
                .containsExactly(3.8, 4.1);
    }

    @Test
    void whatCannotBeWrittenLeavesWhatWasThere() throws Exception {
        Path file = written();
        String before = Files.readString(file);
        Path within = file.resolve("impossible.logbook.jsonl");

        assertThatThrownBy(() -> more(within, "")).isInstanceOf(IOException.class);
        assertThat(Files.readString(file)).isEqualTo(before);
    }

    /** Two windows that write by turns, neither having read what the other wrote, make one chain. */
    @Test
    void entriesOfSeveralWindowsMakeOneChain() throws Exception {
        Path file = written();
        List<Thread> windows = Stream.of("one", "other")
                .map(name -> new Thread(() -> enterTen(file)))
                .toList();
        windows.forEach(Thread::start);
        for (Thread window : windows) {
            window.join();
        }

        assertThat(LogbookFile.read(file).state("")).isEqualTo("23 entries, unbroken.");
    }

    private static synchronized void enterOnce(Path file) {
        try {
            more(file, "");
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    private static void enterTen(Path file) {
        for (int i = 0; i < 10; i++) {
            enterOnce(file);
        }
    }

    @Test
    void itGoesWithAJobToAnotherFile() throws Exception {
        Path job = folder.resolve("press.parable.json");
        Logbook before = three();
        LogbookFile.follow(job, folder.resolve("copy.parable.json"));

        assertThat(LogbookFile.read(LogbookFile.beside(folder.resolve("copy.parable.json"))))
                .isEqualTo(before);
    }

    @Test
    void formulasInItAreHarmlessInASpreadsheet() throws IOException {
        Logbook book = LogbookFile.add(
                folder.resolve("formula.logbook.jsonl"),
                draft(LogEntry.Kind.REMARK, "=HYPERLINK(\"x\")", Map.of(), 0),
                "2025-01-01T00:00:00",
                "");

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
