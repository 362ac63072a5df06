package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Assembly;
import parable.parts.Verb;

/** A run that goes on with a changed sheet. */
class CarryOverTest {

    private final Sheet sheet = Examples.washPump();
    private Bench bench;

    @BeforeEach
    void start() throws ActionRefusedException {
        bench = Examples.washPumpBench();
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(200_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(2_000_000);
    }

    private Sheet without(int rung) throws EditException {
        return new Edit.TakeRung(Circuit.CONTROL, rung).on(sheet);
    }

    @Test
    void whatIsStillThereRunsOn() throws EditException {
        Sheet withoutLamp = without(3);
        Bench next = bench.on(Examples.fitted(withoutLamp), bench.now());

        assertThat(next.now()).isEqualTo(bench.now());
        assertThat(next.moment().condition("M1")).isEqualTo(Condition.FORWARD);
        assertThat(next.moment().condition("P1")).isEqualTo(Condition.DARK);
        assertThat(next.trace("M1").get(next.trace("M1").size() - 1).speed())
                .isEqualTo(bench.trace("M1").get(bench.trace("M1").size() - 1).speed());
        assertThat(next.story().get(bench.story().size()).text()).startsWith("The circuit is changed");
        assertThat(next.story()).extracting(StoryLine::text).last().asString().contains("P1 goes dark");
    }

    /** An edit elsewhere is no switching on: the motor takes what it took, and nothing is about to trip. */
    @Test
    void aMotorThatRunsIsNotHitByAnEdit() throws EditException {
        double before = bench.trace("M1").get(bench.trace("M1").size() - 1).lineAmperes();
        Bench next = bench.on(Examples.fitted(without(3)), bench.now());
        next.runUntil(next.now() + 50_000);

        assertThat(next.trace("M1"))
                .filteredOn(sample -> sample.time() > bench.now())
                .isNotEmpty()
                .allSatisfy(sample -> assertThat(sample.lineAmperes()).isLessThan(1.1 * before));
        assertThat(next.moment().tripsIn("F2")).isEmpty();
    }

    @Test
    void withoutItsSealInItDropsOutAtOnceAndThePastIsUntouched() throws EditException {
        Bench next = bench.on(Examples.fitted(without(2)), bench.now());
        next.runUntil(next.now() + 500_000);

        assertThat(next.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
    }

    @Test
    void anEditWhileLookingBackGoesOnFromThere() throws EditException {
        bench.runUntil(4_000_000);
        Bench next = bench.on(Examples.fitted(without(3)), 50_000);

        assertThat(next.now()).isEqualTo(50_000);
        assertThat(next.moment().condition("S1")).isEqualTo(Condition.PRESSED);
        assertThat(next.trace("M1"))
                .allSatisfy(sample -> assertThat(sample.time()).isLessThanOrEqualTo(50_000));
        assertThat(next.story()).extracting(StoryLine::text).noneMatch(text -> text.contains("released"));
    }

    /** An edit that is undone at once leaves every device where it was, on every sheet of the library. */
    @ParameterizedTest
    @MethodSource("parable.Examples#sheets")
    void thereAndBackIsAsBefore(Sheet any) throws ActionRefusedException, EditException {
        Assembly assembly = Examples.fitted(any);
        Bench run = Bench.of(assembly);
        for (String breaker : List.of("Q1", "CB1")) {
            if (assembly.part(breaker).isPresent()) {
                run.act(new Action(Verb.CLOSE, breaker));
            }
        }
        run.runUntil(700_000);
        Place first = new Place(Circuit.POWER, 0, 2);
        Sheet changed = Structure.around(any, first, 2, Structure.passageAt(any, first));
        Bench there = run.on(Examples.fitted(changed), run.now());
        Bench back = there.on(assembly, there.now());
        run.runUntil(3_000_000);
        back.runUntil(3_000_000);
        assembly.parts().forEach(part -> assertThat(back.moment().condition(part.tag()))
                .as(part.tag())
                .isEqualTo(run.moment().condition(part.tag())));
    }
}
