package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.parts.Verb;

class TimersTest {

    private static Bench bench(String function, String contact) {
        return Bench.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply"},
                {"tag": "S1", "kind": "push-button"},
                {"tag": "KT", "kind": "timer", "function": "%s", "setting": "1 s", "dead-time": "0.1 s"},
                {"tag": "P1", "kind": "pilot-lamp"}
                """
                        .formatted(function),
                "\"G1[L] L\", \"G1[N] N\"",
                "\"L S1[13-14] @3 KT[A1-A2] N\", \"L KT[%s] @4 P1[X1-X2] N\"".formatted(contact))));
    }

    private static void at(Bench bench, long millis, Verb verb) throws ActionRefusedException {
        bench.runUntil(millis * 1000);
        bench.act(new Action(verb, "S1"));
    }

    /** The coil has voltage from 5 ms to 3,000 ms; when is the lamp lit? */
    @ParameterizedTest
    @CsvSource({
        "on-delay, 15-18, 1007, 3040",
        "off-delay, 15-18, 7, 4000",
        "interval, 15-18, 7, 1005",
        "on-delay, 15-16, 3042, 5000",
        "star-delta, 17-18, 7, 1005",
        "star-delta, 17-28, 1107, 3040"
    })
    void eachFunctionHasItsOwnTime(String function, String contact, long litAt, long darkAt)
            throws ActionRefusedException {
        Bench bench = bench(function, contact);
        at(bench, 0, Verb.PRESS);
        at(bench, 3000, Verb.RELEASE);
        bench.runUntil(5_000_000);

        assertThat(bench.momentAt(litAt * 1000 - 1).condition("P1")).isEqualTo(Condition.DARK);
        assertThat(bench.momentAt(litAt * 1000).condition("P1")).isEqualTo(Condition.LIT);
        assertThat(bench.momentAt(darkAt * 1000 - 1).condition("P1")).isEqualTo(Condition.LIT);
        if (darkAt < 5000) {
            assertThat(bench.momentAt(darkAt * 1000).condition("P1")).isEqualTo(Condition.DARK);
        }
    }

    /** Whoever watches a timer sees how much of its time is left; what takes it a few milliseconds is no count. */
    @ParameterizedTest
    @CsvSource({
        "on-delay, 15-18, 500, 7, 1007",
        "on-delay, 15-18, 2000, -1, -1",
        "off-delay, 15-18, 500, -1, -1",
        "off-delay, 15-18, 3500, 3000, 4000",
        "interval, 15-18, 500, 5, 1005",
        "star-delta, 17-18, 1050, 1005, 1105"
    })
    void aTimerCounts(String function, String contact, long at, long since, long until) throws ActionRefusedException {
        Bench bench = bench(function, contact);
        at(bench, 0, Verb.PRESS);
        at(bench, 3000, Verb.RELEASE);
        bench.runUntil(5_000_000);
        Moment moment = bench.momentAt(at * 1000);

        if (until < 0) {
            assertThat(moment.count("KT")).isEmpty();
            return;
        }
        Moment.Count count = moment.count("KT").orElseThrow();
        assertThat(count.since() / 1000).isCloseTo(since, within(3L));
        assertThat(count.until() / 1000).isCloseTo(until, within(3L));
        assertThat(count.secondsLeft(at * 1000)).isEqualTo((count.until() - at * 1000) / 1e6);
        assertThat(count.shareLeft(count.since())).isEqualTo(1);
        assertThat(count.shareLeft(count.until() + 1)).isZero();
        assertThat(moment.count("S1")).isEmpty();
    }

    @Test
    void aFlasherGoesOnUntilItLosesItsVoltage() throws ActionRefusedException {
        Bench bench = bench("flasher", "15-18");
        at(bench, 0, Verb.PRESS);
        at(bench, 6500, Verb.RELEASE);
        bench.runUntil(12_000_000);

        assertThat(bench.story().stream().filter(line -> line.text().endsWith("so P1 lights.")))
                .hasSize(4);
        assertThat(bench.moment().condition("P1")).isEqualTo(Condition.DARK);
    }

    @Test
    void aGapThatTheClockworkDoesNotNoticeDoesNotReset() throws ActionRefusedException {
        Bench bench = bench("on-delay", "15-18");
        at(bench, 0, Verb.PRESS);
        at(bench, 500, Verb.RELEASE);
        at(bench, 515, Verb.PRESS);
        bench.runUntil(1_200_000);

        assertThat(bench.momentAt(1_006_999).condition("P1")).isEqualTo(Condition.DARK);
        assertThat(bench.momentAt(1_007_000).condition("P1")).isEqualTo(Condition.LIT);
    }

    @Test
    void aLongerGapBeginsAnew() throws ActionRefusedException {
        Bench bench = bench("on-delay", "15-18");
        at(bench, 0, Verb.PRESS);
        at(bench, 500, Verb.RELEASE);
        at(bench, 600, Verb.PRESS);
        bench.runUntil(1_700_000);

        assertThat(bench.momentAt(1_606_999).condition("P1")).isEqualTo(Condition.DARK);
        assertThat(bench.momentAt(1_607_000).condition("P1")).isEqualTo(Condition.LIT);
    }
}
