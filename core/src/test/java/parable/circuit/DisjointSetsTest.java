package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class DisjointSetsTest {

    /** Against lists of members that are poured together. */
    @Test
    void joinedIsWhatWasJoinedByAnyWay() {
        for (int seed = 0; seed < 50; seed++) {
            Random random = new Random(seed);
            DisjointSets sets = new DisjointSets(random.nextInt(5));
            List<Set<Integer>> plain = new ArrayList<>();
            for (int number = 0; number < 20; number++) {
                plain.add(new TreeSet<>(Set.of(number)));
            }
            for (int join = 0; join < 15; join++) {
                int one = random.nextInt(20);
                int other = random.nextInt(20);
                sets.join(one, other);
                Set<Integer> both = new TreeSet<>(plain.get(one));
                both.addAll(plain.get(other));
                both.forEach(member -> plain.set(member, both));
            }
            for (int one = 0; one < 20; one++) {
                assertThat(plain.get(one)).as("what stands for a set is in it").contains(sets.of(one));
                for (int other = 0; other < 20; other++) {
                    assertThat(sets.areJoined(one, other))
                            .as("seed %s, %s and %s", seed, one, other)
                            .isEqualTo(plain.get(one).contains(other));
                }
            }
        }
    }

    @Test
    void whatStoodForTheFirstStandsForBoth() {
        DisjointSets sets = new DisjointSets(4);
        sets.join(3, 1);
        assertThat(sets.of(1)).isEqualTo(3);
        sets.join(0, 1);
        assertThat(sets.of(3)).isZero();
        sets.join(1, 0);
        assertThat(sets.of(1)).as("joined already").isZero();
    }
}
