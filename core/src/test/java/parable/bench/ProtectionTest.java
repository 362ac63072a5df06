package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Terminal;
import parable.parts.TripCurve;
import parable.parts.Verb;

/** Fuses and breakers open by the time that they carry a current. */
class ProtectionTest {

    /** The gates of IEC 60269 and IEC 60898-1: not before the one time, before the other. */
    @ParameterizedTest
    @CsvSource({
        "GG, 1.25, 3600, Infinity",
        "GG, 1.6, 60, 3600",
        "GG, 5, 0.5, 5",
        "GG, 10, 0.02, 0.3",
        "AM, 4, 60, Infinity",
        "AM, 6.3, 5, 60",
        "AM, 12.5, 0.1, 0.5",
        "AM, 19, 0.02, 0.1",
        "B, 1.13, 3600, Infinity",
        "B, 1.45, 60, 3600",
        "B, 2.55, 1, 60",
        "B, 3, 0.1, 30",
        "B, 5, 0, 0.1",
        "C, 5, 0.1, 15",
        "C, 10, 0, 0.1",
        "D, 10, 0.1, 10",
        "D, 20, 0, 0.1"
    })
    void carriesACurrentForATimeWithinItsGates(TripCurve curve, double multiple, double least, double most) {
        assertThat(curve.secondsAt(multiple)).isBetween(least, most);
    }

    @ParameterizedTest
    @CsvSource({"GG", "AM", "B", "C", "D"})
    void moreCurrentIsNeverCarriedLonger(TripCurve curve) {
        double before = Double.POSITIVE_INFINITY;
        for (double multiple = 1; multiple < 40; multiple *= 1.02) {
            double seconds = curve.secondsAt(multiple);
            assertThat(seconds).isLessThanOrEqualTo(before);
            before = seconds;
        }
    }

    private static Bench bench(String protection, String ends, String motor) {
        return Bench.of(Examples.fitted(Examples.sheet(
                """
                        {"tag": "G1", "kind": "three-phase-supply"},
                        {"tag": "Q1", %s},
                        {"tag": "M1", "kind": "three-phase-motor", "power": "2.2 kW"%s}
                        """
                        .formatted(protection, motor),
                "\"G1[L1] Q1[1-2] %s\", \"G1[L2] Q1[3-4] M1[V1]\", \"G1[L3] Q1[5-6] M1[W1]\"".formatted(ends),
                "")));
    }

    private static Condition after(Bench bench, double seconds) throws ActionRefusedException {
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(Math.round(seconds * 1e6));
        return bench.moment().condition("Q1");
    }

    /** A breaker of 1 A does not carry a start of 30 A, one of 10 A with the curve for motors does, and trips on a rotor that is stuck. */
    @Test
    void aBreakerForTheStartCarriesItAndOneTooSmallDoesNot() throws ActionRefusedException {
        String small = "\"kind\": \"circuit-breaker\", \"rated\": \"1 A\"";
        String right = "\"kind\": \"circuit-breaker\", \"rated\": \"10 A\", \"curve\": \"D\"";
        assertThat(after(bench(small, "M1[U1]", ""), 0.2)).isEqualTo(Condition.TRIPPED);
        assertThat(after(bench(right, "M1[U1]", ""), 3600)).isEqualTo(Condition.CLOSED);
        assertThat(after(bench(right, "M1[U1]", ", \"rotor\": \"locked\""), 1)).isEqualTo(Condition.CLOSED);
        assertThat(after(bench(right, "M1[U1]", ", \"rotor\": \"locked\""), 60)).isEqualTo(Condition.TRIPPED);
    }

    /** A lead on the frame: with its conductor the breaker opens, without it the frame stays live and the bench says so. */
    @ParameterizedTest
    @CsvSource({"true", "false"})
    void aLeadOnTheFrameBlowsTheProtectionOnlyWhereTheFrameIsEarthed(boolean earthed) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "Q1", "kind": "circuit-breaker", "rated": "10 A"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "2.2 kW"}
                """,
                "\"G1[L1] Q1[1-2] M1[U1]\", \"G1[L2] Q1[3-4] M1[V1]\", \"G1[L3] Q1[5-6] M1[W1]\""
                        + (earthed ? ", \"G1[PE] @PE M1[PE]\"" : ""),
                "")));
        bench.set(new Fault(Fault.Kind.EARTHED, "M1", "U1"), true);
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(1_000_000);

        assertThat(bench.moment().condition("Q1")).isEqualTo(earthed ? Condition.TRIPPED : Condition.CLOSED);
        assertThat(bench.story().stream().anyMatch(line -> line.text().contains("metal of M1 is live, 231 V")))
                .isEqualTo(!earthed);
    }

    private static final String FUSED =
            """
            {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
            {"tag": "F1", "kind": "fuse", "rated": "4 A"},
            {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
            {"tag": "K1", "kind": "contactor", "coil": "230 V AC"}
            """;

    private static Bench behindAFuse(String rungs) {
        return Bench.of(Examples.fitted(Examples.sheet(FUSED, "\"G1[L] F1[1-2] L\", \"G1[N] N\"", rungs)));
    }

    private static String volts(Bench bench, String red, String black) {
        return bench.moment().meter().read(Meter.Range.VOLTS_AC, red, black).text();
    }

    /** Ahead of the fuse nothing on the sheet opens: what is before the supply does, and until it is switched on again nothing has voltage. */
    @Test
    void aShortCircuitThatNothingOnTheSheetCanOpenTakesTheSupplyAway() throws ActionRefusedException {
        Bench bench = behindAFuse("\"L S1[13-14] K1[A1-A2] N\"");
        Fault earth = new Fault(Fault.Kind.EARTHED, "G1", "L");

        bench.set(earth, true);

        assertThat(bench.moment().shorted()).isTrue();
        assertThat(volts(bench, "G1:L", "G1:N")).isEqualTo("0.0 V");
        assertThat(bench.moment()
                        .voltage(new Terminal("G1", "L"), new Terminal("G1", "N"))
                        .orElseThrow()
                        .rms())
                .isZero();
        bench.runUntil(100_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(200_000);
        assertThat(bench.moment().shorted()).isFalse();
        assertThat(bench.moment().condition("G1")).isEqualTo(Condition.LOST);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(volts(bench, "K1:A1", "K1:A2")).isEqualTo("0.0 V");
        assertThat(bench.story())
                .extracting(StoryLine::text)
                .anyMatch(line -> line.contains("nothing on the sheet can open it: what is before G1 does"))
                .contains("G1 gives no voltage.");

        bench.act(new Action(Verb.RESTORE, "G1"));
        bench.runUntil(300_000);
        assertThat(bench.moment().condition("G1")).isEqualTo(Condition.LOST);

        bench.set(earth, false);
        bench.act(new Action(Verb.RESTORE, "G1"));
        bench.runUntil(400_000);
        assertThat(bench.moment().condition("G1")).isEqualTo(Condition.PRESENT);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
    }

    /** A welded breaker opens nothing, so that it is as if there were none. */
    @ParameterizedTest
    @CsvSource({"WELDED, 1-2", "STUCK, ''"})
    void whatCannotOpenLeavesItToWhatIsBeforeTheSheet(Fault.Kind kind, String place) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
                {"tag": "F1", "kind": "circuit-breaker", "rated": "4 A", "poles": "1"},
                {"tag": "H1", "kind": "pilot-lamp", "lamp": "230 V AC"}
                """,
                "\"G1[L] F1[1-2] L\", \"G1[N] N\"",
                "\"L H1[X1-X2] N\"")));
        bench.act(new Action(Verb.CLOSE, "F1"));
        bench.runUntil(100_000);
        assertThat(bench.moment().condition("H1")).isEqualTo(Condition.LIT);
        bench.set(new Fault(kind, "F1", place), true);

        bench.set(new Fault(Fault.Kind.EARTHED, "H1", "X1"), true);
        bench.runUntil(200_000);

        assertThat(bench.moment().shorted()).isFalse();
        assertThat(bench.moment().condition("G1")).isEqualTo(Condition.LOST);
    }

    /** A sheet that is drawn with a short circuit in it does not wait for somebody to do something. */
    @Test
    void aShortCircuitThatIsThereFromTheBeginningOpensWhatIsInItsWay() {
        Bench bench = behindAFuse("\"L N\"");

        bench.runUntil(100_000);

        assertThat(bench.moment().condition("F1")).isEqualTo(Condition.BLOWN);
        assertThat(bench.moment().condition("G1")).isEqualTo(Condition.PRESENT);
    }
}
