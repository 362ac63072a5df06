package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
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

    /** For a changed drawing what is before the sheet is switched on again, and opens again if the short circuit is still there. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void whatHasOpenedBeforeTheSheetIsOnAgain(boolean mended) throws Exception {
        Fault earth = new Fault(Fault.Kind.EARTHED, "G1", "L2");
        bench.set(earth, true);
        bench.runUntil(3_000_000);
        assertThat(bench.moment().condition("G1")).isEqualTo(Condition.LOST);
        bench.set(earth, !mended);

        Bench next = bench.on(Examples.fitted(without(3)), bench.now());

        assertThat(next.moment().condition("G1")).isEqualTo(Condition.PRESENT);
        next.runUntil(4_000_000);
        assertThat(next.moment().condition("G1")).isEqualTo(mended ? Condition.PRESENT : Condition.LOST);
    }

    /** Who draws over a live sheet does not blow its fuses with half a rung: copper would be de-energised first. */
    @Test
    void aShortCircuitThatIsDrawnOpensNothing() throws Exception {
        String devices = "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"},"
                + "{\"tag\": \"F1\", \"kind\": \"fuse\", \"rated\": \"4 A\"},"
                + "{\"tag\": \"H1\", \"kind\": \"pilot-lamp\", \"voltage\": \"230 V AC\"}";
        String power = "\"G1[L] F1[1-2] L\", \"G1[N] N\"";
        Sheet lamp = Examples.sheet(devices, power, "\"L H1[X1-X2] N\"");
        Bench live = Bench.of(Examples.fitted(lamp));
        assertThat(live.moment().condition("H1")).isEqualTo(Condition.LIT);

        Bench half = live.on(Examples.fitted(Examples.sheet(devices, power, "\"L H1[X1-X2] N\", \"L N\"")), live.now());
        half.runUntil(1_000_000);
        assertThat(half.moment().shorted()).isTrue();
        assertThat(half.moment().condition("F1")).isEqualTo(Condition.CLOSED);

        Bench whole = half.on(Examples.fitted(lamp), half.now());
        assertThat(whole.moment().shorted()).isFalse();
        assertThat(whole.moment().condition("H1")).isEqualTo(Condition.LIT);
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
