package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The way of the wires of a node against every other way, and beyond what can be counted against every single change of it. */
class ShortestPathTest {

    /** Points on a plate, in mm. */
    private record Plate(double[] x, double[] y) {

        private static Plate of(int points, long seed) {
            Random random = new Random(seed);
            return new Plate(
                    random.doubles(points, 0, 600).toArray(),
                    random.doubles(points, 0, 400).toArray());
        }

        private double between(int one, int other) {
            return Math.abs(x[one] - x[other]) + Math.abs(y[one] - y[other]);
        }
    }

    private static double shortestOfAll(Plate plate, List<Integer> begun, List<Integer> left) {
        if (left.isEmpty()) {
            return ShortestPath.lengthOf(begun, plate::between);
        }
        double shortest = Double.POSITIVE_INFINITY;
        for (Integer next : left) {
            List<Integer> further = new ArrayList<>(begun);
            further.add(next);
            List<Integer> rest = new ArrayList<>(left);
            rest.remove(next);
            shortest = Math.min(shortest, shortestOfAll(plate, further, rest));
        }
        return shortest;
    }

    @ParameterizedTest
    @ValueSource(ints = {3, 4, 5, 6, 7})
    void upToThirteenPointsNoOtherWayIsShorter(int points) {
        for (int seed = 0; seed < 15; seed++) {
            Plate plate = Plate.of(points, seed);
            List<Integer> way = ShortestPath.through(points, plate::between);

            assertThat(way)
                    .containsExactlyInAnyOrderElementsOf(
                            IntStream.range(0, points).boxed().toList());
            assertThat(ShortestPath.lengthOf(way, plate::between))
                    .as("seed %s", seed)
                    .isCloseTo(
                            shortestOfAll(
                                    plate,
                                    List.of(),
                                    IntStream.range(0, points).boxed().toList()),
                            within(1e-6));
        }
    }

    @Test
    void noneOneAndTwoPointsHaveOnlyOneWay() {
        assertThat(ShortestPath.through(0, (one, other) -> 1)).isEmpty();
        assertThat(ShortestPath.through(1, (one, other) -> 1)).containsExactly(0);
        assertThat(ShortestPath.through(2, (one, other) -> 1)).containsExactly(0, 1);
    }

    /** Thirteen in a row, given in any order: the way goes along the row. */
    @Test
    void aRowIsWiredAlongTheRow() {
        int[] at = {7, 2, 11, 0, 5, 9, 12, 3, 1, 10, 4, 8, 6};
        List<Integer> way = ShortestPath.through(at.length, (one, other) -> Math.abs(at[one] - at[other]));

        assertThat(ShortestPath.lengthOf(way, (one, other) -> Math.abs(at[one] - at[other])))
                .isEqualTo(12);
    }

    /** Beyond thirteen points: neither a stretch turned round nor one of up to three moved elsewhere would be shorter. */
    @ParameterizedTest
    @ValueSource(ints = {14, 17, 25, 40})
    void beyondThemNoSingleChangeMakesItShorter(int points) {
        Plate plate = Plate.of(points, points);
        List<Integer> way = ShortestPath.through(points, plate::between);
        double length = ShortestPath.lengthOf(way, plate::between);

        assertThat(way)
                .containsExactlyInAnyOrderElementsOf(
                        IntStream.range(0, points).boxed().toList());
        for (int from = 0; from < points; from++) {
            for (int to = from + 1; to <= points; to++) {
                List<Integer> turned = new ArrayList<>(way);
                java.util.Collections.reverse(turned.subList(from, to));
                assertThat(ShortestPath.lengthOf(turned, plate::between)).isGreaterThanOrEqualTo(length - 1e-6);
            }
            for (int size = 1; size <= 3 && from + size <= points; size++) {
                assertNoBetterPlace(plate, way, from, size, length);
            }
        }
    }

    private static void assertNoBetterPlace(Plate plate, List<Integer> way, int from, int size, double length) {
        List<Integer> stretch = way.subList(from, from + size);
        List<Integer> rest = new ArrayList<>(way);
        rest.subList(from, from + size).clear();
        for (int to = 0; to <= rest.size(); to++) {
            List<Integer> moved = new ArrayList<>(rest);
            moved.addAll(to, stretch);
            assertThat(ShortestPath.lengthOf(moved, plate::between)).isGreaterThanOrEqualTo(length - 1e-6);
        }
    }

    /** A list that is printed twice must not differ. */
    @Test
    void ofTwoThatAreEquallyLongItIsAlwaysTheSame() {
        List<Integer> first = ShortestPath.through(20, (one, other) -> 1);

        assertThat(ShortestPath.through(20, (one, other) -> 1)).isEqualTo(first);
    }
}
