package parable.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.circuit.Sheet;
import parable.parts.Part;
import parable.parts.Verb;

class WhyTest {

    private final Bench bench = Examples.washPumpBench();

    private void act(Verb verb, String tag) throws ActionRefusedException {
        bench.act(new Action(verb, tag));
        bench.runUntil(bench.now() + 500_000);
    }

    private String why(String tag) {
        return new Why(bench.moment()).of(tag);
    }

    @Test
    void deadItIsTheBreakerAndTheStart() throws ActionRefusedException {
        assertThat(why("K1"))
                .startsWith("K1 is off. Open in its way: S1 13-14, until S1 is pressed. T1 is off.")
                .endsWith("T1 is off. Open in its way: Q1 1-2 and 3-4, until Q1 is closed.");
        act(Verb.CLOSE, "Q1");
        assertThat(why("K1")).isEqualTo("K1 is off. Open in its way: S1 13-14, until S1 is pressed.");
        act(Verb.HIT, "S4");
        assertThat(why("K1")).contains("S4 11-12, because S4 is hit");
    }

    @Test
    void runningItIsTheSealIn() throws ActionRefusedException {
        act(Verb.CLOSE, "Q1");
        act(Verb.PRESS, "S1");
        act(Verb.RELEASE, "S1");
        assertThat(why("K1"))
                .startsWith("K1 is on. The current comes from wire 13 through F4 1-2 (F4 is closed)")
                .contains("F2 95-96 (closed at rest)", "K1 13-14 (K1 is in)");
        assertThat(why("M1")).contains("K1 1-2 (K1 is in)");
        assertThat(why("P2")).contains("K1 21-22, because K1 is in");
        assertThat(Changes.of(bench, bench.now(), "K1"))
                .contains(new Action(Verb.PRESS, "S0"), new Action(Verb.HIT, "S4"), new Action(Verb.TRIP, "F2"))
                .doesNotContain(new Action(Verb.PRESS, "S3"));
    }

    @Test
    void whatWouldStartItIsTriedOnABenchOfItsOwn() throws ActionRefusedException {
        act(Verb.CLOSE, "Q1");
        long lines = bench.story().size();

        assertThat(Changes.of(bench, bench.now(), "K1"))
                .containsExactly(new Action(Verb.PRESS, "S1"), new Action(Verb.PRESS, "S3"));
        assertThat(bench.story()).hasSize((int) lines);
    }

    static Stream<Sheet> sheets() throws Exception {
        return Examples.sheets();
    }

    /** For every device of every sheet at random instants there is an answer, and it agrees with what the bench shows. */
    @ParameterizedTest
    @MethodSource("sheets")
    void thereIsAlwaysAnAnswerThatAgreesWithTheBench(Sheet sheet) {
        Bench any = Bench.of(Examples.fitted(sheet));
        Random random = new Random(sheet.name().hashCode());
        for (int i = 0; i < 12; i++) {
            Part part = any.assembly()
                    .parts()
                    .get(random.nextInt(any.assembly().parts().size()));
            List<Verb> verbs = part.drive().verbs().keySet().stream().sorted().toList();
            if (!verbs.isEmpty()) {
                try {
                    any.act(new Action(verbs.get(random.nextInt(verbs.size())), part.tag()));
                } catch (ActionRefusedException refused) {
                    assertThat(refused.getMessage()).isNotEmpty();
                }
            }
            any.runUntil(any.now() + 300_000);
            for (Part asked : any.assembly().parts()) {
                String answer = new Why(any.moment()).of(asked.tag());
                assertThat(answer).startsWith(asked.tag() + " is ").endsWith(".");
                if (!asked.loads().isEmpty()) {
                    String state = any.moment().energised(asked.tag(), 0) ? " is on" : " is off";
                    assertThat(answer).startsWith(asked.tag() + state);
                }
            }
        }
    }
}
