package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Progress;
import parable.parts.Assembly;

class OnTogetherTest {

    private static OnTogether of(String sheet) {
        return OnTogether.of(Examples.fitted(Examples.ofLibrary(sheet)), 300_000, Progress.UNWATCHED);
    }

    /** What the claims of the proof say is never in together is in no set together. */
    @ParameterizedTest
    @CsvSource({
        "Press platen, K1, K2",
        "Mill, KY, KD",
        "Juice separator, K1, K2",
        "Compressor, S, 2M",
        "Crusher, F, R",
        "Star-delta direct, KY, KD"
    })
    void opponentsAreInNoSetTogether(String sheet, String one, String other) {
        OnTogether together = of(sheet);
        assertThat(together.explored()).isTrue();
        assertThat(together.sets()).noneMatch(set -> set.containsAll(List.of(one, other)));
        assertThat(together.sets()).anyMatch(set -> set.contains(one)).anyMatch(set -> set.contains(other));
    }

    /** No set is part of another, and the heaviest is one of them. */
    @ParameterizedTest
    @CsvSource({"Mill", "Bottle rinser", "Mill start warning", "Wash pump", "24 V relay"})
    void noSetIsPartOfAnother(String sheet) {
        OnTogether together = of(sheet);
        List<Set<String>> sets = together.sets();
        for (Set<String> set : sets) {
            assertThat(sets).filteredOn(other -> other.containsAll(set)).hasSize(1);
        }
        assertThat(sets).contains(together.heaviest(tag -> 1));
    }

    @Test
    void theHeaviestIsThatOfTheWeights() {
        OnTogether together = of("Mill");
        assertThat(together.heaviest(tag -> tag.equals("KY") ? 100 : 1))
                .contains("KY")
                .doesNotContain("KD");
        assertThat(together.heaviest(tag -> tag.equals("KD") ? 100 : 1))
                .contains("KD")
                .doesNotContain("KY");
    }

    /** Where not every state is explored, everything is taken for on together, and that is said. */
    @Test
    void whatIsNotExploredIsTakenForOnTogether() {
        Assembly mill = Examples.fitted(Examples.ofLibrary("Mill"));
        OnTogether few = OnTogether.of(mill, 5, Progress.UNWATCHED);

        assertThat(few.explored()).isFalse();
        assertThat(few.heaviest(tag -> 1)).contains("KM", "KY", "KD", "KT");
        assertThat(OnTogether.everything(mill).heaviest(tag -> 1)).isEqualTo(few.heaviest(tag -> 1));
    }
}
