package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.network.NodeState;
import parable.parts.Verb;

class BenchTest {

    private static final String SUPPLY =
            "{\"tag\": \"G1\", \"kind\": \"three-phase-supply\"}, {\"tag\": \"Q1\", \"kind\": \"circuit-breaker\"}";

    private static void at(Bench bench, long millis, Verb verb, String tag) throws ActionRefusedException {
        bench.runUntil(millis * 1000);
        bench.act(new Action(verb, tag));
    }

    private static Bench started() throws ActionRefusedException {
        Bench bench = Examples.washPumpBench();
        at(bench, 0, Verb.CLOSE, "Q1");
        at(bench, 100, Verb.PRESS, "S1");
        at(bench, 300, Verb.RELEASE, "S1");
        bench.runUntil(1_000_000);
        return bench;
    }

    @Test
    void anyInstantOfThePastHourCanBeReturnedTo() throws ActionRefusedException {
        Bench bench = Examples.washPumpBench();
        bench.act(new Action(Verb.CLOSE, "Q1"));
        for (int minute = 0; minute < 100; minute++) {
            bench.runUntil(minute * 60_000_000L);
            bench.act(new Action(minute % 2 == 0 ? Verb.PRESS : Verb.RELEASE, "S0"));
        }
        long now = bench.now();
        assertThat(bench.earliest()).isBetween(now - 3_660_000_000L, now - 3_600_000_000L);
        assertThat(bench.momentAt(now - 3_570_000_000L).condition("S0")).isEqualTo(Condition.RELEASED);
        assertThat(bench.momentAt(now - 3_510_000_000L).condition("S0")).isEqualTo(Condition.PRESSED);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> bench.momentAt(60_000_000L))
                .withMessageStartingWith("there are instants from");
        bench.rewindTo(now - 3_510_000_000L);
        assertThat(bench.moment().condition("S0")).isEqualTo(Condition.PRESSED);
    }

    /** Between sound windings the meter shows nothing at the star point; that does not make it dead. */
    @Test
    void theStarPointOfARunningMotorIsNotDead() throws ActionRefusedException {
        Bench bench =
                Bench.of(Examples.fitted(Examples.pressHouse().sheet("Mill").orElseThrow()));
        at(bench, 0, Verb.CLOSE, "Q1");
        bench.runUntil(50_000);
        assertThat(bench.moment().node("U2")).contains(NodeState.DEAD);
        at(bench, 100, Verb.PRESS, "S1");
        bench.runUntil(900_000);

        assertThat(bench.moment().condition("KY")).isEqualTo(Condition.IN);
        for (String wire : List.of("U2", "V2", "W2")) {
            assertThat(bench.moment().node(wire)).contains(NodeState.LIVE_THROUGH_LOAD);
            assertThat(bench.moment()
                            .meter()
                            .read(Meter.Range.VOLTS_AC, wire, "2")
                            .text())
                    .startsWith("0");
            assertThat(bench.moment().meter().read(Meter.Range.OHMS, wire, "2").text())
                    .contains("live");
        }
        assertThat(bench.moment().node("11")).as("behind an open contact").contains(NodeState.DEAD);
    }

    @Test
    void theStoryTellsEachCauseInOrder() throws ActionRefusedException {
        List<StoryLine> story = started().story();

        assertThat(story)
                .extracting(StoryLine::text)
                .containsExactly(
                        "Q1 (Motor breaker) closed by hand.",
                        "Q1 closes, so P2 lights.",
                        "S1 (Start) pressed.",
                        "S1 13-14 closes, so K1's coil gets 223 V and P1 lights.",
                        "K1 begins to move: 21-22 opens, so P2 goes dark.",
                        "K1 pulls in: 13-14 and the poles close, so M1 runs forward.",
                        "S1 (Start) released.",
                        "S1 13-14 opens; K1 holds itself in through its own 13-14.");
        assertThat(story)
                .extracting(StoryLine::time)
                .containsExactly(0L, 4_000L, 100_000L, 105_000L, 113_000L, 120_000L, 300_000L, 300_000L);
        assertThat(story.get(5).cause()).hasValue(3);
        assertThat(story.get(2).cause()).isEmpty();
    }

    @Test
    void theNormallyClosedContactOpensBeforeTheOthersClose() throws ActionRefusedException {
        Bench bench = started();

        Moment inMidTravel = bench.momentAt(115_000);

        assertThat(inMidTravel.closed("K1", 3)).as("13-14").isFalse();
        assertThat(inMidTravel.closed("K1", 4)).as("21-22").isFalse();
        assertThat(inMidTravel.energised("K1")).isTrue();
        assertThat(inMidTravel.condition("K1")).isEqualTo(Condition.OUT);
    }

    /**
     * Pressed at 0, the NO block makes at 5 ms. Let go before that, it never makes; the NC block is back 5 ms after the
     * release, whenever that is.
     */
    @ParameterizedTest
    @CsvSource({"3, false, 8", "5, true, 10", "40, true, 45"})
    void aButtonTravels(long released, boolean makes, long ncBack) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                "{\"tag\": \"S1\", \"kind\": \"push-button\", \"blocks\": \"11-12 23-24\"}", "", "\"L S1[11-12] N\"")));
        at(bench, 0, Verb.PRESS, "S1");
        at(bench, released, Verb.RELEASE, "S1");
        bench.runUntil(100_000);

        assertThat(bench.momentAt(0).closed("S1", 0)).isFalse();
        assertThat(bench.instants().stream()
                        .anyMatch(time -> bench.momentAt(time).closed("S1", 1)))
                .isEqualTo(makes && released > 5);
        assertThat(bench.momentAt(ncBack * 1000 - 1).closed("S1", 0)).isFalse();
        assertThat(bench.momentAt(ncBack * 1000).closed("S1", 0)).isTrue();
    }

    /** Two contactors, each behind the other's NC contact, fed in the same instant: momentum closes both. */
    @Test
    void twoCoilsFedAtOnceBothCloseForAMomentDespiteTheirInterlock() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY
                        + """
                        , {"tag": "S1", "kind": "push-button", "blocks": "13-14 23-24"}
                        , {"tag": "K1", "kind": "contactor", "aux": "21-22"}
                        , {"tag": "K2", "kind": "contactor", "aux": "21-22"}
                        """,
                "\"G1[L1] Q1[1-2] L\", \"G1[N] N\"",
                "\"L S1[13-14] @3 K2[21-22] @4 K1[A1-A2] N\", \"L S1[23-24] @5 K1[21-22] @6 K2[A1-A2] N\"")));
        at(bench, 0, Verb.CLOSE, "Q1");
        at(bench, 95, Verb.PRESS, "S1");
        bench.runUntil(130_000);

        // Fed at 100 ms; both NC open at 108, both lose their coils, both close at 115, both let go at 116.
        assertThat(List.of(114_000L, 115_000L, 116_000L).stream()
                        .map(bench::momentAt)
                        .map(moment -> moment.condition("K1") + " " + moment.condition("K2")))
                .containsExactly("OUT OUT", "IN IN", "OUT OUT");
    }

    @Test
    void aShortCircuitOpensTheWeakestProtectionInItsWay() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY
                        + """
                        , {"tag": "F1", "kind": "fuse", "rated": "2 A"}
                        , {"tag": "S1", "kind": "push-button"}
                        """,
                "\"G1[L1] Q1[1-2] @9 F1[1-2] L\", \"G1[N] N\"",
                "\"L S1[13-14] N\"")));
        at(bench, 0, Verb.CLOSE, "Q1");
        at(bench, 100, Verb.PRESS, "S1");
        bench.runUntil(200_000);

        assertThat(bench.momentAt(105_000).shorted()).isTrue();
        assertThat(bench.moment().shorted()).isFalse();
        assertThat(bench.moment().condition("F1")).isEqualTo(Condition.BLOWN);
        assertThat(bench.moment().condition("Q1")).isEqualTo(Condition.CLOSED);
        assertThat(bench.story())
                .extracting(StoryLine::text)
                .contains(
                        "S1 13-14 closes, so there is a short circuit:"
                                + " wires 1 and 2 are joined through S1 13-14, F1 1-2, Q1 1-2.",
                        "F1 blows.");
    }

    @Test
    void swappedPhasesTurnTheMotorTheOtherWay() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY + ", {\"tag\": \"M1\", \"kind\": \"three-phase-motor\"}",
                "\"G1[L1] Q1[1-2] M1[W1]\", \"G1[L2] Q1[3-4] M1[V1]\", \"G1[L3] Q1[5-6] M1[U1]\"",
                "")));
        at(bench, 0, Verb.CLOSE, "Q1");
        bench.runUntil(10_000);

        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.REVERSE);
    }

    @Test
    void twoPhasesOnlyMakeItHum() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY + ", {\"tag\": \"M1\", \"kind\": \"three-phase-motor\"}",
                "\"G1[L1] Q1[1-2] M1[U1]\", \"G1[L2] Q1[3-4] M1[V1]\"",
                "")));
        at(bench, 0, Verb.CLOSE, "Q1");
        bench.runUntil(10_000);

        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.SINGLE_PHASED);
    }

    @Test
    void goingBackForgetsWhatCameAfterAndGoesOnFromThere() throws ActionRefusedException {
        Bench bench = started();
        bench.rewindTo(110_000);

        assertThat(bench.now()).isEqualTo(110_000);
        assertThat(bench.story()).hasSize(4);
        at(bench, 111, Verb.HIT, "S4");
        bench.runUntil(1_000_000);

        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(bench.momentAt(120_000).condition("K1")).isEqualTo(Condition.OUT);
    }

    @Property(tries = 100, seed = "20261125")
    void theSameActionsTellTheSameStoryAlsoAfterGoingBack(@ForAll long seed) throws ActionRefusedException {
        Bench once = Examples.washPumpBench();
        Bench twice = Examples.washPumpBench();
        play(once, new Random(seed));
        play(twice, new Random(seed));
        twice.rewindTo(0);
        play(twice, new Random(seed));

        assertThat(twice.story()).isEqualTo(once.story());
        assertThat(twice.instants()).isEqualTo(once.instants());
    }

    private static void play(Bench bench, Random random) throws ActionRefusedException {
        List<Action> possible = List.of(
                new Action(Verb.CLOSE, "Q1"),
                new Action(Verb.PRESS, "S1"),
                new Action(Verb.RELEASE, "S1"),
                new Action(Verb.PRESS, "S2"),
                new Action(Verb.RELEASE, "S2"),
                new Action(Verb.HIT, "S4"),
                new Action(Verb.RELEASE, "S4"),
                new Action(Verb.TRIP, "F2"),
                new Action(Verb.RESET, "F2"),
                new Action(Verb.LOSE, "G1"),
                new Action(Verb.RESTORE, "G1"));
        for (int i = 0; i < 30; i++) {
            bench.runUntil(bench.now() + random.nextInt(40_000));
            bench.act(possible.get(random.nextInt(possible.size())));
        }
        bench.runUntil(bench.now() + 100_000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "PRESS | K1 | K1: cannot 'press K1', expected a device that something can be done to",
                "HIT   | S1 | S1: cannot 'hit S1', expected press or release",
                "PRESS | S9 | S9: cannot 'press S9', expected a device of this sheet"
            })
    void whatMakesNoSenseIsRefusedAndTheRunGoesOn(Verb verb, String tag, String message) throws ActionRefusedException {
        Bench bench = started();
        int told = bench.story().size();

        assertThatExceptionOfType(ActionRefusedException.class)
                .isThrownBy(() -> bench.act(new Action(verb, tag)))
                .withMessage(message);

        assertThat(bench.story()).hasSize(told);
        at(bench, 1_100, Verb.PRESS, "S0");
        bench.runUntil(1_200_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
    }

    @Test
    void timeOnlyRunsForward() throws ActionRefusedException {
        Bench bench = started();

        assertThatIllegalArgumentException().isThrownBy(() -> bench.runUntil(5));
        assertThatIllegalArgumentException().isThrownBy(() -> bench.momentAt(2_000_000));
        assertThatIllegalArgumentException().isThrownBy(() -> bench.momentAt(-1));
    }

    @Test
    void anArmaturePushedInByHandMovesItsContactsUntilItIsLetGo() throws ActionRefusedException {
        Bench bench = Examples.washPumpBench();
        bench.act(new Action(Verb.PUSH, "K1"));
        bench.runUntil(100_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.STOPPED);

        bench.act(new Action(Verb.RELEASE, "K1"));
        bench.runUntil(200_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);

        at(bench, 300, Verb.CLOSE, "Q1");
        at(bench, 400, Verb.PUSH, "K1");
        at(bench, 500, Verb.RELEASE, "K1");
        bench.runUntil(1_000_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
        assertThat(bench.story()).extracting(StoryLine::text).contains("K1 (Motor contactor) pushed in by hand.");
    }

    @Test
    void theMechanicalInterlockHoldsBackAnArmatureThatIsPushed() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.ofLibrary("Press platen")));
        at(bench, 0, Verb.PUSH, "K1");
        at(bench, 100, Verb.PUSH, "K2");
        bench.runUntil(300_000);

        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
        assertThat(bench.moment().condition("K2")).isEqualTo(Condition.OUT);
    }
}
