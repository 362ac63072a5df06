package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was opened last comes first; what is gone or was never a file is not offered. */
class RecentJobsTest {

    @TempDir
    private Path folder;

    private Path file(String name) throws Exception {
        return Files.writeString(folder.resolve(name), "{}");
    }

    @Test
    void theLastOneComesFirstAndOnce() throws Exception {
        RecentJobs recent = new RecentJobs(folder.resolve("kept"));
        assertThat(recent.list()).isEmpty();
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < RecentJobs.MOST + 3; i++) {
            files.add(file("job " + i + ".parable.json"));
            recent.add(files.get(i));
        }
        recent.add(files.get(5));

        assertThat(new RecentJobs(folder.resolve("kept")).list())
                .hasSize(RecentJobs.MOST)
                .startsWith(files.get(5), files.get(10))
                .doesNotHaveDuplicates();
    }

    @Test
    void whatIsGoneIsNotOffered() throws Exception {
        RecentJobs recent = new RecentJobs(folder);
        Path there = file("there.parable.json");
        Path gone = file("gone.parable.json");
        recent.add(there);
        recent.add(gone);
        Files.delete(gone);
        assertThat(recent.list()).containsExactly(there);
    }

    @Test
    void aSpoiltListIsAnEmptyOne() throws Exception {
        Files.write(folder.resolve("recent"), new byte[] {(byte) 0xff, (byte) 0xfe, 0, 10, 'a'});
        assertThat(new RecentJobs(folder).list()).isEmpty();
        Files.writeString(
                folder.resolve("recent"), "relative.json\n\0\n" + "x".repeat(100_000), StandardCharsets.UTF_8);
        assertThat(new RecentJobs(folder).list()).isEmpty();
        Path job = file("a.parable.json");
        new RecentJobs(folder).add(job);
        assertThat(new RecentJobs(folder).list()).containsExactly(job);
    }
}
