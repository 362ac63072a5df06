package parable.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import parable.ContactMaze;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.parts.Verb;

/** The way that a reason names: alone it feeds the coil, on random ladders with bridges; and closing what is open in it is enough where the coil is off. */
class WayTest {

    private static final int LADDERS = 150;
    private static final int BUTTONS = 8;

    private static Bench with(ContactMaze maze, Set<String> pressed) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(maze.sheet()));
        for (String tag : pressed) {
            bench.act(new Action(Verb.PRESS, tag));
        }
        bench.runUntil(1_000_000);
        return bench;
    }

    private static boolean isIn(Bench bench) {
        return bench.moment().condition("K1") == Condition.IN;
    }

    private static Set<String> named(Bench bench) {
        return new Why(bench.moment())
                .way("K1").stream()
                        .map(contact -> contact.split(" ")[0])
                        .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The buttons to be held so that these contacts conduct and no others do. */
    private static Set<String> only(ContactMaze maze, Set<String> conducting) {
        return maze.ends().keySet().stream()
                .filter(tag -> conducting.contains(tag) != maze.resting().contains(tag))
                .collect(Collectors.toSet());
    }

    @Test
    void whatIsNamedIsClosedAndFeedsTheCoilByItself() throws Exception {
        int in = 0;
        for (int seed = 0; seed < LADDERS; seed++) {
            Random random = new Random(seed);
            ContactMaze maze = ContactMaze.of(random, BUTTONS);
            Set<String> pressed = maze.some(random);
            Bench bench = with(maze, pressed);
            assertThat(isIn(bench)).as("seed %s", seed).isEqualTo(maze.isFed(pressed));
            if (isIn(bench)) {
                Set<String> way = named(bench);
                assertThat(way).as("seed %s", seed).isNotEmpty().allMatch(tag -> maze.conducts(tag, pressed));
                assertThat(isIn(with(maze, only(maze, way))))
                        .as("seed %s, %s", seed, way)
                        .isTrue();
                assertThat(new Why(bench.moment()).of("K1")).contains(List.copyOf(way));
                in++;
            }
        }
        assertThat(in).isGreaterThan(LADDERS / 5);
    }

    @Test
    void closingWhatIsOpenOnTheWayIsEnough() throws Exception {
        int out = 0;
        for (int seed = 0; seed < LADDERS; seed++) {
            Random random = new Random(seed);
            ContactMaze maze = ContactMaze.of(random, BUTTONS);
            Set<String> pressed = maze.some(random);
            Bench bench = with(maze, pressed);
            Set<String> way = named(bench);
            if (!isIn(bench) && !way.isEmpty()) {
                Set<String> open =
                        way.stream().filter(tag -> !maze.conducts(tag, pressed)).collect(Collectors.toSet());
                assertThat(open).as("seed %s", seed).isNotEmpty();
                assertThat(isIn(with(maze, only(maze, way))))
                        .as("seed %s, %s", seed, way)
                        .isTrue();
                Set<String> changed = new LinkedHashSet<>(pressed);
                open.forEach(tag -> {
                    if (!changed.remove(tag)) {
                        changed.add(tag);
                    }
                });
                assertThat(maze.isFed(changed))
                        .as("seed %s, with %s", seed, open)
                        .isTrue();
                out++;
            }
        }
        assertThat(out).isGreaterThan(LADDERS / 5);
    }
}
