package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.parts.Verb;

/** A run that goes on for long, or that is busy, takes a bounded amount of memory and says what it has forgotten. */
class EnduranceTest {

    private static final long MEGABYTES = 1 << 20;
    private static final long MINUTE = 60_000_000;

    private static final String BUZZER =
            """
            {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
            {"tag": "K1", "kind": "control-relay", "coil": "230 V AC", "changeovers": "1"}
            """;

    private static Bench buzzer() {
        return Bench.of(
                Examples.fitted(Examples.sheet(BUZZER, "\"G1[L] L\", \"G1[N] N\"", "\"L K1[11-12] @3 K1[A1-A2] N\"")));
    }

    private static Bench relays(int count) {
        String devices = IntStream.rangeClosed(1, count)
                .mapToObj(i -> "{\"tag\": \"S%d\", \"kind\": \"push-button\", \"blocks\": \"13-14\"},".formatted(i)
                        + "{\"tag\": \"K%d\", \"kind\": \"control-relay\", \"coil\": \"230 V AC\", \"changeovers\": \"1\"}"
                                .formatted(i))
                .collect(Collectors.joining(","));
        String rungs = IntStream.rangeClosed(1, count)
                .mapToObj(i -> "\"L S%d[13-14] K%d[A1-A2] N\"".formatted(i, i))
                .collect(Collectors.joining(","));
        return Bench.of(Examples.fitted(Examples.sheet(
                "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}," + devices,
                "\"G1[L] L\", \"G1[N] N\"",
                rungs)));
    }

    private static long used() {
        System.gc();
        return (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) / MEGABYTES;
    }

    private static String buzz(long minutes) {
        Bench bench = buzzer();
        long before = used();
        bench.runUntil(minutes * MINUTE);
        assertThat(used() - before).as("megabytes after %s minutes", minutes).isLessThan(300);
        assertThat(bench.story()).hasSizeGreaterThan((int) minutes * 100);
        return (used() - before) + " MB, past from " + bench.earliest() / 1_000_000 + " s on";
    }

    private static String act(int actions, int relays) throws ActionRefusedException {
        Bench bench = relays(relays);
        long before = used();
        for (int i = 0; i < actions; i++) {
            bench.act(new Action(i / relays % 2 == 0 ? Verb.PRESS : Verb.RELEASE, "S" + (i % relays + 1)));
            bench.runUntil(bench.now() + 50_000);
        }
        assertThat(used() - before).as("megabytes after %s actions", actions).isLessThan(300);
        assertThat(bench.isPastShortened()).isTrue();
        assertThat(bench.earliest()).isPositive();
        assertThat(bench.momentAt(bench.earliest())).isNotNull();
        return (used() - before) + " MB, past from " + bench.earliest() / 1_000_000 + " s of " + bench.now() / 1_000_000
                + " on";
    }

    @Test
    void twoMinutesOfABuzzer() {
        buzz(2);
    }

    @Test
    void aThousandActionsOnTwoHundredRelays() throws ActionRefusedException {
        act(1_000, 200);
    }

    @Test
    @Tag("long")
    void anHourOfABuzzer() {
        System.out.println("an hour of a buzzer: " + buzz(60));
    }

    @Test
    @Tag("long")
    void twoHundredThousandActionsOnTwoHundredRelays() throws ActionRefusedException {
        System.out.println("200,000 actions on 200 relays: " + act(200_000, 200));
    }
}
