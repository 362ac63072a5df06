package parable.app.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.InterfaceThread;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.bench.Condition;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.starters.Library;
import parable.testsheet.StepVerdict;
import parable.testsheet.TestStep;

class TestingModelTest {

    private static final String PUMP = "Wash pump";

    private final Person person = new Person();
    private JobModel jobs;
    private TestingModel testing;

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    @BeforeEach
    void openPump() throws Exception {
        Sheet pump = Library.jobs().get(0).sheet(PUMP).orElseThrow();
        InterfaceThread.run(() -> {
            person.nameProperty().set("R. Alder");
            jobs = new JobModel(new Job("Tern Hollow", Practice.IEC, List.of(pump), Extras.NONE), Optional.empty());
            testing = new TestingModel(jobs, PUMP, person);
            testing.look();
        });
        InterfaceThread.until(() -> !testing.stepsProperty().get().isEmpty());
    }

    private int at(String words) {
        List<TestStep> steps = testing.stepsProperty().get();
        return IntStream.range(0, steps.size())
                .filter(i -> steps.get(i).words().contains(words))
                .findFirst()
                .orElseThrow();
    }

    private Sheet sheet() {
        return jobs.jobProperty().get().sheet(PUMP).orElseThrow();
    }

    @Test
    void withoutANameNothingIsWrittenDown() throws Exception {
        InterfaceThread.run(() -> {
            person.nameProperty().set("  ");
            assertThat(testing.record("", "")).isFalse();
            assertThat(testing.count(StepVerdict.OPEN))
                    .isEqualTo(testing.stepsProperty().get().size());
        });
    }

    @Test
    void nothingTypedIsAsExpectedAndTheNextOpenStepIsTaken() throws Exception {
        InterfaceThread.run(() -> {
            TestStep first = testing.step().orElseThrow();
            assertThat(testing.record(" ", "")).isTrue();
            assertThat(testing.verdict(first)).isEqualTo(StepVerdict.PASS);
            assertThat(testing.work().reading(first.id()).orElseThrow().found())
                    .isEqualTo(first.expected().text());
            assertThat(testing.work().reading(first.id()).orElseThrow().by()).isEqualTo("R. Alder");
            assertThat(testing.selectedProperty().get()).isEqualTo(1);
        });
    }

    @Test
    void aFailureStaysInFrontWithWhatMayBeWrong() throws Exception {
        int step = at("Press S0. Ohms from S0 11 to S0 12");
        InterfaceThread.run(() -> {
            testing.select(step);
            assertThat(testing.record("0.2", "")).isTrue();
            assertThat(testing.selectedProperty().get()).isEqualTo(step);
            assertThat(testing.verdict(testing.step().orElseThrow())).isEqualTo(StepVerdict.FAIL);
        });
        InterfaceThread.until(() -> testing.causesProperty().get().isPresent());
        assertThat(testing.causesProperty().get().orElseThrow())
                .anyMatch(cause -> cause.fault().words().equals("S0 11-12 is welded closed"));

        InterfaceThread.run(() -> {
            testing.record("0.2", "Spare block is used; see remark 3.");
            assertThat(testing.verdict(testing.stepsProperty().get().get(step)))
                    .isEqualTo(StepVerdict.FAIL_WITH_REMARK);
            testing.select(step);
            testing.forget();
            assertThat(testing.verdict(testing.stepsProperty().get().get(step))).isEqualTo(StepVerdict.OPEN);
            assertThat(testing.causesProperty().get()).isEmpty();
        });
    }

    @Test
    void thePanelIsShownAsItMustBeWhileAStepIsRead() throws Exception {
        int running = at("Clamp on the lead of M1");
        InterfaceThread.run(() -> testing.select(running));
        InterfaceThread.until(() -> testing.momentProperty()
                .get()
                .filter(moment -> moment.condition("M1") == Condition.FORWARD)
                .isPresent());
        InterfaceThread.run(() -> testing.select(0));
        InterfaceThread.until(() -> testing.momentProperty()
                .get()
                .filter(moment -> moment.condition("M1") == Condition.STOPPED)
                .isPresent());
    }

    @Test
    void aSheetIsSignedOnlyWhenEveryStepHasComeToSomething() throws Exception {
        InterfaceThread.run(() -> {
            int all = testing.stepsProperty().get().size();
            for (int i = 0; i < all - 1; i++) {
                testing.record("", "");
            }
            assertThat(testing.unsigned()).containsExactly(testing.step().orElseThrow());
            testing.record("", "");
            assertThat(testing.unsigned()).isEmpty();
            assertThat(testing.count(StepVerdict.PASS)).isEqualTo(all);
            assertThat(testing.toSign()).hasSize(all).allMatch(step -> step.by().equals("R. Alder"));
            assertThat(testing.worthFollowing()).isNotEmpty().allSatisfy((what, found) -> {
                assertThat(what).isNotBlank();
                assertThat(found).isNotBlank();
            });
        });
    }

    /** What somebody has read on another circuit has to be read again where the change can touch it. */
    @Test
    void aChangeOfTheCircuitMakesReadingsStale() throws Exception {
        int dial = at("Read the dial of F2");
        InterfaceThread.run(() -> {
            testing.select(dial);
            testing.record("", "");
            List<Device> devices = sheet().devices().stream()
                    .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                    .toList();
            jobs.edit(sheet().withDevices(devices));
            testing.look();
        });
        InterfaceThread.until(() -> testing.stepsProperty().get().stream()
                .anyMatch(step -> step.expected().text().equals("5.20 A")));
        TestStep again = testing.stepsProperty().get().get(dial);
        assertThat(InterfaceThread.on(() -> testing.verdict(again))).isEqualTo(StepVerdict.STALE);
    }
}
