package parable.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Stretches in which nothing happens are folded; whatever happens keeps its order and its distance from what is near. */
class FoldedTimeTest {

    /** Something at 1 s, 2 s and 30 s, the present at 31 s: of the 28 s between, 2 s stay. */
    private final FoldedTime strip = FoldedTime.of(List.of(1_000_000L, 2_000_000L, 30_000_000L), 31e6, 2e6, 5e6);

    @ParameterizedTest
    @CsvSource({"0, 0", "2, 2", "4, 4", "10, 4", "30, 4", "31, 5"})
    void whatIsFoldedTakesNoRoom(double seconds, double laid) {
        assertThat(strip.laid(seconds * 1e6)).isEqualTo(laid * 1e6);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "3, 3", "4, 30", "5, 31"})
    void aPlaceOnTheStripIsATime(double laid, double seconds) {
        assertThat(strip.time(laid * 1e6)).isEqualTo(seconds * 1e6);
    }

    @Test
    void aFoldSaysHowMuchIsCut() {
        assertThat(strip.folds()).containsExactly(new FoldedTime.Fold(4e6, 26e6));
        assertThat(FoldedTime.of(List.of(), 4e6, 2e6, 5e6).folds())
                .as("too short to be folded")
                .isEmpty();
        assertThat(FoldedTime.plain().laid(7)).isEqualTo(7);
    }

    /** On random runs: never backwards, never longer than the time itself, and back again at each happening. */
    @Test
    void timeNeverGoesBackwards() {
        Random random = new Random(5);
        for (int run = 0; run < 200; run++) {
            List<Long> happened = new ArrayList<>();
            long at = 0;
            for (int i = 0; i < 30; i++) {
                at += 1 + (random.nextInt(4) == 0 ? random.nextInt(90_000_000) : random.nextInt(900_000));
                happened.add(at);
            }
            FoldedTime folded = FoldedTime.of(happened, at + 5e6, 1e6, 3e6);
            double before = -1;
            for (double time = 0; time < at; time += at / 97.0) {
                double laid = folded.laid(time);
                assertThat(laid).isGreaterThanOrEqualTo(before).isLessThanOrEqualTo(time);
                before = laid;
            }
            for (long event : happened) {
                assertThat(folded.time(folded.laid(event))).isCloseTo(event, within(1.0));
            }
        }
    }
}
