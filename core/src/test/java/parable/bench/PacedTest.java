package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

/** A run that is gone on with at other times, from where another stands. */
class PacedTest {

    private static final int ACTIONS = 12;
    private static final List<Verb> HANDS = List.of(
            Verb.PRESS,
            Verb.RELEASE,
            Verb.HIT,
            Verb.ACTUATE,
            Verb.LOSE,
            Verb.RESTORE,
            Verb.OPEN,
            Verb.CLOSE,
            Verb.TRIP);

    static Stream<Sheet> sheets() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream());
    }

    private static List<Action> possible(Assembly assembly) {
        List<Action> possible = new ArrayList<>();
        for (Part part : assembly.parts()) {
            HANDS.stream()
                    .filter(verb -> part.drive().verbs().containsKey(verb))
                    .forEach(verb -> possible.add(new Action(verb, part.tag())));
        }
        return possible;
    }

    private static void act(Bench bench, Action action) {
        try {
            bench.act(action);
        } catch (ActionRefusedException cannotBeDoneNow) {
            assertThat(cannotBeDoneNow).hasMessageContaining(action.tag());
        }
    }

    private static String story(Bench bench) {
        return bench.story().stream()
                .map(line -> line.time() + " " + line.text())
                .collect(Collectors.joining("\n"));
    }

    /** At nominal times it is the same run, although both remember together what the circuit came to. */
    @ParameterizedTest
    @MethodSource("sheets")
    void goneOnWithAtNominalTimesItIsTheSameRun(Sheet sheet) {
        Random random = new Random(sheet.name().hashCode());
        Bench bench = Bench.of(Examples.fitted(sheet));
        List<Action> possible = possible(bench.assembly());
        for (int i = 0; i < ACTIONS; i++) {
            act(bench, possible.get(random.nextInt(possible.size())));
            bench.runUntil(bench.now() + random.nextInt(400_000));
        }
        String before = story(bench);
        Bench other = bench.paced(Pace.NOMINAL);
        for (int i = 0; i < ACTIONS; i++) {
            Action action = possible.get(random.nextInt(possible.size()));
            long until = bench.now() + random.nextInt(400_000);
            act(other, action);
            other.runUntil(until);
            act(bench, action);
            bench.runUntil(until);
        }

        assertThat(story(other)).isEqualTo(story(bench)).startsWith(before);
        for (Part part : bench.assembly().parts()) {
            assertThat(other.moment().condition(part.tag()))
                    .as(part.tag())
                    .isEqualTo(bench.moment().condition(part.tag()));
        }
    }

    /** At other times it is another run, and the one that it came from does not notice. */
    @ParameterizedTest
    @MethodSource("sheets")
    void whatIsTriedAtOtherTimesLeavesTheRunAlone(Sheet sheet) {
        Random random = new Random(sheet.name().hashCode());
        Bench bench = Bench.of(Examples.fitted(sheet));
        Bench alone = Bench.of(Examples.fitted(sheet));
        List<Action> possible = possible(bench.assembly());
        Pace slow = (tag, change, now, range) -> range.longest();
        for (int i = 0; i < ACTIONS; i++) {
            Action action = possible.get(random.nextInt(possible.size()));
            long until = bench.now() + random.nextInt(400_000);
            Bench tried = bench.paced(slow);
            act(tried, action);
            tried.runUntil(until);
            act(bench, action);
            bench.runUntil(until);
            act(alone, action);
            alone.runUntil(until);
        }

        assertThat(story(bench)).isEqualTo(story(alone));
    }
}
