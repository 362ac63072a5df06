package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Sheet;
import parable.parts.Verb;

class MotorTest {

    private static Bench bench(String sheet) {
        return Bench.of(Examples.fitted(Examples.pressHouse().sheet(sheet).orElseThrow()));
    }

    private static void at(Bench bench, double seconds, Verb verb, String tag) throws ActionRefusedException {
        bench.runUntil(Math.round(seconds * 1e6));
        bench.act(new Action(verb, tag));
    }

    private static Bench started(String sheet) throws ActionRefusedException {
        Bench bench = bench(sheet);
        at(bench, 0, Verb.CLOSE, "Q1");
        at(bench, 0.1, Verb.PRESS, "S1");
        at(bench, 0.3, Verb.RELEASE, "S1");
        return bench;
    }

    private static double peak(List<Sample> samples) {
        return samples.stream().mapToDouble(Sample::lineAmperes).max().orElseThrow();
    }

    private static Sample last(Bench bench, String motor) {
        List<Sample> samples = bench.trace(motor);
        return samples.get(samples.size() - 1);
    }

    private static Bench direct(String settings) throws ActionRefusedException {
        Sheet sheet = Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "Q1", "kind": "circuit-breaker", "rated": "100 A"},
                {"tag": "F2", "kind": "overload-relay", "setting": "38 A"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "18.5 kW"%s}
                """
                        .formatted(settings),
                "\"G1[L1] Q1[1-2] F2[1-2] M1[U1]\", \"G1[L2] Q1[3-4] F2[3-4] M1[V1]\", \"G1[L3] Q1[5-6] F2[5-6] M1[W1]\"",
                "");
        Bench bench = Bench.of(Examples.fitted(sheet));
        at(bench, 0, Verb.CLOSE, "Q1");
        return bench;
    }

    @Test
    void startsAtSevenTimesItsCurrentAndSettlesNearRatedSpeed() throws ActionRefusedException {
        Bench bench = direct(", \"load\": \"100 %\"");
        bench.runUntil(5_000_000);

        double rated = 35;
        assertThat(peak(bench.trace("M1")) / rated).isCloseTo(7, within(0.1));
        assertThat(last(bench, "M1").speed()).isCloseTo(0.966, within(0.005));
        assertThat(last(bench, "M1").lineAmperes() / rated).isCloseTo(1, within(0.03));
    }

    @Test
    void inStarThePeakCurrentIsAThirdOfDirectOnLine() throws ActionRefusedException {
        Bench direct = direct(", \"drives\": \"mill\", \"load\": \"20 %\", \"run-up\": \"4 s\"");
        direct.runUntil(5_000_000);
        Bench mill = started("Mill");
        mill.runUntil(7_900_000);

        assertThat(peak(mill.trace("M1"))).isCloseTo(peak(direct.trace("M1")) / 3, within(1.0));
        assertThat(last(mill, "M1").speed()).isGreaterThan(0.9);
    }

    @Test
    void theBrakeStopsItSeveralTimesFasterThanCoasting() throws ActionRefusedException {
        Bench braked = started("Juice separator");
        at(braked, 8, Verb.PRESS, "S0");
        braked.runUntil(120_000_000);
        Bench coasting = started("Juice separator");
        at(coasting, 8, Verb.OPEN, "Q1");
        coasting.runUntil(120_000_000);

        assertThat(standstill(coasting)).isGreaterThan(4 * standstill(braked));
    }

    /** The seconds from 8 s until the motor stands still. */
    private static double standstill(Bench bench) {
        return bench.trace("M1").stream()
                                .filter(sample -> sample.time() > 8_000_000 && sample.speed() == 0)
                                .mapToLong(Sample::time)
                                .min()
                                .orElseThrow()
                        / 1e6
                - 8;
    }

    @Test
    void aLockedRotorTripsTheOverloadRelayWithinItsClass() throws ActionRefusedException {
        Bench bench = direct(", \"rotor\": \"locked\"");
        bench.runUntil(1_000_000);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.LOCKED);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.HEALTHY);
        bench.runUntil(15_000_000);

        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.TRIPPED);
        assertThat(bench.story()).extracting(StoryLine::text).contains("F2 has become too hot and trips.");
    }

    @Test
    void ratedLoadNeverTripsItAndTooMuchDoes() throws ActionRefusedException {
        Bench rated = direct(", \"load\": \"95 %\"");
        rated.runUntil(2 * 3600 * 1_000_000L);
        assertThat(rated.moment().condition("F2")).isEqualTo(Condition.HEALTHY);

        Bench overloaded = direct(", \"load\": \"150 %\"");
        overloaded.runUntil(2 * 3600 * 1_000_000L);
        assertThat(overloaded.moment().condition("F2")).isEqualTo(Condition.TRIPPED);
    }

    @Test
    void theGapBetweenStarAndDeltaIsThereAndShort() throws ActionRefusedException {
        Bench mill = started("Mill");
        mill.runUntil(10_000_000);

        long out = timeOf(mill, "KY drops out");
        long in = timeOf(mill, "KD pulls in");
        assertThat(in - out).isBetween(5_000L, 60_000L);
    }

    private static long timeOf(Bench bench, String beginning) {
        return bench.story().stream()
                .filter(line -> line.text().startsWith(beginning))
                .mapToLong(StoryLine::time)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void lookingOftenChangesNothing() throws ActionRefusedException {
        Bench seldom = started("Juice separator");
        Bench often = started("Juice separator");
        seldom.runUntil(5_000_000);
        for (long time = 300_000; time <= 5_000_000; time += 777) {
            often.runUntil(time);
        }
        often.runUntil(5_000_000);

        assertThat(often.story()).isEqualTo(seldom.story());
        assertThat(often.trace("M1")).isEqualTo(seldom.trace("M1"));
    }

    @Test
    void goingBackAndOnAgainRunsTheSame() throws ActionRefusedException {
        Bench bench = started("Juice separator");
        bench.runUntil(6_000_000);
        List<Sample> before = List.copyOf(bench.trace("M1"));
        bench.rewindTo(1_234_567);
        bench.runUntil(6_000_000);

        assertThat(bench.trace("M1")).isEqualTo(before);
    }
}
