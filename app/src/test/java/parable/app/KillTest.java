package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.files.Journal;

/** A window that is killed in the middle of work leaves whole files, and at most two seconds of work are lost. */
class KillTest {

    private static final long MOST_LOST_MILLIS = 2_000;

    @TempDir
    private Path folder;

    @Test
    void killedOnce() throws Exception {
        kill(1, 20261125);
    }

    @Test
    @Tag("long")
    void killedTwoHundredTimes() throws Exception {
        kill(200, System.nanoTime());
    }

    private void kill(int times, long seed) throws Exception {
        Random random = new Random(seed);
        for (int i = 0; i < times; i++) {
            Path journal = Files.createDirectory(folder.resolve("journal-" + i));
            killOnce(journal, folder.resolve("job-" + i + EditingScript.ending()), 1_200 + random.nextInt(3_000));
        }
    }

    /** An edit that the script told of, and when. */
    private record Told(int edit, long millis) {}

    private static void killOnce(Path journal, Path file, int afterMillis) throws Exception {
        Process script = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Dglass.platform=Monocle",
                        "-Dmonocle.platform=Headless",
                        "-Dprism.order=sw",
                        "-Dparable.journal=" + journal,
                        "-cp",
                        System.getProperty("java.class.path"),
                        EditingScript.class.getName(),
                        file.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        List<Told> told = new ArrayList<>();
        try (BufferedReader out = script.inputReader()) {
            long end = Long.MAX_VALUE;
            String line;
            while (System.currentTimeMillis() < end && (line = out.readLine()) != null) {
                if (told.isEmpty()) {
                    end = System.currentTimeMillis() + afterMillis;
                }
                told.add(new Told(Integer.parseInt(line), System.currentTimeMillis()));
            }
            script.destroyForcibly();
            assertThat(script.waitFor(20, TimeUnit.SECONDS)).isTrue();
        }
        assertThat(told).as("edits before the kill").isNotEmpty();
        assertKept(journal, file, told);
    }

    private static void assertKept(Path journal, Path file, List<Told> told) throws IOException, JobFormatException {
        int saved = EditingScript.editsIn(JobFile.open(file));
        Journal.Finds found = new Journal(journal).leftBehind();
        assertThat(found.aside()).as("entries that cannot be read").isEmpty();
        int kept = found.work().stream()
                .mapToInt(left -> EditingScript.editsIn(left.work().job()))
                .reduce(saved, Math::max);
        long killed = told.get(told.size() - 1).millis();
        int mustBeKept = told.stream()
                .filter(edit -> edit.millis() <= killed - MOST_LOST_MILLIS)
                .mapToInt(Told::edit)
                .max()
                .orElse(0);
        assertThat(kept).as("the last edit that is kept").isGreaterThanOrEqualTo(mustBeKept);
    }
}
