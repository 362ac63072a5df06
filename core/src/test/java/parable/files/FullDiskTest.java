package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.circuit.Job;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;

/** On a disk of a few kilobytes, made in memory for it where the system lets us: what fails is said, and what was there is whole. */
class FullDiskTest {

    private static final int KILOBYTES = 200;

    @TempDir
    private Path folder;

    private boolean mounted;

    private static int run(String... command) throws Exception {
        return new ProcessBuilder(command).redirectErrorStream(true).start().waitFor();
    }

    private void mount(String options) throws Exception {
        boolean there = Files.isExecutable(Path.of("/bin/mount")) || Files.isExecutable(Path.of("/usr/bin/mount"));
        mounted = there && run("mount", "-t", "tmpfs", "-o", options, "tmpfs", folder.toString()) == 0;
        assumeThat(mounted).as("a small disk can be made here").isTrue();
    }

    @AfterEach
    void unmount() throws Exception {
        if (mounted) {
            run("umount", "-l", folder.toString());
        }
    }

    private void fill() throws IOException {
        Path filler = folder.resolve("filler");
        byte[] block = new byte[4096];
        try (var out = Files.newOutputStream(filler)) {
            for (int i = 0; i < KILOBYTES; i++) {
                out.write(block);
            }
        } catch (IOException full) {
            assertThat(filler).exists();
        }
    }

    private long files() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.count();
        }
    }

    @Test
    void aFullDiskLeavesEveryFileAsItWas() throws Exception {
        mount("size=" + KILOBYTES + "k");
        Job small = JobFile.open(Examples.LAMP_BOARD);
        Path file = folder.resolve("job.parable.json");
        Path log = LogbookFile.beside(file);
        Logbook.Draft draft =
                new Logbook.Draft("R. Alder", "Pump", "52a8", LogEntry.Kind.REMARK, "x".repeat(5_000), Map.of(), 0);
        Journal journal = new Journal(folder.resolve("journal"));
        Journal.Work work = new Journal.Work(small, Optional.empty(), Optional.empty());
        JobFile.save(small, file);
        LogbookFile.add(log, draft, "2026-01-01T00:00:00", "");
        journal.keep(work);
        String before = Files.readString(log);
        fill();
        long there = files();

        assertThatThrownBy(() -> JobFile.save(Examples.pressHouse(), file)).isInstanceOf(IOException.class);
        assertThatThrownBy(() -> LogbookFile.add(log, draft, "2026-01-01T00:00:00", ""))
                .isInstanceOf(IOException.class);
        assertThatThrownBy(
                        () -> journal.keep(new Journal.Work(Examples.pressHouse(), Optional.empty(), Optional.empty())))
                .isInstanceOf(IOException.class);
        assertThat(JobFile.open(file)).isEqualTo(small);
        assertThat(Files.readString(log)).isEqualTo(before);
        assertThat(LogbookFile.read(log).state("")).isEqualTo("1 entry, unbroken.");
        assertThat(files()).isEqualTo(there);

        Files.delete(folder.resolve("filler"));
        journal.keep(work);
        journal.clear();
        assertThat(LogbookFile.add(log, draft, "2026-01-01T00:00:00", "").state(""))
                .isEqualTo("2 entries, unbroken.");
    }

    @Test
    void aDiskThatCanOnlyBeReadIsRead() throws Exception {
        mount("size=" + KILOBYTES + "k");
        Path file = folder.resolve("job.parable.json");
        Job job = JobFile.open(Examples.LAMP_BOARD);
        JobFile.save(job, file);
        assertThat(run("mount", "-o", "remount,ro", folder.toString())).isZero();

        assertThat(JobFile.open(file)).isEqualTo(job);
        assertThat(FileClaim.on(file)).isEmpty();
        assertThatThrownBy(() -> JobFile.save(job, file))
                .isInstanceOfSatisfying(IOException.class, failure -> assertThat(FileFailure.words(failure))
                        .isEqualTo("that disk can only be read"));
        assertThat(new Journal(folder).leftBehind().work()).isEmpty();
    }
}
