package parable.timing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Zones against the plain sets of whole times that they stand for. */
class ZoneTest {

    private static final int MOST = 6;
    private static final int RUNS = 400;
    private static final int STEPS = 12;

    /** Every combination of times that may be left, one by one, for clocks in ascending order. */
    private record Times(List<Integer> clocks, Set<List<Integer>> all) {

        private static final Times NONE = new Times(List.of(), Set.of(List.of()));

        private Times with(int clock, int shortest, int longest) {
            int place = (int) clocks.stream().filter(one -> one < clock).count();
            List<Integer> more = new ArrayList<>(clocks);
            more.add(place, clock);
            Set<List<Integer>> product = new HashSet<>();
            for (List<Integer> times : all) {
                for (int left = shortest; left <= longest; left++) {
                    List<Integer> longer = new ArrayList<>(times);
                    longer.add(place, left);
                    product.add(longer);
                }
            }
            return new Times(more, product);
        }

        private Times without(int clock) {
            int place = clocks.indexOf(clock);
            List<Integer> fewer = new ArrayList<>(clocks);
            fewer.remove(place);
            Set<List<Integer>> shorter = new HashSet<>();
            for (List<Integer> times : all) {
                List<Integer> rest = new ArrayList<>(times);
                rest.remove(place);
                shorter.add(rest);
            }
            return new Times(fewer, shorter);
        }

        private Times ordered(int first, int second) {
            int one = clocks.indexOf(first);
            int other = clocks.indexOf(second);
            Set<List<Integer>> left = new HashSet<>(all);
            left.removeIf(times -> times.get(one) > times.get(other));
            return new Times(clocks, left);
        }

        private Times ranOut(int clock) {
            int place = clocks.indexOf(clock);
            Set<List<Integer>> left = new HashSet<>(all);
            left.removeIf(times -> times.get(place) > 0);
            return new Times(clocks, left).without(clock);
        }

        private Times later() {
            Set<List<Integer>> after = new HashSet<>();
            for (List<Integer> times : all) {
                int soonest = times.stream().mapToInt(Integer::intValue).min().orElse(0);
                for (int passed = 0; passed <= soonest; passed++) {
                    int by = passed;
                    after.add(times.stream().map(left -> left - by).toList());
                }
            }
            return new Times(clocks, after);
        }
    }

    private static Zone point(List<Integer> clocks, List<Integer> times) {
        Zone zone = Zone.EMPTY;
        for (int i = 0; i < clocks.size(); i++) {
            zone = zone.with(clocks.get(i), times.get(i), times.get(i));
        }
        return zone;
    }

    private static Set<List<Integer>> grid(int clocks) {
        Set<List<Integer>> grid = new HashSet<>(Set.of(List.of()));
        for (int i = 0; i < clocks; i++) {
            Set<List<Integer>> longer = new HashSet<>();
            for (List<Integer> times : grid) {
                for (int left = 0; left <= MOST + 1; left++) {
                    List<Integer> one = new ArrayList<>(times);
                    one.add(left);
                    longer.add(one);
                }
            }
            grid = longer;
        }
        return grid;
    }

    /** A zone and what it stands for, after the same steps. */
    private record Both(Zone zone, Times times) {

        private static final Both START = new Both(Zone.EMPTY, Times.NONE);

        /** Empty if no time is left that could be. */
        private Optional<Both> stepped(Random random) {
            List<Integer> clocks = times.clocks();
            int act = random.nextInt(clocks.size() < 2 ? 1 : 5);
            if (act == 0 && clocks.size() < 3) {
                int clock = random.nextInt(10);
                if (clocks.contains(clock)) {
                    return Optional.of(this);
                }
                int shortest = random.nextInt(MOST);
                int longest = shortest + random.nextInt(MOST - shortest + 1);
                return Optional.of(new Both(zone.with(clock, shortest, longest), times.with(clock, shortest, longest)));
            }
            if (act == 1) {
                return Optional.of(new Both(zone.later(), times.later()));
            }
            int one = clocks.get(random.nextInt(clocks.size()));
            int other = clocks.get(random.nextInt(clocks.size()));
            return switch (act) {
                case 2 -> same(zone.ordered(one, other), times.ordered(one, other));
                case 3 -> same(zone.ranOut(one), times.ranOut(one));
                default -> Optional.of(new Both(zone.without(one), times.without(one)));
            };
        }

        private static Optional<Both> same(Optional<Zone> zone, Times times) {
            assertThat(zone.isEmpty())
                    .as("nothing is left of %s", times)
                    .isEqualTo(times.all().isEmpty());
            return zone.map(left -> new Both(left, times));
        }

        private void assertSame(String where) {
            for (List<Integer> one : grid(times.clocks().size())) {
                assertThat(zone.includes(point(times.clocks(), one)))
                        .as("%s: %s of clocks %s", where, one, times.clocks())
                        .isEqualTo(times.all().contains(one));
            }
        }
    }

    @Test
    void whateverIsDoneAZoneHoldsTheTimesThatMayBeLeft() {
        int emptied = 0;
        for (int seed = 0; seed < RUNS; seed++) {
            Random random = new Random(seed);
            Optional<Both> both = Optional.of(Both.START);
            for (int step = 0; step < STEPS && both.isPresent(); step++) {
                both = both.get().stepped(random);
                String where = "seed " + seed + ", step " + step;
                both.ifPresent(now -> now.assertSame(where));
            }
            emptied += both.isEmpty() ? 1 : 0;
        }
        assertThat(emptied).isBetween(RUNS / 10, RUNS * 9 / 10);
    }

    @Test
    void oneZoneIncludesAnotherJustIfItHasAllItsTimes() {
        int including = 0;
        int not = 0;
        for (int seed = 0; seed < RUNS; seed++) {
            Random random = new Random(seed);
            Both one = run(random);
            Both other = run(random);
            if (one.zone().hasClocksOf(other.zone())) {
                boolean expected = one.times().all().containsAll(other.times().all());
                assertThat(one.zone().includes(other.zone()))
                        .as("seed %s", seed)
                        .isEqualTo(expected);
                including += expected ? 1 : 0;
                not += expected ? 0 : 1;
            }
        }
        assertThat(including).isPositive();
        assertThat(not).isPositive();
    }

    /** Two clocks that run against each other for a while. */
    private static Both run(Random random) {
        Both both = Both.START;
        for (int clock = 1; clock <= 2; clock++) {
            int shortest = random.nextInt(3);
            int longest = shortest + random.nextInt(3);
            both = new Both(
                    both.zone().with(clock, shortest, longest), both.times().with(clock, shortest, longest));
        }
        return random.nextBoolean()
                ? both
                : new Both(both.zone().later(), both.times().later());
    }

    /** Without an end a clock may run for ever, and is no earlier than any other for that. */
    @Test
    void aClockWithoutAnEndNeedNotRunOut() {
        Zone zone = Zone.EMPTY.with(1, 2, Zone.UNBOUNDED).with(2, 3, 5);

        assertThat(zone.includes(point(List.of(1, 2), List.of(1_000_000, 4)))).isTrue();
        assertThat(zone.includes(point(List.of(1, 2), List.of(1, 4)))).isFalse();
        assertThat(zone.later().ranOut(2)).isPresent();
        assertThat(zone.later().ranOut(1)).isPresent();
        assertThat(Zone.EMPTY.with(1, 6, Zone.UNBOUNDED).with(2, 3, 5).later().ranOut(1))
                .as("the other must have run out before")
                .isEmpty();
    }

    @Test
    void aClockIsCalledOtherwiseAndKeepsItsTime() {
        Zone zone = Zone.EMPTY.with(3, 1, 2).with(7, 4, 4);

        Zone renamed = zone.renamed(7, 5);

        assertThat(renamed.runs(5)).isTrue();
        assertThat(renamed.runs(7)).isFalse();
        assertThat(renamed.hasClocksOf(Zone.EMPTY.with(3, 0, 0).with(5, 0, 0))).isTrue();
        assertThat(renamed.includes(point(List.of(3, 5), List.of(2, 4)))).isTrue();
        assertThat(renamed.includes(point(List.of(3, 5), List.of(2, 3)))).isFalse();
    }
}
