package parable.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.app.job.JobModel;
import parable.files.FileClaim;
import parable.files.JobFile;

/** The command that opens a window, in a process of its own as it is used. */
class OpenCommandTest {

    private static final Path DEMO =
            Path.of(System.getProperty("parable.examples"), "tern-hollow-press-house.parable.json");

    @TempDir
    private Path folder;

    private Optional<Process> started = Optional.empty();

    @AfterEach
    void end() throws InterruptedException {
        if (started.isPresent()) {
            started.get().destroyForcibly().waitFor();
        }
    }

    @Test
    void whatIsNoJobIsSaidInOneLineAndOpensNoWindow() throws Exception {
        Path file = folder.resolve("spoilt.parable.json");
        Files.writeString(file, Files.readString(DEMO).replaceFirst("\"contactor\"", "\"contactoor\""));
        Process open = open(file);
        assertThat(open.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(open.exitValue()).isEqualTo(2);
        assertThat(new String(open.getErrorStream().readAllBytes(), StandardCharsets.UTF_8).lines())
                .filteredOn(line -> line.startsWith(file + ": "))
                .singleElement()
                .asString()
                .contains("line ", "found 'contactoor', expected one of ");
        assertThat(FileClaim.on(file)).isPresent();
    }

    @Test
    void aJobThatIsOpenInAWindowIsTheirsUntilThatIsGone() throws Exception {
        Path file = Files.copy(DEMO, folder.resolve("job.parable.json"));
        Process open = open(file);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        Path mark = folder.resolve(".job.parable.json.open");
        while (!isWritten(mark) && open.isAlive() && System.nanoTime() < end) {
            Thread.sleep(50);
        }
        assertThat(isTaken(file)).isTrue();
        assertThat(open.isAlive()).isTrue();

        JobModel second = new JobModel(JobFile.open(DEMO), Optional.empty());
        byte[] before = Files.readAllBytes(file);
        assertThat(second.open(file)).isTrue();
        assertThat(second.messageProperty().get()).contains("is open in another window");
        second.edit(second.jobProperty().get().sheets().get(0).named("Other pump"));
        assertThat(second.save(file)).isFalse();
        assertThat(file).hasBinaryContent(before);
        assertThat(isTaken(file)).isTrue();
    }

    /** Its holder writes into the mark once it has it. */
    private static boolean isWritten(Path mark) throws IOException {
        return Files.exists(mark) && Files.size(mark) > 0;
    }

    private static boolean isTaken(Path file) throws IOException {
        Optional<FileClaim> free = FileClaim.on(file);
        if (free.isPresent()) {
            free.get().close();
        }
        return free.isEmpty();
    }

    private Process open(Path file) throws IOException {
        Process open = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-Dglass.platform=Monocle",
                        "-Dmonocle.platform=Headless",
                        "-Dprism.order=sw",
                        "-Dparable.journal=" + folder,
                        "-cp",
                        System.getProperty("java.class.path"),
                        Main.class.getName(),
                        "open",
                        file.toString())
                .start();
        started = Optional.of(open);
        return open;
    }
}
