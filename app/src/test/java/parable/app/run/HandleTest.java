package parable.app.run;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.bench.Condition;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;

/** Hands on the devices of a running sheet: what springs back, what stays, what is latched down. */
class HandleTest {

    private RunModel run;
    private Handles handles;

    @BeforeEach
    void standBeforeThePump() throws PartException {
        open("Wash pump");
    }

    private void open(String name) throws PartException {
        run = new RunModel(sheet(name));
        handles = new Handles(run);
        run.speedProperty().set(Speed.REAL_TIME);
    }

    private static Assembly sheet(String name) throws PartException {
        return Assembly.of(found(name));
    }

    private static Sheet found(String name) {
        return Library.jobs().stream()
                .flatMap(job -> job.sheet(name).stream())
                .findFirst()
                .orElseThrow();
    }

    private Handle on(String tag) {
        return handles.byTag().get(tag);
    }

    private void pass(double seconds) {
        double before = run.nowProperty().get() / 1e6;
        for (int i = 0; i < 100_000 && run.nowProperty().get() / 1e6 < before + seconds; i++) {
            run.tick(0.1);
        }
    }

    private Condition condition(String tag) {
        return run.shownProperty().get().condition(tag);
    }

    /** A press from grip to letting go. */
    private void touch(String tag) {
        on(tag).grip("mouse");
        pass(0.3);
        on(tag).letGo("mouse");
        pass(0.3);
    }

    @Test
    void aButtonSpringsBackAndABreakerStays() {
        touch("Q1");
        assertThat(condition("Q1")).isEqualTo(Condition.CLOSED);
        touch("S1");
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
        assertThat(condition("M1")).isEqualTo(Condition.FORWARD);
        touch("Q1");
        assertThat(condition("Q1")).isEqualTo(Condition.OPEN);
    }

    /** A quick touch is a tenth of a second on the bench, however soon the hand is gone. */
    @Test
    void aTouchLastsLongEnoughForAContactor() {
        touch("Q1");
        on("S1").grip("mouse");
        on("S1").letGo("mouse");
        pass(1);

        assertThat(condition("K1")).isEqualTo(Condition.IN);
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
    }

    @Test
    void twoHandsHoldUntilTheLastIsGone() {
        on("S1").grip("mouse");
        on("S1").grip("key");
        on("S1").grip("key");
        pass(0.3);
        on("S1").letGo("mouse");
        pass(0.3);
        assertThat(condition("S1")).isEqualTo(Condition.PRESSED);
        on("S1").letGo("key");
        pass(0.3);
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
    }

    @Test
    void aHandThatNeverTookHoldLetsNothingGo() {
        on("S1").grip("mouse");
        pass(0.3);
        on("S1").letGo("key");
        pass(0.3);
        assertThat(condition("S1")).isEqualTo(Condition.PRESSED);
        on("S1").letGoAll();
        pass(0.3);
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
    }

    @Test
    void whatIsLatchedStaysDownWithoutAHand() {
        on("S1").grip("mouse");
        on("S1").toggleLatch();
        on("S1").letGo("mouse");
        pass(0.5);
        assertThat(on("S1").latchedProperty().get()).isTrue();
        assertThat(condition("S1")).isEqualTo(Condition.PRESSED);

        on("S1").toggleLatch();
        pass(0.5);
        assertThat(on("S1").latchedProperty().get()).isFalse();
        assertThat(condition("S1")).isEqualTo(Condition.RELEASED);
    }

    /** What does not spring back has nothing to be latched. */
    @ParameterizedTest
    @CsvSource({"Q1, false", "S1, true", "S0, true", "S4, false", "F2, false"})
    void onlyWhatSpringsBackIsLatched(String tag, boolean latches) {
        on(tag).toggleLatch();

        assertThat(on(tag).springsBack()).isEqualTo(latches);
        assertThat(on(tag).latchedProperty().get()).isEqualTo(latches);
    }

    @Test
    void anOverloadIsTrippedResetAndHasAStopButton() {
        assertThat(on("F2").hasStopButton()).isTrue();
        touch("F2");
        assertThat(condition("F2")).isEqualTo(Condition.TRIPPED);
        touch("F2");
        assertThat(condition("F2")).isEqualTo(Condition.HEALTHY);

        touch("Q1");
        touch("S1");
        on("F2").stopButton(true);
        pass(0.3);
        on("F2").stopButton(false);
        pass(3);
        assertThat(condition("F2")).isEqualTo(Condition.HEALTHY);
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
    }

    /** A knob goes one on at each touch, and from its end one back. */
    @Test
    void aKnobIsTurnedThereAndBack() throws PartException {
        open("Hand off auto");
        String knob = found("Hand off auto").devices().stream()
                .filter(device -> device.kind().equals("selector"))
                .map(device -> device.tag())
                .findFirst()
                .orElseThrow();
        StringBuilder positions = new StringBuilder();
        for (int i = 0; i < 5; i++) {
            positions
                    .append(run.shownProperty().get().position(knob).orElseThrow())
                    .append(' ');
            touch(knob);
        }

        assertThat(positions.toString())
                .isIn("off auto off hand off ", "off hand off auto off ", "off auto hand off auto ");
    }

    /** An edit leaves the grips on what is still there and takes those on what is gone. */
    @Test
    void anEditLeavesTheGripsThatItDoesNotTouch() throws PartException {
        Handle start = on("S1");
        on("S1").grip("mouse");
        pass(0.3);
        Sheet pump = found("Wash pump");
        run.goOnWith(Assembly.of(pump.withDevices(pump.devices().stream()
                .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                .toList())));

        assertThat(on("S1")).isSameAs(start);
        assertThat(handles.byTag()).doesNotContainKey("P1");
        pass(0.2);
        assertThat(condition("S1")).isIn(Condition.PRESSED, Condition.RELEASED);
    }
}
