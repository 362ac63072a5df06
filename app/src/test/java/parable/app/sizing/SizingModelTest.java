package parable.app.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobModel;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.circuit.TableCopy;
import parable.sizing.DrawingDifference;
import parable.sizing.SheetSizing;
import parable.starters.Library;

/** The sizing of an open job while that is edited, undone and put into other dress. */
@ExtendWith(ApplicationExtension.class)
class SizingModelTest {

    private JobModel jobs;
    private SizingModel model;

    @BeforeEach
    void open() {
        WaitForAsyncUtils.asyncFx(() -> {
            Job job = Library.jobs().get(0);
            jobs = new JobModel(job.with(job.sheets().subList(0, 2)), Optional.empty());
            model = new SizingModel(jobs);
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void until(BooleanSupplier reached) throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, reached::getAsBoolean);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void fx(Runnable action) {
        WaitForAsyncUtils.waitForAsyncFx(20_000, action);
    }

    private void look() throws Exception {
        fx(model::look);
        until(() -> model.sizedProperty().get().isPresent());
    }

    private String stated(String sheet, Stated statement) {
        return WaitForAsyncUtils.waitForAsyncFx(20_000, () -> model.state(sheet, statement));
    }

    private Optional<String> result(String key) {
        return model.sheet("Wash pump")
                .flatMap(sheet -> sheet.motor("M1"))
                .flatMap(motor -> motor.result(key))
                .map(result -> result.written());
    }

    private void edit(String tag, String setting, String value) {
        Sheet pump = jobs.jobProperty().get().sheet("Wash pump").orElseThrow();
        fx(() -> jobs.edit(pump.withDevices(pump.devices().stream()
                .map(device -> device.tag().equals(tag) ? device.with(setting, value) : device)
                .toList())));
    }

    @Test
    void nothingIsWorkedOutBeforeSomebodyAsks() throws Exception {
        edit("F2", "setting", "6 A");
        assertThat(model.sizedProperty().get()).isEmpty();
        assertThat(model.state("Wash pump")).isEmpty();
        look();
        assertThat(model.state("Wash pump")).isEqualTo("1 differs");
        assertThat(model.state("Mill")).isEqualTo("kept");
    }

    @Test
    void itFollowsTheJobAndUndo() throws Exception {
        look();
        edit("M1", "current", "6.2 A");
        until(() -> result("overload").equals(Optional.of("6.2 A")));
        assertThat(model.state("Wash pump")).isEqualTo("1 differs");
        fx(jobs::undo);
        until(() -> result("overload").equals(Optional.of("4.9 A")));
        assertThat(model.state("Wash pump")).isEqualTo("kept");
    }

    /** Work at the panel and the record change nothing, and nothing is worked out anew for them. */
    @Test
    void workAtThePanelIsNotWorkedOutAnew() throws Exception {
        look();
        SizingModel.Sized before = model.sizedProperty().get().orElseThrow();
        fx(() -> jobs.sealBy("a".repeat(64)));
        fx(model::look);
        assertThat(model.sizedProperty().get()).containsSame(before);
    }

    @Test
    void whatIsStatedIsKeptAndTakenBackByNothing() throws Exception {
        look();
        assertThat(stated("Wash pump", new Stated("M1", "length", " 90 m "))).isEmpty();
        assertThat(jobs.jobProperty().get().sheet("Wash pump").orElseThrow().stated())
                .containsExactly(new Stated("M1", "length", "90 m"));
        assertThat(stated("Wash pump", new Stated("M1", "length", "120 m"))).isEmpty();
        assertThat(jobs.jobProperty().get().sheet("Wash pump").orElseThrow().stated())
                .containsExactly(new Stated("M1", "length", "120 m"));
        assertThat(stated("Wash pump", new Stated("M1", "length", ""))).isEmpty();
        assertThat(jobs.jobProperty().get().sheet("Wash pump").orElseThrow().stated())
                .isEmpty();
    }

    /** What is wrong already is no reason to refuse something else. */
    @Test
    void onlyWhatMakesNoSenseItselfIsRefused() throws Exception {
        Sheet pump = jobs.jobProperty().get().sheet("Wash pump").orElseThrow();
        fx(() -> jobs.edit(pump.withStated(List.of(new Stated("M1", "length", "far")))));
        look();
        assertThat(model.state("Wash pump")).isEqualTo("1 not kept");
        assertThat(stated("Wash pump", new Stated("T1", "control-length", "40 m")))
                .isEmpty();
        assertThat(stated("Wash pump", new Stated("T1", "control-wire", "thin")))
                .isEqualTo("T1, control-wire: found thin, expected 0.2 to 16 mm²");
        assertThat(stated("Wash pump", new Stated("M1", "length", "20 m"))).isEmpty();
        until(() -> result("drop").isPresent());
    }

    @Test
    void allThatDiffersIsTakenOverAsOneEdit() throws Exception {
        edit("F2", "setting", "6 A");
        edit("K1", "rated", "");
        edit("Q1", "rated", "4 A");
        look();
        List<DrawingDifference> differences =
                model.sheet("Wash pump").map(SheetSizing::differences).orElseThrow();
        assertThat(differences).extracting(DrawingDifference::tag).containsExactlyInAnyOrder("F2", "K1", "Q1");
        fx(() -> model.takeOver("Wash pump", differences));
        until(() -> model.state("Wash pump").equals("kept"));
        fx(jobs::undo);
        until(() -> model.state("Wash pump").equals("3 differ"));
    }

    @Test
    void tablesOfTheJobsOwnThatMakeNoSenseAreSaidAndTheOthersUsed() throws Exception {
        Job job = jobs.jobProperty().get();
        fx(() -> jobs.edit(job.with(new SizingBasis(List.of(), List.of(new TableCopy("fuse", List.of("nonsense")))))));
        look();
        assertThat(model.sizedProperty().get().orElseThrow().problem()).startsWith("table: found nonsense");
        assertThat(result("current")).contains("4.9 A");
        fx(() -> model.asShipped("fuse"));
        until(() -> model.sizedProperty().get().orElseThrow().problem().isEmpty());
    }

    @Test
    void whatIsStatedOfTheJobIsRefusedWhereItMakesNoSense() throws Exception {
        look();
        String refused =
                WaitForAsyncUtils.waitForAsyncFx(20_000, () -> model.stateOfJob(new Stated("", "demand", "500 %")));
        assertThat(refused).isEqualTo("job, demand: found 500 %, expected 10 to 100 %");
        assertThat(jobs.jobProperty().get().sizing()).isEqualTo(SizingBasis.NONE);
        assertThat(WaitForAsyncUtils.<String>waitForAsyncFx(
                        20_000, () -> model.stateOfJob(new Stated("", "demand", "50 %"))))
                .isEmpty();
        until(() -> model.sizedProperty()
                .get()
                .orElseThrow()
                .sizing()
                .result("feeder-current")
                .orElseThrow()
                .written()
                .equals("20 A"));
    }
}
