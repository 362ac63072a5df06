package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.circuit.Job;

/** Nothing is written but where it is meant to go, and nothing is read that is no ordinary file. */
class OtherPeoplesFilesTest {

    @TempDir
    private Path folder;

    private final Job job = Examples.pressHouse();

    /** Links of every name that a file in the making or a lock was ever known by, all to a file that is not ours. */
    @Test
    void plantedLinksAreNotFollowed() throws IOException {
        Path victim = folder.resolve("victim");
        Path file = folder.resolve("job.parable.json");
        Files.writeString(victim, "mine");
        JobFile.save(job, file);
        for (String name : new String[] {
            ".job.parable.json.new",
            ".job.parable.json.kept",
            ".job.parable.json.open",
            "job.parable.json.previous",
            "job.parable.json.new",
            ".drawing.svg.new"
        }) {
            Files.createSymbolicLink(folder.resolve(name), victim);
        }

        JobFile.save(job, file);
        WholeFile.write(folder.resolve("drawing.svg"), "drawing".getBytes(StandardCharsets.UTF_8));
        assertThat(FileClaim.on(file)).isEmpty();

        assertThat(victim).hasContent("mine");
    }

    @Test
    void permissionsStayAsTheyWere() throws IOException {
        Path file = folder.resolve("job.parable.json");
        JobFile.save(job, file);
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));

        JobFile.save(job, file);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        assertThat(PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(folder.resolve("job.parable.json.previous"))))
                .isEqualTo("rw-------");
    }

    @Test
    void aFileIsClaimedOnceUntilItIsGivenBackByWhateverNameItIsKnown() throws IOException {
        Path file = folder.resolve("job.parable.json");
        JobFile.save(job, file);
        Path link = Files.createSymbolicLink(folder.resolve("link.parable.json"), file);
        FileClaim claim = FileClaim.on(file).orElseThrow();

        assertThat(FileClaim.on(link)).isEmpty();
        assertThat(FileClaim.on(file)).isEmpty();
        claim.close();
        try (FileClaim again = FileClaim.on(link).orElseThrow()) {
            assertThat(again).isNotNull();
        }
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(file, link);
        }
    }

    @Test
    void aLinkStaysALinkWhenTheJobIsSavedThroughIt() throws IOException, JobFormatException {
        Path file = folder.resolve("job.parable.json");
        JobFile.save(job, file);
        Path link = Files.createSymbolicLink(folder.resolve("link.parable.json"), file);

        JobFile.save(JobFile.open(Examples.LAMP_BOARD), link);
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(JobFile.open(file)).isEqualTo(JobFile.open(Examples.LAMP_BOARD));
        assertThat(Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)).isTrue();
    }

    /** None of them is opened: reading it would never end. */
    @Test
    void devicesPipesAndFoldersAreRefusedAtOnce() throws Exception {
        Path pipe = folder.resolve("pipe.parable.json");
        new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor(5, TimeUnit.SECONDS);

        for (Path endless : new Path[] {pipe, Path.of("/dev/zero"), Path.of("/dev/stdin")}) {
            assertThatThrownBy(() -> JobFile.open(endless))
                    .as(endless.toString())
                    .isInstanceOf(IOException.class)
                    .hasMessageContaining("no ordinary file");
        }
        assertThatThrownBy(() -> JobFile.open(folder)).hasMessageContaining("it is a folder");
    }

    @Test
    void anotherVersionOnTheDiskIsKnownByItsFingerprint() throws Exception {
        Path file = folder.resolve("job.parable.json");
        String saved = JobFile.save(job, file);
        assertThat(JobFile.opened(file).fingerprint()).isEqualTo(saved);

        Files.writeString(file, Files.readString(file) + "\n");
        assertThat(JobFile.fingerprint(file)).isPresent().get().isNotEqualTo(saved);
        assertThat(JobFile.fingerprint(folder.resolve("none"))).isEmpty();
    }

    @Test
    void whatTwoVersionsDoNotHaveInCommonIsToldByTheSheet() {
        Job other = job.with(job.sheets()
                .get(0)
                .withDevices(job.sheets().get(0).devices().stream()
                        .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                        .toList()));

        JobDifference difference = JobDifference.of(job, other);
        assertThat(difference.here()).singleElement().asString().startsWith("Wash pump:  {\"tag\": \"F2\"");
        assertThat(difference.there()).singleElement().asString().contains("5.2 A");
        assertThat(JobDifference.of(job, job).here()).isEmpty();
    }
}
