package parable.mutation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SampleTest {

    private static List<String> sampled(Sample sample) {
        return IntStream.range(0, 10_000)
                .mapToObj(n -> "mutant " + n)
                .filter(sample::isIn)
                .toList();
    }

    @Test
    void itHasAboutTheShareThatWasAskedFor() {
        assertThat(sampled(new Sample(7, 0.1))).hasSizeBetween(900, 1_100);
        assertThat(sampled(new Sample(7, 0))).isEmpty();
        assertThat(sampled(new Sample(7, 1))).hasSize(10_000);
    }

    @Test
    void oneSeedHasTheSameMutantsAndAnotherHasOthers() {
        assertThat(sampled(new Sample(7, 0.1))).isEqualTo(sampled(new Sample(7, 0.1)));
        assertThat(sampled(new Sample(8, 0.1))).isNotEqualTo(sampled(new Sample(7, 0.1)));
        assertThat(sampled(new Sample(97, 0.1)).stream()
                        .filter(sampled(new Sample(41, 0.1))::contains)
                        .count())
                .as("two samples of a tenth have about a hundredth of all in common")
                .isBetween(60L, 140L);
        assertThat(sampled(new Sample(7, 0.2)))
                .as("a larger sample has the smaller in it")
                .containsAll(sampled(new Sample(7, 0.1)));
    }
}
