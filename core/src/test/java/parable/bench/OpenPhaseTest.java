package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.parts.Verb;

/** What a motor takes when a line is lost: known figures of a 2.2 kW motor with 4.9 A, and the law that both systems are in series. */
class OpenPhaseTest {

    private static Bench bench(String load) {
        return Bench.of(Examples.fitted(Examples.sheet(
                """
                        {"tag": "G1", "kind": "three-phase-supply"},
                        {"tag": "Q1", "kind": "circuit-breaker", "rated": "16 A"},
                        {"tag": "F2", "kind": "overload-relay", "setting": "4.9 A"},
                        {"tag": "M1", "kind": "three-phase-motor", "power": "2.2 kW", "load": "%s"}
                        """
                        .formatted(load),
                "\"G1[L1] Q1[1-2] F2[1-2] M1[U1]\", \"G1[L2] Q1[3-4] F2[3-4] M1[V1]\", \"G1[L3] Q1[5-6] F2[5-6] M1[W1]\"",
                "")));
    }

    private static Sample last(Bench bench) {
        List<Sample> samples = bench.trace("M1");
        return samples.get(samples.size() - 1);
    }

    /** Line current of about 1.7 times that with all three lines: the same power at root 3 less. */
    @ParameterizedTest
    @CsvSource({"50 %, 4.5, 6.5", "80 %, 6.5, 9", "100 %, 8, 11.5"})
    void whileItRunsItTakesAboutOnePointSevenTimes(String load, double least, double most)
            throws ActionRefusedException {
        Bench bench = bench(load);
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(2_000_000);
        double sound = last(bench).lineAmperes();
        bench.set(new Fault(Fault.Kind.LOST, "G1", "L3"), true);
        bench.runUntil(3_500_000);

        assertThat(last(bench).speed()).as("it runs on").isGreaterThan(0.85);
        assertThat(last(bench).lineAmperes()).isBetween(least, most);
        assertThat(last(bench).lineAmperes() / sound).isBetween(1.3, 2.2);
    }

    /** The classic trap: while it turns, the meter shows nearly the full voltage on the line that is lost. */
    @Test
    void theMeterShowsNearlyASoundSupplyWhileItTurnsAndNotAtStandstill() throws ActionRefusedException {
        for (String load : List.of("0 %", "20 %", "50 %", "80 %")) {
            Bench bench = bench(load);
            bench.act(new Action(Verb.CLOSE, "Q1"));
            bench.runUntil(2_000_000);
            bench.set(new Fault(Fault.Kind.LOST, "G1", "L3"), true);
            bench.runUntil(3_500_000);

            assertThat(volts(bench, "M1:U1", "M1:V1")).isBetween(399.0, 401.0);
            double least = load.equals("50 %") || load.equals("80 %") ? 0.75 : 0.88;
            assertThat(volts(bench, "M1:V1", "M1:W1")).as(load).isBetween(least * 400, 0.96 * 400);
            assertThat(volts(bench, "M1:W1", "M1:U1")).as(load).isBetween(least * 400, 0.96 * 400);
        }

        Bench still = bench("80 %");
        still.set(new Fault(Fault.Kind.LOST, "G1", "L3"), true);
        still.act(new Action(Verb.CLOSE, "Q1"));
        still.runUntil(300_000);
        assertThat(volts(still, "M1:V1", "M1:W1")).isBetween(195.0, 205.0);
    }

    private static double volts(Bench bench, String red, String black) {
        return bench.moment()
                .meter()
                .read(Meter.Range.VOLTS_AC, red, black)
                .value()
                .orElseThrow();
    }

    /** At standstill both systems have the impedance of the locked rotor: 0.87 times the starting current. */
    @Test
    void atStandstillItHumsAndTakesTheBetterPartOfItsStartingCurrent() throws ActionRefusedException {
        Bench bench = bench("80 %");
        bench.set(new Fault(Fault.Kind.LOST, "G1", "L3"), true);
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(300_000);

        assertThat(last(bench).speed()).isZero();
        assertThat(last(bench).lineAmperes()).isBetween(27.0, 33.0);
    }

    /** A release that feels the lost line trips at 80 % load within minutes, and much later or never at a light load. */
    @Test
    void aLightlyLoadedMotorMayRunOn() throws ActionRefusedException {
        for (String load : List.of("20 %", "100 %")) {
            Bench bench = bench(load);
            bench.act(new Action(Verb.CLOSE, "Q1"));
            bench.runUntil(2_000_000);
            bench.set(new Fault(Fault.Kind.LOST, "G1", "L3"), true);
            bench.runUntil(600_000_000);
            assertThat(bench.moment().condition("F2") == Condition.TRIPPED)
                    .as(load)
                    .isEqualTo(load.equals("100 %"));
        }
    }
}
