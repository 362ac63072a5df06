package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.parts.Verb;

/** How long motors take to come up and to stop, and what hits them when they are switched over while they turn. */
class RunUpTest {

    private static final double SECOND = 1e6;

    private static Bench direct(String settings) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "Q1", "kind": "circuit-breaker", "rated": "100 A", "curve": "D"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "18.5 kW"%s}
                """
                        .formatted(settings),
                "\"G1[L1] Q1[1-2] M1[U1]\", \"G1[L2] Q1[3-4] M1[V1]\", \"G1[L3] Q1[5-6] M1[W1]\"",
                "")));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        return bench;
    }

    private static double secondsTo(double speed, Bench bench) {
        return bench.trace("M1").stream()
                        .filter(sample -> sample.speed() >= speed)
                        .mapToLong(Sample::time)
                        .min()
                        .orElseThrow()
                / SECOND;
    }

    private static double peak(Bench bench, double from, double to) {
        return bench.trace("M1").stream()
                .filter(sample -> sample.time() >= from * SECOND && sample.time() <= to * SECOND)
                .mapToDouble(Sample::lineAmperes)
                .max()
                .orElseThrow();
    }

    /** Practice, directly on line at 80 % load: pump, belt and hoist 0.3 to 1 s, fan and mill 5 to 15 s. */
    @ParameterizedTest
    @CsvSource({"pump, 0.3, 1", "conveyor, 0.3, 1", "hoist, 0.2, 1", "fan, 5, 15", "mill, 5, 15"})
    void whatIsDrivenSaysHowLongItTakes(String drives, double least, double most) throws ActionRefusedException {
        Bench bench = direct(", \"drives\": \"%s\"".formatted(drives));
        bench.runUntil(20_000_000);

        assertThat(secondsTo(0.95, bench)).isBetween(least, most);
    }

    /** An independent reckoning: the time is the integral of run-up / (torque of the motor - torque of the load) over the speed. */
    @ParameterizedTest
    @CsvSource({"pump, 0.8, 0.2", "fan, 15, 0.1", "mill, 14, 0.5", "conveyor, 0.9, 1"})
    void theRunUpIsTheIntegralOverTheTorqueThatIsLeft(String drives, double runUp, double friction)
            throws ActionRefusedException {
        Bench bench = direct(", \"drives\": \"%s\", \"load\": \"50 %%\"".formatted(drives));
        bench.runUntil(20_000_000);

        double seconds = 0;
        double width = 0.001;
        for (double speed = width / 2; speed < 0.9; speed += width) {
            double slip = 1 - speed;
            double critical = 0.18 * (1 + 1.178 * slip);
            double motor = 2 * 2.8 / (slip / critical + critical / slip);
            double load = 0.5 * (friction + (1 - friction) * speed * speed);
            seconds += runUp * width / (motor - load);
        }
        assertThat(secondsTo(0.9, bench)).isBetween(0.97 * seconds, 1.03 * seconds);
    }

    private static Bench startedInStar(Sheet sheet, double seconds) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(sheet));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(1_000_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(1_200_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(Math.round(seconds * SECOND));
        return bench;
    }

    private static Sheet starTime(Sheet sheet, String seconds) {
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals("KT") ? device.with("setting", seconds) : device)
                .toList());
    }

    /** The other order of delta links that turns the same way: U1-W2, V1-U2, W1-V2. */
    private static Sheet linkedTheOtherWay(Sheet sheet) throws RungSyntaxException {
        Map<String, String> links = Map.of(
                "@1L1 KD[1-2] @V2",
                "@1L1 KD[1-2] @W2",
                "@1L2 KD[3-4] @W2",
                "@1L2 KD[3-4] @U2",
                "@1L3 KD[5-6] @U2",
                "@1L3 KD[5-6] @V2");
        List<Rung> power = new ArrayList<>();
        for (Rung rung : sheet.power()) {
            power.add(new RungNotation(Set.of("L", "N")).read(links.getOrDefault(rung.text(), rung.text())));
        }
        return sheet.withRungs(Circuit.POWER, power);
    }

    /** In rated currents of 35 A: with the usual links two to five, with the others clearly more, and neither beyond one and a half times a direct start. */
    @Test
    void theChangeToDeltaHitsTheMotorAndTheUsualLinksHitItLess() throws Exception {
        Sheet mill = Examples.ofLibrary("Mill");
        double usual = peak(startedInStar(mill, 12), 8.9, 9.5) / 35;
        Bench bench = startedInStar(linkedTheOtherWay(mill), 12);
        double other = peak(bench, 8.9, 9.5) / 35;

        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.FORWARD);
        assertThat(usual).isBetween(2.0, 5.0);
        assertThat(other).isBetween(1.2 * usual, 10.0);
    }

    /** On two lines its field goes on; the third line that comes back does not hit it as one that was off. */
    @Test
    void aLineThatComesBackDoesNotHitAMotorThatRanOnOnTheOthers() throws ActionRefusedException {
        Bench bench = direct(", \"load\": \"20 %\"");
        bench.runUntil(3_000_000);
        Fault off = new Fault(Fault.Kind.OFF, "Q1", "2");
        bench.set(off, true);
        bench.runUntil(6_000_000);
        bench.set(off, false);
        bench.runUntil(7_000_000);

        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.FORWARD);
        assertThat(peak(bench, 6.001, 7) / 35).isLessThan(2);
    }

    /** With a star time that is too short most of a direct start is still to come. */
    @Test
    void aStarTimeThatIsTooShortShows() throws ActionRefusedException {
        Sheet mill = Examples.ofLibrary("Mill");
        double early = peak(startedInStar(starTime(mill, "2 s"), 8), 3.2, 3.4) / 35;
        double late = peak(startedInStar(mill, 12), 9.3, 9.5) / 35;

        assertThat(early).isGreaterThan(5);
        assertThat(late).isLessThan(1);
    }

    /** Class 10 at 6.5 times its current: 4 to 10 s from cold (IEC 60947-4-1, table 2), whether the motor comes up meanwhile or not. */
    @Test
    void aRunUpThatIsTooLongTripsTheReleaseOnTheWayUp() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "F2", "kind": "overload-relay", "setting": "35 A"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "18.5 kW", "drives": "fan", "run-up": "60 s"}
                """,
                "\"G1[L1] F2[1-2] M1[U1]\", \"G1[L2] F2[3-4] M1[V1]\", \"G1[L3] F2[5-6] M1[W1]\"",
                "")));
        bench.runUntil(3_900_000);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.HEALTHY);
        bench.runUntil(10_000_000);

        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.TRIPPED);
        assertThat(bench.trace("M1"))
                .allSatisfy(sample -> assertThat(sample.speed()).isLessThan(0.7));
    }

    /** Data sheets and practice: 1 to 1.5 times rated torque with twice rated current, near standstill. */
    @Test
    void aBrakePullsHardestNearStandstill() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.ofLibrary("Juice separator")));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(500_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(800_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(10_000_000);
        bench.act(new Action(Verb.PRESS, "S0"));
        bench.runUntil(30_000_000);
        List<Sample> braked = bench.trace("M1").stream()
                .filter(sample -> sample.time() > 10_200_000 && sample.speed() > 0.02)
                .toList();

        double hardest = 0;
        double at = 0;
        for (int i = 10; i < braked.size(); i++) {
            Sample before = braked.get(i - 10);
            Sample after = braked.get(i);
            double pull = (before.speed() - after.speed()) / ((after.time() - before.time()) / SECOND);
            if (pull > hardest) {
                hardest = pull;
                at = after.speed();
            }
        }
        assertThat(at).isBetween(0.05, 0.3);
        assertThat(hardest * 3).isBetween(0.8, 2.5);
    }
}
