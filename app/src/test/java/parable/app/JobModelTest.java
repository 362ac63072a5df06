package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.app.job.JobModel;
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

    private static Job renamed(Job job, String name) {
        return new Job(name, job.conventions(), job.sheets(), job.sizing(), job.logbook(), job.extras());
    }

    private Path saved() {
        Path mine = folder.resolve("mine.parable.json");
        assertThat(jobs.save(mine)).isTrue();
        return mine;
    }

    /** Somebody else has saved meanwhile: nothing is written over, and each of the three ways out keeps both versions. */
    @Test
    void aFileThatSomebodyElseHasChangedIsNotWrittenOver() throws Exception {
        Path mine = saved();
        Job theirs = renamed(jobs.jobProperty().get(), "theirs");
        Job ours = renamed(jobs.jobProperty().get(), "ours");
        JobFile.save(theirs, mine);
        jobs.edit(ours);

        assertThat(jobs.save(mine)).isFalse();
        assertThat(jobs.messageProperty().get()).contains("was changed by somebody else");
        assertThat(jobs.conflictProperty().get().orElseThrow().theirs()).contains(theirs);
        assertThat(JobFile.open(mine)).isEqualTo(theirs);
        assertThat(jobs.unsavedProperty().get()).isTrue();

        jobs.takeTheirs();
        assertThat(jobs.jobProperty().get()).isEqualTo(theirs);
        assertThat(jobs.unsavedProperty().get()).isFalse();
        jobs.undo();
        assertThat(jobs.jobProperty().get()).isEqualTo(ours);
        assertThat(jobs.save(mine)).isTrue();
        assertThat(JobFile.open(folder.resolve("mine.parable.json" + JobFile.PREVIOUS)))
                .isEqualTo(theirs);
    }

    @Test
    void whatSomebodyElseHasWrittenStaysBesideWhenItIsWrittenOver() throws Exception {
        Path mine = saved();
        Files.writeString(mine, "no job at all");
        jobs.edit(renamed(jobs.jobProperty().get(), "ours"));
        assertThat(jobs.save(mine)).isFalse();
        assertThat(jobs.conflictProperty().get().orElseThrow().theirs()).isEmpty();

        jobs.saveOver();
        assertThat(JobFile.open(mine).name()).isEqualTo("ours");
        assertThat(folder.resolve("mine.parable.json" + JobFile.PREVIOUS)).hasContent("no job at all");
        assertThat(jobs.conflictProperty().get()).isEmpty();
    }

    /** By its name, by a link to it, or as the file to save another job as: a file that another window has is left alone. */
    @Test
    void aFileThatAnotherWindowHasIsLeftAlone() throws Exception {
        Path mine = saved();
        String before = Files.readString(mine);
        Path link = Files.createSymbolicLink(folder.resolve("link.parable.json"), mine);
        JobModel other = new JobModel(renamed(jobs.jobProperty().get(), "other"), Optional.empty());

        assertThat(other.save(mine)).isFalse();
        assertThat(other.save(link)).isFalse();
        assertThat(other.messageProperty().get()).contains("is open in another window");
        assertThat(Files.readString(mine)).isEqualTo(before);
        assertThat(other.open(link)).isTrue();
        assertThat(other.messageProperty().get()).contains("is open in another window");
        assertThat(other.save(link)).isFalse();

        jobs.close();
        assertThat(other.save(link)).isTrue();
        assertThat(Files.isSymbolicLink(link)).isTrue();
        other.close();
    }

    @Test
    void whatMeansNothingInAFileIsToldWhenItIsOpened() throws Exception {
        Path odd = Files.writeString(
                folder.resolve("odd.parable.json"),
                Files.readString(DEMO).replace("\"tag\": \"F2\",", "\"tag\": \"F2\", \"seting\": \"9 A\","));

        assertThat(jobs.open(odd)).isTrue();
        assertThat(jobs.messageProperty().get())
                .startsWith("Sheet Wash pump, F2: the field \u201cseting\u201d is not known.")
                .contains("Is \u201csetting\u201d meant?");
        jobs.close();
    }

    /** What the job knows of its logbook is no edit, and undoing edits does not make it forget. */
    @Test
    void undoDoesNotForgetTheSealOfTheLogbook() {
        jobs.edit(renamed(jobs.jobProperty().get(), "edited"));
        jobs.sealBy("seal");
        jobs.undo();

        assertThat(jobs.jobProperty().get().logbook()).isEqualTo("seal");
        assertThat(jobs.undoableProperty().get()).isFalse();
        jobs.redo();
        assertThat(jobs.jobProperty().get().logbook()).isEqualTo("seal");
        assertThat(jobs.jobProperty().get().name()).isEqualTo("edited");
    }
}
