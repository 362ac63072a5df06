package parable.wiring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * The shortest way that visits every point once: with two conductors to a terminal the wires of a node are a path. Up to thirteen points it is the
 * shortest there is (dynamic programming over subsets, Held and Karp 1962); beyond that the best that two-opt and moving stretches come to from
 * about a dozen beginnings.
 */
final class ShortestPath {

    private static final int EXACT = 13;
    private static final int MOST_BEGINNINGS = 12;
    private static final double GAIN = 1e-9;

    private ShortestPath() {}

    /** The length from one point to another, the same both ways. */
    interface Length {
        double between(int one, int other);
    }

    /** The points in the order of the way; of two that are equally long always the same. */
    static List<Integer> through(int points, Length length) {
        if (points < 3) {
            List<Integer> all = new ArrayList<>();
            for (int i = 0; i < points; i++) {
                all.add(i);
            }
            return all;
        }
        Length measured = measured(points, length);
        return points <= EXACT ? exact(points, measured) : improved(points, measured);
    }

    /** The same lengths, each measured once. */
    private static Length measured(int points, Length length) {
        double[][] lengths = new double[points][points];
        for (int one = 0; one < points; one++) {
            for (int other = 0; other < points; other++) {
                lengths[one][other] = length.between(one, other);
            }
        }
        return (one, other) -> lengths[one][other];
    }

    static double lengthOf(List<Integer> way, Length length) {
        double sum = 0;
        for (int i = 1; i < way.size(); i++) {
            sum += length.between(way.get(i - 1), way.get(i));
        }
        return sum;
    }

    private static List<Integer> exact(int points, Length length) {
        int sets = 1 << points;
        double[][] best = new double[sets][points];
        int[][] before = new int[sets][points];
        for (double[] row : best) {
            Arrays.fill(row, Double.POSITIVE_INFINITY);
        }
        for (int i = 0; i < points; i++) {
            best[1 << i][i] = 0;
        }
        for (int set = 1; set < sets; set++) {
            for (int last = 0; last < points; last++) {
                for (int next = 0; next < points && best[set][last] < Double.POSITIVE_INFINITY; next++) {
                    if ((set >> next & 1) == 1) {
                        continue;
                    }
                    double longer = best[set][last] + length.between(last, next);
                    if (longer < best[set | 1 << next][next] - GAIN) {
                        best[set | 1 << next][next] = longer;
                        before[set | 1 << next][next] = last;
                    }
                }
            }
        }
        int end = 0;
        for (int i = 1; i < points; i++) {
            end = best[sets - 1][i] < best[sets - 1][end] - GAIN ? i : end;
        }
        List<Integer> way = new ArrayList<>();
        int set = sets - 1;
        for (int at = end; way.size() < points; ) {
            way.add(at);
            int earlier = before[set][at];
            set &= ~(1 << at);
            at = earlier;
        }
        Collections.reverse(way);
        return way;
    }

    private static List<Integer> improved(int points, Length length) {
        List<Integer> best = List.of();
        double shortest = Double.POSITIVE_INFINITY;
        int stride = 1 + points / MOST_BEGINNINGS;
        for (int begin = 0; begin < points; begin += stride) {
            List<Integer> way = nearest(begin, points, length);
            while (turned(way, length) || moved(way, length)) {
                // each round is shorter than the one before
            }
            double whole = lengthOf(way, length);
            if (whole < shortest - GAIN) {
                shortest = whole;
                best = way;
            }
        }
        return best;
    }

    private static List<Integer> nearest(int begin, int points, Length length) {
        List<Integer> way = new ArrayList<>(List.of(begin));
        while (way.size() < points) {
            int at = way.get(way.size() - 1);
            int next = -1;
            for (int i = 0; i < points; i++) {
                boolean nearer = next < 0 || length.between(at, i) < length.between(at, next) - GAIN;
                next = !way.contains(i) && nearer ? i : next;
            }
            way.add(next);
        }
        return way;
    }

    /** Turns a stretch round where that makes the way shorter. */
    private static boolean turned(List<Integer> way, Length length) {
        for (int i = 0; i < way.size() - 1; i++) {
            for (int j = i + 1; j < way.size(); j++) {
                double gain = join(way, i - 1, i, length)
                        + join(way, j, j + 1, length)
                        - join(way, i - 1, j, length)
                        - join(way, i, j + 1, length);
                if (gain > GAIN) {
                    Collections.reverse(way.subList(i, j + 1));
                    return true;
                }
            }
        }
        return false;
    }

    private static double join(List<Integer> way, int one, int other, Length length) {
        return one < 0 || other >= way.size() ? 0 : length.between(way.get(one), way.get(other));
    }

    /** Moves a stretch of up to three elsewhere, either way round, where that makes the way shorter. */
    private static boolean moved(List<Integer> way, Length length) {
        for (int size = 1; size <= 3; size++) {
            for (int from = 0; from + size <= way.size(); from++) {
                double freed = join(way, from - 1, from, length)
                        + join(way, from + size - 1, from + size, length)
                        - join(way, from - 1, from + size, length);
                List<Integer> stretch = new ArrayList<>(way.subList(from, from + size));
                List<Integer> rest = new ArrayList<>(way);
                rest.subList(from, from + size).clear();
                for (int turn = 0; turn < 2; turn++) {
                    for (int to = 0; to <= rest.size(); to++) {
                        if (freed - inserted(rest, to, stretch, length) > GAIN) {
                            rest.addAll(to, stretch);
                            way.clear();
                            way.addAll(rest);
                            return true;
                        }
                    }
                    Collections.reverse(stretch);
                }
            }
        }
        return false;
    }

    /** By how much a way becomes longer if a stretch goes in before one of its points. */
    private static double inserted(List<Integer> way, int before, List<Integer> stretch, Length length) {
        int first = stretch.get(0);
        int last = stretch.get(stretch.size() - 1);
        double in = before > 0 ? length.between(way.get(before - 1), first) : 0;
        double out = before < way.size() ? length.between(last, way.get(before)) : 0;
        return in + out - join(way, before - 1, before, length);
    }
}
