package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.circuit.Job;
import parable.files.JobFile;

class JobModelTest {

    private static final Path DEMO =
            Path.of(System.getProperty("parable.examples"), "tern-hollow-press-house" + JobFile.ENDING);

    @TempDir
    private Path folder;

    private JobModel jobs;

    @BeforeEach
    void open() throws Exception {
        jobs = new JobModel(JobFile.open(DEMO), Optional.of(DEMO));
    }

    @Test
    void whatCannotBeOpenedLeavesTheOpenJobAlone() throws IOException {
        Job before = jobs.jobProperty().get();
        Path broken = Files.writeString(folder.resolve("broken.parable.json"), "{}");

        assertThat(jobs.open(broken)).isFalse();
        assertThat(jobs.messageProperty().get())
                .isEqualTo("Cannot open broken.parable.json: line 1: found no field 'version', expected one.");
        assertThat(jobs.open(folder.resolve("none.parable.json"))).isFalse();
        assertThat(jobs.messageProperty().get()).endsWith("there is no such file or folder.");
        assertThat(jobs.jobProperty().get()).isSameAs(before);
        assertThat(jobs.file()).isEmpty();
    }

    @Test
    void whatCannotBeSavedIsSaidAndTheOldFileIsWhole() throws IOException {
        assertThat(jobs.save(folder.resolve("no").resolve("such.parable.json"))).isFalse();
        assertThat(jobs.messageProperty().get()).contains("The file there is as it was");
        assertThat(jobs.file()).isEmpty();
    }

    @Test
    void aDemoIsSavedElsewhereAndKeepsItsRecipes() throws IOException {
        Path mine = folder.resolve("mine.parable.json");
        assertThat(jobs.origin()).contains(DEMO);
        assertThat(jobs.save(mine)).isTrue();
        assertThat(jobs.file()).contains(mine);
        assertThat(Files.readString(mine)).isEqualTo(Files.readString(DEMO));
    }

    @Test
    void recipesLieInTheFolderNamedLikeTheSheetAndAreCalledByTheirNames() throws IOException {
        assertThat(Recipes.of(DEMO, "Mill start warning"))
                .extracting(Recipes::title)
                .containsExactly("Start is refused until the horn stops", "After a trip the horn sounds again");
        assertThat(Recipes.of(DEMO, "No such sheet")).isEmpty();
    }
}
