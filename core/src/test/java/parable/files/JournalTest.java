package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.circuit.Job;

class JournalTest {

    @TempDir
    private Path folder;

    private final Job job = Examples.pressHouse();
    private long gone;

    @BeforeEach
    void aProcessThatIsGone() throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-version")
                .start();
        process.waitFor();
        gone = process.pid();
    }

    @Test
    void whatAKilledProcessKeptIsFoundWithItsFile() throws IOException {
        Path file = folder.resolve("mine.parable.json");
        new Journal(folder, gone).keep(job, Optional.of(file));

        Journal.Unsaved unsaved = new Journal(folder).leftBehind().orElseThrow();
        assertThat(unsaved.job()).isEqualTo(job);
        assertThat(unsaved.file()).hasValue(file);
        new Journal(folder).discard(unsaved.entry());
        assertThat(new Journal(folder).leftBehind()).isEmpty();
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void theWorkOfALivingProcessIsLeftAlone() throws IOException {
        new Journal(folder, ProcessHandle.current().pid()).keep(job, Optional.empty());
        assertThat(new Journal(folder, gone).leftBehind()).isEmpty();
    }

    @Test
    void anEntryThatWasBrokenOffIsNoWork() throws IOException {
        Journal journal = new Journal(folder, gone);
        journal.keep(job, Optional.empty());
        Path entry = folder.resolve("unsaved-" + gone + ".parable.json");
        List<String> lines = Files.readAllLines(entry);
        Files.write(entry, lines.subList(0, lines.size() / 2));
        assertThat(new Journal(folder).leftBehind()).isEmpty();
    }

    @Test
    void withoutAFolderThereIsNothing() throws IOException {
        assertThat(new Journal(folder.resolve("nowhere")).leftBehind()).isEmpty();
    }

    @Test
    void aFileIsClaimedOnceUntilItIsGivenBack() throws IOException {
        Path file = folder.resolve("mine.parable.json");
        Claim claim = Claim.on(file).orElseThrow();
        assertThat(Claim.on(file)).isEmpty();
        claim.close();
        try (Claim again = Claim.on(file).orElseThrow()) {
            assertThat(again).isNotNull();
        }
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).isEmpty();
        }
    }
}
