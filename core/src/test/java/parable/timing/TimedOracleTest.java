package parable.timing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.TimeRange;
import parable.parts.Travel;
import parable.reach.CircuitMachine;
import parable.reach.ExplorerTest;

/** The search within times against brute force over all whole delays, on tiny machines with times up to six milliseconds. */
class TimedOracleTest {

    private static final int MACHINES = 10_000;
    private static final int MOST = 60_000;

    @Test
    void bothFindTheSameOnTinyMachines() {
        compare(MACHINES / 100);
    }

    @Test
    @Tag("long")
    void bothFindTheSameOnTenThousandTinyMachines() {
        compare(MACHINES);
    }

    private static void compare(int machines) {
        int compared = 0;
        int found = 0;
        int more = 0;
        int seed = 0;
        for (; compared < machines; seed++) {
            Random random = new Random(seed);
            Assembly assembly = timed(Examples.fitted(ExplorerTest.plainCircuit(random)), random);
            BruteForce brute = new BruteForce(assembly, MOST);
            if (!brute.knows()) {
                continue;
            }
            compared++;
            CircuitMachine machine = new CircuitMachine(assembly, List.of());
            int[] contactors = contactors(machine);
            for (int one = 0; one < contactors.length; one++) {
                for (int other = one; other < contactors.length; other++) {
                    int first = contactors[one];
                    int second = contactors[other];
                    boolean searched = searched(
                            machine,
                            (positions, conduction, settled) ->
                                    machine.isIn(positions, first) && machine.isIn(positions, second));
                    boolean forced = brute.findsIn(one, other);
                    assertThat(searched || !forced)
                            .as("missed, seed %s: %s and %s in", seed, one, other)
                            .isTrue();
                    found += forced ? 1 : 0;
                    more += searched && !forced ? 1 : 0;
                }
            }
            boolean searched = searched(machine, (positions, conduction, settled) -> conduction.shorted());
            assertThat(searched || !brute.findsShort())
                    .as("missed, seed %s: short", seed)
                    .isTrue();
            found += brute.findsShort() ? 1 : 0;
            more += searched && !brute.findsShort() ? 1 : 0;
        }
        System.out.println("Tiny machines: " + compared + " of " + seed + " drawn, found by both " + found
                + ", by the search alone " + more);
        assertThat(found).isGreaterThan(machines / 2);
        assertThat(more).isLessThanOrEqualTo(Math.max(1, machines / 50));
    }

    private static int[] contactors(CircuitMachine machine) {
        return IntStream.of(machine.moving())
                .filter(part -> machine.parts().get(part).family() == Family.CONTACTOR)
                .toArray();
    }

    private static boolean searched(CircuitMachine machine, TimedSearch.Kind kind) {
        Set<Integer> keeping = new TreeSet<>();
        for (int part : contactors(machine)) {
            keeping.add(part);
        }
        TimedSearch search = TimedSearch.quick(machine, keeping, () -> false);
        boolean found = search.find(List.of(search.rest()), kind).isPresent();
        assertThat(found || search.isComplete()).isTrue();
        return found;
    }

    /** Each contactor with times of its own, whole milliseconds up to six. */
    private static Assembly timed(Assembly assembly, Random random) {
        Map<String, Travel> times = new HashMap<>();
        for (Part part : assembly.parts()) {
            if (part.family() == Family.CONTACTOR) {
                TimeRange away = range(random, 1, 3);
                TimeRange back = range(random, 1, 3);
                times.put(
                        part.tag(),
                        new Travel(
                                away,
                                range(random, (int) (away.longest() / 1000), 6),
                                back,
                                range(random, (int) (back.longest() / 1000), 6)));
            }
        }
        return assembly.timed(times);
    }

    private static TimeRange range(Random random, int least, int most) {
        int shortest = least + random.nextInt(most - least + 1);
        int longest = shortest + random.nextInt(Math.min(2, most - shortest + 1));
        return new TimeRange(shortest * 1000L, shortest * 1000L, longest * 1000L);
    }
}
