package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.training.Attempt;
import parable.training.Score;

class ProgressFileTest {

    @TempDir
    private Path folder;

    private static Attempt attempt(String learner, boolean solved) {
        return new Attempt(
                learner,
                "measuring-1",
                7,
                "2026-11-30T10:00:00Z",
                new Score(solved, 4, 12.3, 1, 2, List.of("A hand into live parts: \"wires\".")),
                2,
                8.5);
    }

    @Test
    void whatWasDoneIsReadAsItWasKept() throws Exception {
        Path file = folder.resolve("class.jsonl");
        assertThat(ProgressFile.read(file)).isEmpty();
        ProgressFile.add(file, attempt("E. Marsh", true));
        ProgressFile.add(file, attempt("R. \"Rob\" Alder, junior", false));

        assertThat(ProgressFile.read(file))
                .containsExactly(attempt("E. Marsh", true), attempt("R. \"Rob\" Alder, junior", false));
        assertThat(ProgressFile.csv(ProgressFile.read(file)).lines())
                .hasSize(3)
                .anyMatch(line -> line.contains("\"R. \"\"Rob\"\" Alder, junior\"") && line.contains("12.3"));
    }

    /** A file of another kind, or one that is cut off, is left as it is. */
    @Test
    void whatIsNoProgressIsLeftAlone() throws Exception {
        Path file = folder.resolve("class.jsonl");
        ProgressFile.add(file, attempt("E. Marsh", true));
        String whole = Files.readString(file);
        for (int cut = 1; cut < whole.length() - 2; cut += 17) {
            String left = whole.substring(0, cut);
            Files.writeString(file, left);
            assertThatThrownBy(() -> ProgressFile.add(file, attempt("R. Alder", true)))
                    .isInstanceOf(JobFormatException.class);
            assertThat(Files.readString(file)).isEqualTo(left);
        }
    }
}
