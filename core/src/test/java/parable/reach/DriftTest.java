package parable.reach;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.Share;
import parable.bench.Progress;
import parable.circuit.Sheet;

/** Where random small circuits go when they are left alone, against the same worked out from its definition, state by state. */
class DriftTest {

    private static final int CIRCUITS = Share.oneIn(3, 150);

    @Test
    void fromAStateItMayComeToARestJustIfOneIsAmongThoseItReaches() {
        int leading = 0;
        int not = 0;
        for (Random random : seeds()) {
            Explored explored = Explored.of(ExplorerTest.circuit(random));
            int lit = random.nextInt(explored.size());
            StateSet found = explored.explorer.leadingTo(index -> index == lit || index % 7 == 3);
            for (int index = 0; index < explored.size(); index++) {
                boolean expected = explored.reached(index).stream().anyMatch(other -> other == lit || other % 7 == 3);
                assertThat(found.has(index)).as("state %s", index).isEqualTo(expected);
                leading += expected ? 1 : 0;
                not += expected ? 0 : 1;
            }
        }
        assertThat(leading).isGreaterThan(CIRCUITS);
        assertThat(not).isGreaterThan(CIRCUITS);
    }

    @Test
    void itComesToRestUnlessSomethingIsReachedThatLeadsToNoRest() {
        int restless = 0;
        for (Random random : seeds()) {
            Explored explored = Explored.of(ExplorerTest.circuit(random));
            List<Integer> expected = IntStream.range(0, explored.size())
                    .filter(index -> explored.reached(index).stream().noneMatch(explored::isAtRest))
                    .boxed()
                    .toList();
            assertThat(explored.explorer.firstRestless())
                    .isEqualTo(expected.stream().findFirst());
            restless += expected.isEmpty() ? 0 : 1;
        }
        assertThat(restless).isBetween(3, CIRCUITS - 3);
    }

    @Test
    void whatIsOnALoopReachesItself() {
        int loops = 0;
        for (Random random : seeds()) {
            Explored explored = Explored.of(ExplorerTest.circuit(random));
            List<Long> expected = IntStream.range(0, explored.size())
                    .filter(index -> explored.comesBack(index))
                    .mapToObj(explored.explorer.states()::key)
                    .toList();
            assertThat(explored.explorer.onLoops()).isEqualTo(expected);
            loops += expected.isEmpty() ? 0 : 1;
        }
        assertThat(loops).isBetween(3, CIRCUITS - 3);
    }

    @Test
    void theWayToAStateIsAShortestOne() {
        for (Random random : seeds()) {
            Explored explored = Explored.of(ExplorerTest.circuit(random));
            Map<Long, Integer> moves = explored.moves();
            assertThat(moves).hasSize(explored.size());
            for (int index = 0; index < explored.size(); index++) {
                assertThat(explored.explorer.wayTo(index))
                        .hasSize(moves.get(explored.explorer.states().key(index)));
            }
        }
    }

    private static List<Random> seeds() {
        return IntStream.range(0, CIRCUITS)
                .mapToObj(seed -> new Random(9000 + seed))
                .toList();
    }

    /** A circuit that was explored, with its own steps looked up one by one. */
    private record Explored(CircuitMachine machine, Explorer explorer, List<List<Integer>> steps) {

        private static Explored of(Sheet circuit) {
            CircuitMachine machine = new CircuitMachine(Examples.fitted(circuit), List.of());
            Explorer explorer = new Explorer(machine, Progress.UNWATCHED);
            explorer.explore();
            List<List<Integer>> steps = new ArrayList<>();
            for (int index = 0; index < explorer.states().size(); index++) {
                List<Integer> to = new ArrayList<>();
                long key = explorer.states().key(index);
                Conduction conduction = machine.conduction(key);
                if (!conduction.shorted()) {
                    machine.eachOwn(
                            key, conduction, next -> to.add(explorer.states().indexOf(next)));
                }
                steps.add(to);
            }
            return new Explored(machine, explorer, steps);
        }

        private int size() {
            return steps.size();
        }

        private boolean isAtRest(int index) {
            return explorer.isSettled(index) || explorer.conduction(index).shorted();
        }

        private Set<Integer> reached(int from) {
            Set<Integer> reached = new TreeSet<>(Set.of(from));
            reached.addAll(after(steps.get(from)));
            return reached;
        }

        private boolean comesBack(int from) {
            return after(steps.get(from)).contains(from);
        }

        private Set<Integer> after(List<Integer> first) {
            Set<Integer> reached = new TreeSet<>(first);
            Deque<Integer> waiting = new ArrayDeque<>(reached);
            while (!waiting.isEmpty()) {
                for (int next : steps.get(waiting.poll())) {
                    if (reached.add(next)) {
                        waiting.add(next);
                    }
                }
            }
            return reached;
        }

        /** How many moves each state takes at least. */
        private Map<Long, Integer> moves() {
            Map<Long, Integer> moves = new HashMap<>(Map.of(machine.initial(), 0));
            Deque<Long> waiting = new ArrayDeque<>(moves.keySet());
            while (!waiting.isEmpty()) {
                long state = waiting.poll();
                Conduction conduction = machine.conduction(state);
                if (conduction.shorted()) {
                    continue;
                }
                List<CircuitMachine.Move> next = new ArrayList<>(machine.ownMoves(state, conduction));
                next.addAll(machine.handMoves(state));
                for (CircuitMachine.Move move : next) {
                    if (moves.putIfAbsent(machine.with(state, move), moves.get(state) + 1) == null) {
                        waiting.add(machine.with(state, move));
                    }
                }
            }
            return moves;
        }
    }
}
