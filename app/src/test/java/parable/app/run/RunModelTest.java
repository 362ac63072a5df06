package parable.app.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.bench.Pace;
import parable.bench.StoryLine;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.scenario.Scenario;

/** The model of the running sheet, without a window. */
class RunModelTest {

    private RunModel run;
    private Handle start;

    @BeforeEach
    void open() throws Exception {
        Path demo = Path.of(System.getProperty("parable.examples"), "tern-hollow-press-house" + JobFile.ENDING);
        run = new RunModel(Assembly.of(JobFile.open(demo).sheets().get(0)));
        start = new Handle(run, run.assembly().part("S1").orElseThrow());
        run.act(new Action(Verb.CLOSE, "Q1"));
        run.tick(0.1);
    }

    private Condition condition(String tag) {
        return run.shownProperty().get().condition(tag);
    }

    @Test
    void timeRunsAtTheChosenSpeedWithoutLosingFractions() {
        long before = run.nowProperty().get();
        run.speedProperty().set(Speed.ONE_MILLISECOND);
        for (int i = 0; i < 1000; i++) {
            run.tick(0.0007);
        }
        assertThat(run.nowProperty().get() - before).isBetween(699L, 700L);
    }

    @Test
    void aReplayStandsStillAtItsInstant() throws Exception {
        run.replay(Scenario.read("0 close Q1\n900 ms press S1"), Pace.NOMINAL, 920_000);
        assertThat(run.nowProperty().get()).isEqualTo(860_000);
        assertThat(run.speedProperty().get()).isEqualTo(Speed.TEN_MILLISECONDS);
        for (int i = 0; i < 100; i++) {
            run.tick(0.1);
        }
        assertThat(run.nowProperty().get()).isEqualTo(920_000);
        assertThat(run.runningProperty().get()).isFalse();
        assertThat(condition("K1")).isEqualTo(Condition.IN);
        assertThat(run.noticeProperty().get()).isEmpty();
    }

    @Test
    void nothingHappensWhileTimeStandsStill() {
        run.setRunning(false);
        long before = run.nowProperty().get();
        run.tick(5);
        assertThat(run.nowProperty().get()).isEqualTo(before);
    }

    @Test
    void aButtonIsUpOnlyWhenTheLastHandHasLetGo() {
        start.grip("mouse");
        start.grip("key");
        run.tick(0.5);
        start.letGo("mouse");
        run.tick(0.5);
        assertThat(condition("S1")).isEqualTo(Condition.PRESSED);
        start.letGo("key");
        run.tick(0.2);
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
        assertThat(condition("K1")).isEqualTo(Condition.IN);
    }

    @Test
    void aSecondTouchTakesTheReleaseOfTheFirstBack() {
        start.grip("mouse");
        start.letGo("mouse");
        start.grip("mouse");
        run.tick(1);
        assertThat(condition("S1")).isEqualTo(Condition.PRESSED);
        start.letGo("mouse");
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
    }

    @Test
    void whatWasHeldInThePastStaysHeldWhenGoingOnFromThere() {
        start.grip("mouse");
        run.tick(0.3);
        long pressed = run.nowProperty().get();
        start.letGo("mouse");
        run.tick(1);
        run.lookAt(pressed - 50_000);
        run.act(new Action(Verb.TRIP, "F2"));

        assertThat(start.latchedProperty().get()).isTrue();
        start.toggleLatch();
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
    }

    @Test
    void runningWhileLookingBackShowsWhatHappenedAndThenGoesOn() {
        start.grip("mouse");
        run.tick(0.3);
        start.letGo("mouse");
        run.tick(1);
        long present = run.nowProperty().get();
        run.lookAt(0);
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
        run.setRunning(true);
        run.tick(present / 1e6 - 0.1);
        assertThat(run.nowProperty().get()).isEqualTo(present);
        assertThat(condition("K1")).isEqualTo(Condition.IN);
        run.tick(0.5);
        assertThat(run.nowProperty().get()).isGreaterThan(present);
        assertThat(run.looksBack()).isFalse();
    }

    @Test
    void stepsLeadFromInstantToInstantAndBack() {
        start.grip("mouse");
        run.stepForward();
        run.stepForward();
        run.stepForward();
        assertThat(condition("K1")).isEqualTo(Condition.IN);
        long in = run.shownTimeProperty().get();
        run.stepBack();
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
        run.stepForward();
        assertThat(run.shownTimeProperty().get()).isEqualTo(in);
    }

    @Test
    void whatMakesNoSenseIsSaidAndChangesNothing() {
        int told = run.story().size();
        run.act(new Action(Verb.PRESS, "K1"));
        assertThat(run.noticeProperty().get()).startsWith("K1: cannot 'press K1'");
        assertThat(run.story()).hasSize(told);
        run.act(new Action(Verb.HIT, "S4"));
        assertThat(run.noticeProperty().get()).isEmpty();
    }

    @Test
    void aRecipeThatDoesNotFitIsSaidSo() throws Exception {
        run.play(Scenario.read("1 s expect K77 in"));
        assertThat(run.noticeProperty().get())
                .isEqualTo("The recipe does not fit this sheet: line 1: the sheet has no device K77");
        run.play(Scenario.read("1 s press K77"));
        run.tick(2);
        assertThat(run.noticeProperty().get()).startsWith("The recipe stopped: line 1: K77");
    }

    @Test
    void aFaultIsPutInAndTakenOut() {
        Fault welded = new Fault(Fault.Kind.WELDED, "S1", "13-14");
        run.set(welded, true);
        run.tick(0.5);
        assertThat(condition("K1")).isEqualTo(Condition.IN);
        assertThat(run.shownProperty().get().faults()).containsExactly(welded);
        run.set(welded, false);
        assertThat(run.shownProperty().get().faults()).isEmpty();
        run.set(new Fault(Fault.Kind.BROKEN, "S1", ""), true);
        assertThat(run.noticeProperty().get()).contains("S1: cannot have the fault");
    }

    @Test
    void startingOverForgetsEverything() {
        run.restart();
        assertThat(run.story()).extracting(StoryLine::text).isEmpty();
        assertThat(run.nowProperty().get()).isZero();
        assertThat(condition("Q1")).isEqualTo(Condition.OPEN);
    }

    /** With nothing under way the window may rest until somebody does something; with anything on its way it may not. */
    @Test
    void itIsQuietOnlyWhileNothingIsUnderWay() {
        run.tick(0.1);
        assertThat(run.quietSeconds()).isInfinite();

        int stirred = run.stirredProperty().get();
        run.act(new Action(Verb.CLOSE, "Q1"));
        run.tick(0.5);
        run.act(new Action(Verb.PRESS, "S1"));
        assertThat(run.stirredProperty().get()).isGreaterThan(stirred);
        assertThat(run.quietSeconds()).isLessThan(0.1);
        run.setRunning(false);
        assertThat(run.quietSeconds()).isInfinite();
        run.setRunning(true);
        run.tick(0.25);
        run.lookAt(0);
        run.setRunning(true);
        assertThat(run.quietSeconds()).isZero();
    }

    @Test
    void inSlowMotionItIsQuietForLonger() {
        run.act(new Action(Verb.CLOSE, "Q1"));
        run.tick(0.5);
        run.act(new Action(Verb.PRESS, "S1"));
        double atOnce = run.quietSeconds();
        run.speedProperty().set(Speed.ONE_MILLISECOND);

        assertThat(run.quietSeconds()).isGreaterThan(100 * atOnce);
    }
}
