package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.circuit.Job;

class JournalTest {

    private static final String ENTRY = "unsaved-00000000-0000-4000-8000-000000000000.parable.json";

    @TempDir
    private Path folder;

    private final Job job = Examples.pressHouse();

    private static List<String> names(Journal journal) throws IOException {
        return journal.leftBehind().work().stream()
                .map(left -> left.work().job().name())
                .toList();
    }

    private List<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.toList();
        }
    }

    private static Journal.Work work(Job job) {
        return new Journal.Work(job, Optional.empty(), Optional.empty());
    }

    /** What a killed window kept is found whole, with the file it belongs to, and no field is added to the job by that. */
    @Test
    void whatAKilledWindowKeptIsFoundWithItsFile() throws Exception {
        Path file = folder.resolve("mine.parable.json");
        JournalKeeper.keep(folder, "Lamp board", file);

        Journal journal = new Journal(folder);
        Journal.Unsaved left = journal.leftBehind().work().get(0);
        assertThat(left.work().job().sheets())
                .isEqualTo(JobFile.open(Examples.LAMP_BOARD).sheets());
        assertThat(left.work().job().extras().fields()).isEmpty();
        assertThat(left.work().file()).hasValue(file);
        assertThat(left.work().known()).hasValue("known");
        journal.discard(left.entry());
        assertThat(files()).isEmpty();
    }

    /** In a container every process may have the same number: nothing goes by it. */
    @Test
    void severalWindowsKilledAreAllFoundTheNewestFirst() throws Exception {
        JournalKeeper.keep(folder, "first");
        JournalKeeper.keep(folder, "second");
        for (Path entry : files()) {
            if (entry.toString().endsWith(JobFile.ENDING)
                    && JobFile.open(entry).name().equals("first")) {
                Files.setLastModifiedTime(entry, FileTime.fromMillis(1_000));
            }
        }

        assertThat(names(new Journal(folder))).containsExactly("second", "first");
    }

    @Test
    void theWorkOfALivingWindowIsLeftAloneByAllOthers() throws IOException {
        Journal living = new Journal(folder);
        living.keep(work(job));

        assertThat(names(new Journal(folder))).isEmpty();
        assertThat(names(living)).isEmpty();
        living.clear();
        assertThat(files()).isEmpty();
    }

    /** What one window offers no other offers at the same time; given back, the next finds it. */
    @Test
    void workIsOfferedByOneWindowAtATime() throws Exception {
        JournalKeeper.keep(folder, "mine");
        Journal offering = new Journal(folder);
        assertThat(names(offering)).containsExactly("mine");

        assertThat(names(new Journal(folder))).isEmpty();
        offering.release();
        assertThat(names(new Journal(folder))).containsExactly("mine");
    }

    @Test
    void whatIsDamagedIsSetAsideInWordsAndHidesNothing() throws Exception {
        JournalKeeper.keep(folder, "good");
        Files.writeString(folder.resolve(ENTRY), "{\"version\": 1, \"name\": ");

        Journal.Finds found = new Journal(folder).leftBehind();
        assertThat(found.work()).hasSize(1);
        assertThat(found.aside())
                .singleElement()
                .asString()
                .contains(
                        "cannot be read",
                        "the file ends before",
                        folder.resolve("set-aside").toString());
        assertThat(folder.resolve("set-aside").resolve(ENTRY)).exists();
        assertThat(new Journal(folder).leftBehind().aside()).isEmpty();
    }

    /** Folders, pipes, binaries, links to nowhere, what nobody may read: nothing of it keeps the program from starting. */
    @Test
    void nothingThatLiesInTheFolderMakesItFail() throws Exception {
        Files.createDirectory(folder.resolve(ENTRY));
        Files.write(folder.resolve(ENTRY.replace("0000.p", "0001.p")), new byte[] {(byte) 0xff, 0, 1});
        Files.createSymbolicLink(folder.resolve(ENTRY.replace("0000.p", "0002.p")), Path.of("nowhere"));
        new ProcessBuilder(
                        "mkfifo",
                        folder.resolve(ENTRY.replace("0000.p", "0003.p")).toString())
                .start()
                .waitFor(5, TimeUnit.SECONDS);
        Files.createDirectory(folder.resolve(ENTRY.replace("0000.p", "0004.p") + ".lock"));
        Files.writeString(folder.resolve(ENTRY.replace("0000.p", "0004.p")), JobFile.text(job));
        Files.writeString(folder.resolve("unsaved-99999999999999999999999.parable.json"), "x");
        Files.writeString(folder.resolve("notes.txt"), "mine");
        Files.createDirectory(folder.resolve("set-aside"));

        Journal.Finds found = new Journal(folder).leftBehind();
        assertThat(found.work()).extracting(left -> left.work().job()).containsExactly(job);
        assertThat(found.aside()).hasSizeGreaterThanOrEqualTo(4);
        assertThat(folder.resolve("notes.txt")).exists();
    }

    /** A window killed between writing and renaming leaves a file that nobody needs. */
    @Test
    void whatAHalfWrittenEntryLeftIsSweptAway() throws Exception {
        Path rest = folder.resolve("." + ENTRY + ".0123456789abcdef.new");
        Files.writeString(rest, "half");

        new Journal(folder).leftBehind();
        assertThat(rest).doesNotExist();
    }

    @Test
    void nobodyElseCanReadIt() throws Exception {
        Path journal = folder.resolve("journal");
        new Journal(journal).keep(work(job));

        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(journal)))
                .isEqualTo("rwx------");
        try (Stream<Path> files = Files.list(journal)) {
            assertThat(files.filter(file -> file.toString().endsWith(JobFile.ENDING)))
                    .allSatisfy(entry -> assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(entry)))
                            .isEqualTo("rw-------"));
        }
    }

    @Test
    void withoutAFolderThereIsNothing() throws IOException {
        assertThat(names(new Journal(folder.resolve("nowhere")))).isEmpty();
    }

    /** An entry cut off anywhere, or with any sign changed: it is work, or it is set aside in words. */
    @Test
    void anEntrySpoiltAnywhereIsWorkOrSetAside() throws Exception {
        String text = JobFile.text(JobFile.open(Examples.LAMP_BOARD));
        for (int at = 0; at < text.length(); at += 41) {
            for (String spoilt :
                    new String[] {text.substring(0, at), text.substring(0, at) + '\u0007' + text.substring(at + 1)}) {
                Files.writeString(folder.resolve(ENTRY), spoilt);
                Journal journal = new Journal(folder);
                Journal.Finds found = journal.leftBehind();
                assertThat(found.work().size() + found.aside().size())
                        .as("at %s", at)
                        .isEqualTo(1);
                for (Journal.Unsaved left : found.work()) {
                    journal.discard(left.entry());
                }
                journal.release();
                Files.deleteIfExists(folder.resolve("set-aside").resolve(ENTRY));
            }
        }
    }
}
