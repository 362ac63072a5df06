package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.circuit.Device;
import parable.circuit.Job;

/**
 * A process that edits, keeps and saves without end is killed at random moments, by the hundred in one folder; if the system allows it, each in a container of
 * its own, where all have the same number. The same with a whole window is tried beside it.
 */
class KilledTest {

    private static final long MOST_LOST_MILLIS = 2_000;

    @TempDir
    private Path folder;

    /** The process that is killed. Its arguments are the folder of the journal and the file of the job. */
    static final class Working {

        private Working() {}

        /** Edits every few milliseconds; tells each edit once it is made. */
        public static void main(String[] arguments) throws Exception {
            Path file = Path.of(arguments[1]);
            Journal journal = new Journal(Path.of(arguments[0]));
            Job job = JobFile.open(Examples.LAMP_BOARD);
            System.out.println("number " + ProcessHandle.current().pid());
            for (int edit = 1; ; edit++) {
                job = labelled(job, edit);
                System.out.println(edit);
                System.out.flush();
                if (edit % 3 == 0) {
                    journal.keep(new Journal.Work(job, Optional.of(file), Optional.empty()));
                }
                if (edit % 20 == 0) {
                    JobFile.save(job, file);
                }
                Thread.sleep(5);
            }
        }

        private static Job labelled(Job job, int edit) {
            List<Device> devices = new ArrayList<>(job.sheets().get(0).devices());
            devices.set(0, devices.get(0).labelled(Integer.toString(edit)));
            return job.with(job.sheets().get(0).withDevices(devices));
        }
    }

    private static int edits(Job job) {
        String label = job.sheets().get(0).devices().get(0).label();
        return label.matches("\\d+") ? Integer.parseInt(label) : 0;
    }

    private static List<String> contained() throws Exception {
        Process tried = new ProcessBuilder("sh", "-c", "unshare --pid --fork --kill-child true").start();
        return tried.waitFor() == 0 ? List.of("unshare", "--pid", "--fork", "--kill-child") : List.of();
    }

    /** Kills one and returns for how many milliseconds work was lost. */
    private long killOne(List<String> container, Path journal, Path file, int afterMillis) throws Exception {
        Files.deleteIfExists(file);
        List<String> command = new ArrayList<>(container);
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-XX:-UsePerfData",
                "-cp",
                System.getProperty("java.class.path"),
                Working.class.getName(),
                journal.toString(),
                file.toString()));
        Process working = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        List<Long> told = new ArrayList<>();
        try (BufferedReader out = working.inputReader()) {
            String number = out.readLine();
            assertThat(number).startsWith("number ");
            if (!container.isEmpty()) {
                assertThat(number).isEqualTo("number 1");
            }
            long end = System.currentTimeMillis() + afterMillis;
            String line;
            while (System.currentTimeMillis() < end && (line = out.readLine()) != null) {
                told.add(System.currentTimeMillis());
            }
            working.destroyForcibly();
            assertThat(working.waitFor(20, TimeUnit.SECONDS)).isTrue();
        }
        int saved = Files.exists(file) ? edits(JobFile.open(file)) : 0;
        int kept = recovered(journal, saved);
        return kept >= told.size() ? 0 : told.get(told.size() - 1) - told.get(kept);
    }

    /** The last edit that anything holds; what is found is discarded, as a window would. */
    private static int recovered(Path journal, int saved) throws Exception {
        Journal finding = new Journal(journal);
        Journal.Finds found = finding.leftBehind();
        for (int i = 0; found.work().isEmpty() && isKept(journal) && i < 40; i++) {
            Thread.sleep(50);
            found = finding.leftBehind();
        }
        assertThat(found.aside()).as("entries that cannot be read").isEmpty();
        int kept = saved;
        for (Journal.Unsaved left : found.work()) {
            kept = Math.max(kept, edits(left.work().job()));
            finding.discard(left.entry());
        }
        finding.release();
        return kept;
    }

    /** Whether an entry is there; its lock ends a moment after the process that is killed in a container. */
    private static boolean isKept(Path journal) throws IOException {
        if (!Files.exists(journal)) {
            return false;
        }
        try (Stream<Path> files = Files.list(journal)) {
            return files.anyMatch(file -> file.toString().endsWith(JobFile.ENDING));
        }
    }

    private long kill(int times, long seed) throws Exception {
        List<String> container = contained();
        Path journal = folder.resolve("journal");
        Path file = folder.resolve("job" + JobFile.ENDING);
        Random random = new Random(seed);
        long worst = 0;
        for (int i = 0; i < times; i++) {
            worst = Math.max(worst, killOne(container, journal, file, 60 + random.nextInt(500)));
        }
        assertThat(worst).as("milliseconds of work lost").isLessThanOrEqualTo(MOST_LOST_MILLIS);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(path -> path.getFileName().toString()))
                    .allMatch(name -> name.startsWith("job") || name.startsWith(".job") || name.equals("journal"));
        }
        return worst;
    }

    @Test
    void killedTwice() throws Exception {
        kill(2, 20261129);
    }

    @Test
    @Tag("long")
    void killedEightHundredTimes() throws Exception {
        System.out.println("800 processes killed" + (contained().isEmpty() ? "" : ", each number 1 of its container")
                + ": the worst lost " + kill(800, System.nanoTime()) + " ms");
    }
}
