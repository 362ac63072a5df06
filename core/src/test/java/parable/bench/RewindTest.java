package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Node;
import parable.circuit.Sheet;
import parable.network.NodeState;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

/** Going back and doing the same again is as if nobody had gone back. */
class RewindTest {

    private static final int HANDS = 25;

    static Stream<Sheet> sheets() {
        return Share.oneIn(3, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    /** All that one sees of an instant. */
    private record Seen(Map<String, Condition> conditions, Map<String, NodeState> wires, boolean shorted) {

        private static Seen of(Moment moment, Assembly assembly) {
            Map<String, Condition> conditions = new TreeMap<>();
            assembly.parts().forEach(part -> conditions.put(part.tag(), moment.condition(part.tag())));
            Map<String, NodeState> wires = new TreeMap<>();
            for (Node node : assembly.nodes().all()) {
                moment.node(node.number()).ifPresent(state -> wires.put(node.number(), state));
            }
            return new Seen(conditions, wires, moment.shorted());
        }
    }

    private static List<Action> hands(Assembly assembly) {
        List<Action> hands = new ArrayList<>();
        for (Part part : assembly.parts()) {
            for (Verb verb :
                    List.of(Verb.CLOSE, Verb.PRESS, Verb.RELEASE, Verb.HIT, Verb.ACTUATE, Verb.TRIP, Verb.RESET)) {
                if (part.drive().verbs().containsKey(verb)) {
                    hands.add(new Action(verb, part.tag()));
                }
            }
        }
        return hands;
    }

    private static void act(Bench bench, Action action) {
        try {
            bench.act(action);
        } catch (ActionRefusedException impossible) {
            assertThat(impossible).hasMessageContaining(action.tag());
        }
    }

    private static void play(Bench bench, Random random, int acts) {
        List<Action> hands = hands(bench.assembly());
        for (int i = 0; i < acts; i++) {
            act(bench, hands.get(random.nextInt(hands.size())));
            bench.runUntil(bench.now() + 1_000 + random.nextInt(900_000));
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void goneBackAndDoneAgainItIsTheSame(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        for (int seed = 0; seed < 3; seed++) {
            Bench straight = Bench.of(assembly);
            play(straight, new Random(seed), HANDS);
            long half = straight.now();
            play(straight, new Random(seed + 100), HANDS);

            Bench back = Bench.of(assembly);
            play(back, new Random(seed), HANDS);
            back.runUntil(half + 1);
            play(back, new Random(seed + 200), HANDS);
            back.rewindTo(half);
            play(back, new Random(seed + 100), HANDS);

            assertThat(back.now()).isEqualTo(straight.now());
            assertThat(back.story()).isEqualTo(straight.story());
            assertThat(back.instants()).isEqualTo(straight.instants());
            for (long instant : straight.instants()) {
                assertThat(Seen.of(back.momentAt(instant), assembly))
                        .as("%s, seed %s, at %s us", sheet.name(), seed, instant)
                        .isEqualTo(Seen.of(straight.momentAt(instant), assembly));
            }
            for (Part part : assembly.parts()) {
                assertThat(back.trace(part.tag())).as(part.tag()).isEqualTo(straight.trace(part.tag()));
            }
        }
    }

    /** A look at the past changes nothing of the present. */
    @ParameterizedTest
    @MethodSource("sheets")
    void lookingBackChangesNothing(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Bench bench = Bench.of(assembly);
        play(bench, new Random(3), HANDS);
        Seen now = Seen.of(bench.moment(), assembly);
        List<Long> instants = bench.instants();
        instants.forEach(instant -> Seen.of(bench.momentAt(instant), assembly));

        assertThat(Seen.of(bench.moment(), assembly)).isEqualTo(now);
        assertThat(bench.instants()).isEqualTo(instants);
    }
}
