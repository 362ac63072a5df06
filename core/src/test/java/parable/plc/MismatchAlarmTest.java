package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Verb;

/** What a proposed controller does of a contactor that does not do as it is told; start and stop are only tapped, for a fifth of a second. */
class MismatchAlarmTest {

    private static final long TAP = 200_000;
    private static final long MOMENT = 1_000_000;

    private Bench bench;
    private String alarm;
    private String reset;

    private void begin(String starter) throws ActionRefusedException, TranslationException {
        Sheet sheet = Translation.of(
                        Examples.fitted(Examples.ofLibrary(starter)), Practice.IEC, TranslationChoices.PROPOSED)
                .sheet();
        alarm = labelled(sheet, "Mismatch");
        reset = labelled(sheet, "Reset");
        bench = Bench.of(Examples.fitted(sheet));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(MOMENT);
    }

    @BeforeEach
    void washPump() throws ActionRefusedException, TranslationException {
        begin("Wash pump");
    }

    private static String labelled(Sheet sheet, String label) {
        return sheet.devices().stream()
                .filter(device -> device.label().equals(label))
                .map(Device::tag)
                .findFirst()
                .orElseThrow();
    }

    private void tap(String button) throws ActionRefusedException {
        bench.act(new Action(Verb.PRESS, button));
        bench.runUntil(bench.now() + TAP);
        bench.act(new Action(Verb.RELEASE, button));
        bench.runUntil(bench.now() + MOMENT);
    }

    private Condition condition(String tag) {
        return bench.moment().condition(tag);
    }

    private void fault(Fault.Kind kind, String place, boolean there) throws ActionRefusedException {
        bench.set(new Fault(kind, "K1", place), there);
        bench.runUntil(bench.now() + MOMENT);
    }

    private boolean alarms() {
        return condition(alarm) == Condition.LIT;
    }

    @Test
    void whatIsSoundStartsAndStopsWithoutAnAlarm() throws ActionRefusedException {
        for (int i = 0; i < 3; i++) {
            tap("S1");
            assertThat(condition("M1")).isEqualTo(Condition.FORWARD);
            assertThat(alarms()).isFalse();
            tap("S0");
            assertThat(condition("K1")).isEqualTo(Condition.OUT);
            assertThat(alarms()).isFalse();
        }
    }

    @Test
    void ofABurntCoilItTellsAtTheFirstTap() throws ActionRefusedException {
        fault(Fault.Kind.BROKEN, "", true);
        tap("S1");
        assertThat(condition("M1")).isEqualTo(Condition.STOPPED);
        assertThat(alarms()).isTrue();

        fault(Fault.Kind.BROKEN, "", false);
        assertThat(condition("M1")).as("mended, nothing starts by itself").isEqualTo(Condition.STOPPED);
        tap("S1");
        assertThat(condition("M1")).as("the alarm has not been reset").isEqualTo(Condition.STOPPED);
        tap(reset);
        assertThat(alarms()).isFalse();
        assertThat(condition("M1")).as("a reset starts nothing").isEqualTo(Condition.STOPPED);
        tap("S1");
        assertThat(condition("M1")).isEqualTo(Condition.FORWARD);
    }

    @ParameterizedTest
    @ValueSource(strings = {"stuck", "welded"})
    void ofAContactorThatStaysInItTellsAfterTheStop(String how) throws ActionRefusedException {
        tap("S1");
        Fault.Kind kind = how.equals("stuck") ? Fault.Kind.STUCK : Fault.Kind.WELDED;
        String place = how.equals("stuck") ? "" : "1-2";
        fault(kind, place, true);
        assertThat(alarms()).as("it is told to be in").isFalse();
        tap("S0");
        assertThat(alarms()).isTrue();
        tap("S1");
        tap(reset);
        assertThat(alarms()).as("it is still in").isTrue();

        fault(kind, place, false);
        tap("S1");
        assertThat(condition("K1")).isEqualTo(Condition.OUT);
        tap(reset);
        tap("S1");
        assertThat(condition("M1")).isEqualTo(Condition.FORWARD);
    }

    /** It reads as if the contactor were in, which nobody told it to be. */
    @Test
    void ofABrokenFeedbackWireItTellsAtOnceAndNothingStarts() throws ActionRefusedException {
        String contact = bench.assembly().part("K1").orElseThrow().contacts().stream()
                .filter(one -> one.isNormallyClosed() && !one.pole())
                .map(one -> one.from())
                .reduce((first, last) -> last)
                .orElseThrow();
        fault(Fault.Kind.OFF, contact, true);
        assertThat(alarms()).isTrue();
        tap("S1");
        assertThat(condition("M1")).isEqualTo(Condition.STOPPED);
        fault(Fault.Kind.OFF, contact, false);
        tap(reset);
        tap("S1");
        assertThat(condition("M1")).isEqualTo(Condition.FORWARD);
        fault(Fault.Kind.OFF, contact, true);
        assertThat(condition("M1")).as("while it runs it runs on").isEqualTo(Condition.FORWARD);
        tap("S0");
        assertThat(condition("M1")).isIn(Condition.STOPPED, Condition.COASTING);
        assertThat(alarms()).isTrue();
    }

    @Test
    void theLampThatSaysRunningFollowsTheContactorAndNotTheCommand() throws ActionRefusedException {
        String running = bench.assembly().parts().stream()
                .filter(part -> part.device().label().equals("Running"))
                .map(part -> part.tag())
                .findFirst()
                .orElseThrow();
        fault(Fault.Kind.BROKEN, "", true);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(bench.now() + 100_000);
        assertThat(condition(running)).isEqualTo(Condition.DARK);
        bench.act(new Action(Verb.RELEASE, "S1"));
        fault(Fault.Kind.BROKEN, "", false);
        tap(reset);
        tap("S1");
        assertThat(condition(running)).isEqualTo(Condition.LIT);
        fault(Fault.Kind.STUCK, "", true);
        tap("S0");
        assertThat(condition(running)).as("the motor runs on").isEqualTo(Condition.LIT);
    }

    /** Every starter that can be translated, each of its contactors burnt in turn: what is told to pull in and does not is told. */
    @ParameterizedTest
    @ValueSource(strings = {"Wash pump", "Jog relay"})
    void aStarterWhoseContactorIsBurntTellsAndDrivesNothing(String starter) throws Exception {
        begin(starter);
        fault(Fault.Kind.BROKEN, "", true);
        tap("S1");
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.STOPPED);
        assertThat(alarms()).isTrue();
    }
}
