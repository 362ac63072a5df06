package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a trace keeps, against a plain list. */
class TraceTest {

    private static final int MOTOR = 0;
    private static final int RELEASE = 1;

    private static Sample sample(long time) {
        return new Sample(time, time / 1e6, 4);
    }

    private static Trace filled(List<Sample> kept, Random random) {
        Trace trace = new Trace(3);
        long time = 0;
        for (int i = 0; i < 60; i++) {
            time += 5_000 + random.nextInt(20_000);
            trace.add(MOTOR, sample(time), false);
            trace.add(RELEASE, new Warmth(time, 0.5, 4), false);
            kept.add(sample(time));
        }
        return trace;
    }

    @Test
    void whatIsCutOffIsWhatCameAfter() {
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            List<Sample> kept = new ArrayList<>();
            Trace trace = filled(kept, random);
            long cut = seed % 2 == 0
                    ? kept.get(random.nextInt(kept.size())).time()
                    : random.nextInt((int) kept.get(kept.size() - 1).time() + 10_000);

            trace.cutAfter(cut);

            kept.removeIf(one -> one.time() > cut);
            assertThat(trace.of(MOTOR)).as("seed %s", seed).isEqualTo(kept);
            assertThat(trace.size()).isEqualTo(2L * kept.size());
        }
    }

    /** Of what was before the cut the last sample stays: it says how things were at the cut. */
    @Test
    void whatIsForgottenIsWhatWasOverBefore() {
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            List<Sample> all = new ArrayList<>();
            Trace trace = filled(all, random);
            long cut = random.nextInt((int) all.get(all.size() - 1).time());
            Optional<Sample> then = trace.motorAt(MOTOR, cut);

            trace.cutBefore(cut);

            List<Sample> after = all.stream().filter(one -> one.time() > cut).toList();
            assertThat(trace.of(MOTOR)).as("seed %s", seed).endsWith(after.toArray(Sample[]::new));
            assertThat(trace.of(MOTOR)).hasSizeLessThanOrEqualTo(after.size() + 1);
            assertThat(trace.motorAt(MOTOR, cut)).isEqualTo(then);
        }
    }

    @Test
    void atATimeItIsTheLastSampleUpToThen() {
        Random random = new Random(7);
        List<Sample> all = new ArrayList<>();
        Trace trace = filled(all, random);
        for (int i = 0; i < 300; i++) {
            long time = random.nextInt((int) all.get(all.size() - 1).time() + 50_000);
            Sample expected = all.stream()
                    .filter(one -> one.time() <= time)
                    .reduce((earlier, later) -> later)
                    .orElse(all.get(0));
            assertThat(trace.motorAt(MOTOR, time)).contains(expected);
            assertThat(trace.releaseAt(RELEASE, time).orElseThrow().time()).isEqualTo(expected.time());
        }
    }

    @Test
    void betweenEventsASampleIsKeptEveryFiveMilliseconds() {
        Trace trace = new Trace(3);
        for (long time = 0; time <= 20_000; time += 1_000) {
            trace.add(MOTOR, sample(time), false);
        }
        assertThat(trace.of(MOTOR)).extracting(Sample::time).containsExactly(0L, 5_000L, 10_000L, 15_000L, 20_000L);

        trace.add(MOTOR, sample(20_001), true);
        trace.add(MOTOR, sample(20_002), true);
        assertThat(trace.of(MOTOR)).hasSize(7);
    }

    @Test
    void whatIsNoMotorHasNoSample() {
        Trace trace = new Trace(3);
        trace.add(MOTOR, sample(1), true);

        assertThat(trace.motorAt(RELEASE, 5)).isEmpty();
        assertThat(trace.releaseAt(MOTOR, 5)).isEmpty();
        Trace other = new Trace(3);
        other.takeOver(trace, part -> part == MOTOR ? 2 : -1);
        assertThat(other.of(2)).containsExactly(sample(1));
        assertThat(other.of(MOTOR)).isEmpty();
    }
}
