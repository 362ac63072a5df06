package parable.app.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import javafx.beans.value.ObservableStringValue;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.job.Person;
import parable.app.log.LogModel;
import parable.app.run.RunModel;
import parable.app.testing.TestingModel;
import parable.app.wiring.WiringModel;
import parable.bench.Action;
import parable.bench.Fault;
import parable.circuit.Job;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** What the route card says of the steps. */
class StepStatesTest {

    private RunModel run;
    private Map<JobStep, ObservableStringValue> states;

    @BeforeEach
    void open() throws Exception {
        show("Wash pump");
    }

    private void show(String name) throws Exception {
        Job job = Library.jobs().get(0);
        JobModel jobs = new JobModel(job, Optional.empty());
        Person person = new Person();
        run = new RunModel(Assembly.of(job.sheet(name).orElseThrow()));
        states = new StepStates(
                        name,
                        jobs,
                        run,
                        new WiringModel(jobs, name),
                        new TestingModel(jobs, name, person),
                        new LogModel(jobs, name, person))
                .bySteps();
    }

    private String of(JobStep step) {
        return states.get(step).get();
    }

    private void act(Verb verb, String tag) {
        run.act(new Action(verb, tag));
        run.tick(0.5);
    }

    @Test
    void tryingSaysWhatTheMotorDoesAndHowManyFaultsAreIn() {
        assertThat(of(JobStep.TRY)).isEqualTo("at rest");
        act(Verb.CLOSE, "Q1");
        act(Verb.PRESS, "S1");
        act(Verb.RELEASE, "S1");
        assertThat(of(JobStep.TRY)).isEqualTo("M1 forward");
        act(Verb.PRESS, "S0");
        assertThat(of(JobStep.TRY)).as("without current it still turns").isEqualTo("M1 coasting");
        run.set(new Fault(Fault.Kind.WELDED, "K1", "13-14"), true);
        assertThat(of(JobStep.TRY)).isEqualTo("1 fault in");
    }

    @Test
    void drawingAndProgramSayWhatTheSheetHas() throws Exception {
        assertThat(of(JobStep.DRAW)).isEqualTo("6 rungs");
        assertThat(of(JobStep.PROGRAM)).isEqualTo("relays only");
        show("Bottle rinser");
        assertThat(of(JobStep.PROGRAM)).isEqualTo("program");
    }

    /** Nothing is said of lists that have not been worked out. */
    @Test
    void whatIsNotKnownYetIsNotSaid() {
        assertThat(of(JobStep.WIRE)).isEmpty();
        assertThat(of(JobStep.TEST)).isEmpty();
        assertThat(of(JobStep.LOG)).isEqualTo("empty");
    }
}
