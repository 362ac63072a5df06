package parable.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import parable.bench.Action;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Practice;
import parable.draw.Drawing;
import parable.draw.SheetDrawing;
import parable.draw.Subject;
import parable.network.NodeState;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** How the pump's drawing looks at an instant. */
class SightTest {

    private static List<Seen> seen(Bench bench, Map<String, List<Integer>> numbers) {
        Drawing drawing = SheetDrawing.of(bench.assembly(), Practice.IEC);
        return new Sight(bench.moment(), (fault, subject) -> true, numbers).of(drawing.marks());
    }

    private static Bench pump() throws Exception {
        return Bench.of(Assembly.of(Library.jobs().get(0).sheets().get(0)));
    }

    private static List<Seen.OfLabel> tags(List<Seen> seen, String tag) {
        return seen.stream()
                .filter(Seen.OfLabel.class::isInstance)
                .map(Seen.OfLabel.class::cast)
                .filter(label -> label.mark().text().equals(tag))
                .toList();
    }

    @Test
    void ofManyNumbersTheFirstStandBesideTheFirstTagAndHowManyMoreThereAre() throws Exception {
        List<Seen> seen = seen(pump(), Map.of("K1", List.of(1, 2, 3, 4, 5), "S0", List.of(2), "S2", List.of(1, 2, 3)));

        assertThat(tags(seen, "K1")).hasSizeGreaterThan(1);
        assertThat(tags(seen, "K1").get(0).discs()).containsExactly("1", "2", "3", "+2");
        assertThat(tags(seen, "K1").subList(1, tags(seen, "K1").size()))
                .allSatisfy(other -> assertThat(other.discs()).isEmpty());
        assertThat(tags(seen, "S0").get(0).discs()).containsExactly("2");
        assertThat(tags(seen, "S2").get(0).discs()).containsExactly("1", "2", "3");
        assertThat(tags(seen, "S1").get(0).discs()).isEmpty();
    }

    @Test
    void wiresSymbolsAndWordsAreAsTheBenchHasThem() throws Exception {
        Bench bench = pump();
        assertThat(stateOf(seen(bench, Map.of()), "1")).isEqualTo(NodeState.DEAD);
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(bench.now() + 200_000);
        List<Seen> running = seen(bench, Map.of());

        assertThat(stateOf(running, "1")).isEqualTo(NodeState.LIVE);
        assertThat(stateOf(running, "2")).isEqualTo(NodeState.RETURN);
        assertThat(running)
                .filteredOn(Seen.OfSymbol.class::isInstance)
                .map(Seen.OfSymbol.class::cast)
                .filteredOn(symbol -> symbol.mark().subject() instanceof Subject.OfLoad load
                        && load.tag().equals("K1"))
                .singleElement()
                .satisfies(coil -> {
                    assertThat(coil.on()).isTrue();
                    assertThat(coil.faulty()).isFalse();
                });
        assertThat(running)
                .filteredOn(Seen.OfCondition.class::isInstance)
                .map(Seen.OfCondition.class::cast)
                .filteredOn(word -> word.mark().tag().equals("M1"))
                .singleElement()
                .satisfies(word -> assertThat(word.condition()).isEqualTo(Condition.FORWARD));
    }

    private static NodeState stateOf(List<Seen> seen, String wire) {
        List<NodeState> states = seen.stream()
                .filter(Seen.OnWire.class::isInstance)
                .map(Seen.OnWire.class::cast)
                .filter(on -> on.mark().number().equals(wire))
                .map(Seen.OnWire::state)
                .distinct()
                .toList();
        assertThat(states).as("states of wire %s", wire).hasSize(1);
        return states.get(0);
    }
}
