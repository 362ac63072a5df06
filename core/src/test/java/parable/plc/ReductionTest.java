package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import parable.ContactMaze;
import parable.Examples;
import parable.parts.Assembly;
import parable.program.Logic;

/** The logic that a ladder is reduced to is 1 exactly when its contacts conduct, on random ladders with bridges, in every position of their contacts. */
class ReductionTest {

    private static final int LADDERS = 300;
    private static final int BUTTONS = 7;

    private static Logic reads(ControlGraph graph, ControlGraph.Edge edge) {
        return new Logic.LadderContact(new Logic.Operand(graph.part(edge).tag(), false), false);
    }

    private static boolean isOne(Logic logic, Set<String> conducting) {
        if (logic instanceof Logic.Series series) {
            return series.parts().stream().allMatch(part -> isOne(part, conducting));
        }
        if (logic instanceof Logic.Parallel parallel) {
            return parallel.branches().stream().anyMatch(part -> isOne(part, conducting));
        }
        Logic.LadderContact contact = (Logic.LadderContact) logic;
        return conducting.contains(contact.operand().variable()) != contact.closed();
    }

    @Test
    void itIsOneWhereTheContactsConduct() {
        int fed = 0;
        int bridged = 0;
        for (int seed = 0; seed < LADDERS; seed++) {
            ContactMaze maze = ContactMaze.of(new Random(seed), BUTTONS);
            Assembly assembly = Examples.fitted(maze.sheet());
            ControlGraph graph = new ControlGraph(assembly);
            Set<String> all = maze.ends().keySet();
            Set<String> closing = new LinkedHashSet<>(all);
            closing.removeAll(maze.resting());
            if (!maze.isFed(closing)) {
                continue;
            }
            ControlGraph.Consumer coil = graph.consumers().get(0);
            int live = graph.railsFrom(coil.from()).iterator().next();
            Logic logic = graph.between(live, coil.from(), edge -> Optional.of(reads(graph, edge)))
                    .orElseThrow();
            for (int pressed = 0; pressed < 1 << BUTTONS; pressed++) {
                Set<String> conducting = new LinkedHashSet<>();
                Set<String> held = new LinkedHashSet<>();
                for (String tag : all) {
                    boolean holds = (pressed >> List.copyOf(all).indexOf(tag) & 1) == 1;
                    if (holds) {
                        held.add(tag);
                    }
                }
                all.stream().filter(tag -> maze.conducts(tag, held)).forEach(conducting::add);
                boolean isFed = maze.isFed(held);
                assertThat(isOne(logic, conducting))
                        .as("seed %s, conducting %s, logic %s", seed, conducting, logic)
                        .isEqualTo(isFed);
                fed += isFed ? 1 : 0;
            }
            bridged += logic.operands().count() > logic.operands().distinct().count() ? 1 : 0;
        }
        assertThat(fed).as("positions in which the coil is fed").isGreaterThan(1_000);
        assertThat(bridged)
                .as("ladders that no series and parallel can say with each contact once")
                .isPositive();
    }
}
