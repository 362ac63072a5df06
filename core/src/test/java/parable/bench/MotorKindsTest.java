package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.parts.Verb;

/** Motors that are switched by hand: single-phase and DC, each on a drum switch that exchanges two leads. */
class MotorKindsTest {

    private static final String DRUM =
            """
            {"tag": "S9", "kind": "drum-switch", "blocks": "1-2=reverse,forward 3-4=forward 5-6=forward 3-6=reverse 5-4=reverse"},
            """;

    private static Bench singlePhase() {
        return Bench.of(Examples.fitted(Examples.sheet(
                DRUM
                        + """
                        {"tag": "G1", "kind": "single-phase-supply"},
                        {"tag": "M1", "kind": "single-phase-motor", "power": "0.75 kW", "run-up": "0.2 s"}
                        """,
                """
                "G1[L] @1 S9[1-2] @U M1[U1-U2] @2 G1[N]", "@U S9[3-4] @Z M1[Z1-Z2] @Y S9[6-5] @2", "@U S9[3-6] @Y",
                "@2 S9[5-4] @Z"
                """,
                "")));
    }

    private static Bench direct(String field, String more) {
        return Bench.of(Examples.fitted(Examples.sheet(
                DRUM
                        + """
                        {"tag": "G1", "kind": "single-phase-supply"},
                        {"tag": "G2", "kind": "dc-supply", "output": "180 V DC"},
                        {"tag": "M1", "kind": "dc-motor", "power": "0.55 kW", "run-up": "0.5 s", "field": "%s"}
                        """
                                .formatted(field),
                """
                "G1[L] G2[L-N] G1[N]", "G2[+] @P", "G2[-] @M", "@P S9[3-4] @A M1[A1-A2] @B S9[6-5] @C", "@P S9[3-6] @B",
                "@C S9[5-4] @A", %s
                """
                        .formatted(more),
                "")));
    }

    private static void turn(Bench bench, double seconds, String position) throws ActionRefusedException {
        bench.runUntil(Math.round(seconds * 1e6));
        bench.act(new Action(Verb.TURN, "S9", position));
    }

    private static double speed(Bench bench, double seconds) {
        bench.runUntil(Math.round(seconds * 1e6));
        return bench.trace("M1").get(bench.trace("M1").size() - 1).speed();
    }

    @Test
    void aSinglePhaseMotorIsReversedFromStandstillOnly() throws ActionRefusedException {
        Bench bench = singlePhase();
        turn(bench, 0, "forward");
        assertThat(speed(bench, 3)).isCloseTo(0.95, within(0.04));

        turn(bench, 3, "off");
        turn(bench, 3.05, "reverse");
        assertThat(speed(bench, 6))
                .as("still turning forward: the start winding is out")
                .isPositive();
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.FORWARD);

        turn(bench, 6, "off");
        assertThat(speed(bench, 30)).isZero();
        turn(bench, 30, "reverse");
        assertThat(speed(bench, 33)).isCloseTo(-0.95, within(0.04));
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.REVERSE);
    }

    @Test
    void withoutItsStartWindingItHumsAndDrawsItsStartingCurrent() throws ActionRefusedException {
        Bench bench = singlePhase();
        bench.set(new Fault(Fault.Kind.OFF, "M1", "Z1"), true);
        turn(bench, 0, "forward");

        assertThat(speed(bench, 2)).isZero();
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.SINGLE_PHASED);
        assertThat(bench.story()).extracting(StoryLine::text).anyMatch(text -> text.contains("M1 hums"));
    }

    @ParameterizedTest
    @CsvSource({
        "permanent-magnet, '\"@C @M\"'",
        "shunt, '\"@C @M\", \"@P M1[F1-F2] @M\"'",
        "series, '\"@C M1[S1-S2] @M\"'",
        "compound, '\"@C M1[S1-S2] @M\", \"@P M1[F1-F2] @M\"'"
    })
    void aDcMotorIsReversedByItsArmatureWhateverItsField(String field, String more) throws ActionRefusedException {
        Bench bench = direct(field, more);
        turn(bench, 0, "forward");
        assertThat(speed(bench, 8)).isBetween(0.8, 1.4);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.FORWARD);
        turn(bench, 8, "off");
        assertThat(speed(bench, 60)).isZero();
        turn(bench, 60, "reverse");
        assertThat(speed(bench, 68)).isBetween(-1.4, -0.8);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.REVERSE);
    }

    @Test
    void exchangingArmatureAndSeriesFieldTogetherReversesNothing() throws ActionRefusedException {
        Bench whole = Bench.of(Examples.fitted(Examples.sheet(
                DRUM
                        + """
                        {"tag": "G1", "kind": "single-phase-supply"},
                        {"tag": "G2", "kind": "dc-supply", "output": "180 V DC"},
                        {"tag": "M1", "kind": "dc-motor", "power": "0.55 kW", "run-up": "0.5 s", "field": "series"}
                        """,
                """
                "G1[L] G2[L-N] G1[N]", "G2[+] @P", "G2[-] @M", "@P S9[3-4] @A M1[A1-A2] M1[S1-S2] @B S9[6-5] @M",
                "@P S9[3-6] @B", "@M S9[5-4] @A"
                """,
                "")));
        turn(whole, 0, "reverse");

        assertThat(speed(whole, 8)).isPositive();
    }

    @Test
    void moreLoadMeansMoreCurrentAndTheTripIsSeenComing() throws ActionRefusedException {
        Bench bench = Examples.washPumpBench();
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(5_000_000);
        assertThat(bench.moment().tripsIn("F2")).isEmpty();

        bench.act(new Action(Verb.LOAD, "M1", "200"));
        bench.runUntil(10_000_000);
        double predicted = bench.moment().tripsIn("F2").orElseThrow();
        bench.runUntil(10_000_000 + Math.round(predicted * 1e6) - 100_000);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.HEALTHY);
        assertThat(bench.moment().heat("F2").orElseThrow()).isBetween(0.9, 1.0);
        bench.runUntil(bench.now() + 200_000);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.TRIPPED);
    }

    @ParameterizedTest
    @CsvSource({"M1, 301", "M1, -5", "M1, much", "K1, 50"})
    void aSenselessLoadIsRefusedAndTheRunGoesOn(String tag, String load) {
        Bench bench = Examples.washPumpBench();
        assertThatExceptionOfType(ActionRefusedException.class)
                .isThrownBy(() -> bench.act(new Action(Verb.LOAD, tag, load)))
                .withMessageStartingWith(tag);
        assertThat(bench.story()).isEmpty();
    }
}
