package parable.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Tasks on the command line: moves from standard input, what came of it, and what is kept. */
class TrainCommandTest {

    @TempDir
    private Path folder;

    private String said = "";

    private int run(String typed, String... args) {
        StringWriter out = new StringWriter();
        InputStream before = System.in;
        System.setIn(new ByteArrayInputStream(typed.getBytes(StandardCharsets.UTF_8)));
        try {
            return Main.commandLine()
                    .setOut(new PrintWriter(out))
                    .setErr(new PrintWriter(out))
                    .execute(args);
        } finally {
            System.setIn(before);
            said = out.toString();
        }
    }

    @Test
    void theTasksAreListedAndOneIsDoneAndKept() {
        String kept = folder.resolve("class.jsonl").toString();
        assertThat(run("", "train")).isZero();
        assertThat(said).contains("star delta", "measuring-2", "What is wrong with this drawing");
        assertThat(run(
                        "K1 in\nM1 forward\n",
                        "train",
                        "--task",
                        "first-steps-2",
                        "--learner",
                        "E. Marsh",
                        "--progress",
                        kept))
                .isZero();
        assertThat(said).contains("Right: K1 in.", "Solved.", "Kept in");
        run("", "train", "--progress", kept, "--learner", "E. Marsh");
        assertThat(said).contains("\u2713 first-steps-2");
        run("", "train", "--progress", kept, "--csv");
        assertThat(said).contains("E. Marsh,first-steps-2,1,");
    }

    @Test
    void whatIsDangerousOrSenselessIsToldAndTheLineGoesOn() {
        assertThat(run(
                        "ohms K1:A1 to K1:A2\nnonsense\ndead\nohms K1:A1 to K1:A2\nit is K1 broken\n",
                        "train",
                        "--task",
                        "measuring-2"))
                .isEqualTo(1);
        assertThat(said)
                .contains("Make it dead first.", "  ? ", "  open", "Yes: K1 is burnt through.", "1 dangerous act.");
        assertThat(run("", "train", "--task", "nothing-9")).isEqualTo(2);
        assertThat(said).contains("found nothing-9");
    }

    @Test
    void aTeacherMakesATaskOfASheetAndAFault() throws Exception {
        Path demo = Path.of(System.getProperty("parable.examples"), "tern-hollow-press-house.parable.json");
        assertThat(run("", "train", demo.toString(), "--sheet", "Pomace auger", "--hide", "K1 broken", "--solution"))
                .isZero();
        assertThat(said).endsWith("it is K1 broken\n");
        assertThat(run("give up\n", "train", demo.toString(), "--sheet", "Pomace auger", "--hide", "K1 happy"))
                .isEqualTo(2);
        assertThat(said).contains("what it is", "K1 happy");
        Path other = folder.resolve("other.txt");
        Files.writeString(other, "my notes\n");
        assertThat(run(
                        "K1 in\nM1 forward\n",
                        "train",
                        "--task",
                        "first-steps-2",
                        "--learner",
                        "A",
                        "--progress",
                        other.toString()))
                .isEqualTo(2);
        assertThat(Files.readString(other)).isEqualTo("my notes\n");
    }
}
