package parable.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Terminal;
import parable.network.NodeState;
import parable.parts.Assembly;
import parable.parts.Verb;

/** What a script can expect, of which sheet, and what is said when it is not so. */
class ExpectationTest {

    private static final Assembly PUMP = Examples.fitted(Examples.washPump());

    private static Bench running() throws ActionRefusedException {
        Bench bench = Bench.of(PUMP);
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(400_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(8_000_000);
        return bench;
    }

    static Stream<Expectation> met() {
        return Stream.of(
                new Expectation.DeviceIs("K1", Condition.IN),
                new Expectation.DeviceIs("M1", Condition.FORWARD),
                new Expectation.WireIs("3", NodeState.LIVE),
                new Expectation.WireIs("2", NodeState.RETURN),
                new Expectation.VoltsBetween("4", "2", 210, 250),
                new Expectation.AmperesBetween(new Terminal("M1", "U1"), 3, 5),
                new Expectation.NothingShorted(),
                new Expectation.NothingWasShorted());
    }

    @ParameterizedTest
    @MethodSource("met")
    void whatIsSoIsMetAndReadBackFromItsOwnWords(Expectation expectation) throws Exception {
        assertThat(expectation.nonsenseOn(PUMP)).isEmpty();
        assertThat(expectation.missedBy(running())).as(expectation.text()).isEmpty();

        Scenario script = Scenario.read("0 close Q1\n1 s expect " + expectation.text());
        assertThat(script.steps()).hasSize(2).last().asString().contains(expectation.toString());
    }

    static Stream<org.junit.jupiter.params.provider.Arguments> missed() {
        return Stream.of(
                org.junit.jupiter.params.provider.Arguments.of(
                        new Expectation.DeviceIs("K1", Condition.OUT), "K1 is in"),
                org.junit.jupiter.params.provider.Arguments.of(
                        new Expectation.WireIs("3", NodeState.DEAD), "wire 3 is live"),
                org.junit.jupiter.params.provider.Arguments.of(
                        new Expectation.VoltsBetween("4", "2", 0, 10), "there are 22"),
                org.junit.jupiter.params.provider.Arguments.of(
                        new Expectation.AmperesBetween(new Terminal("M1", "U1"), 0, 1), "there are "));
    }

    @ParameterizedTest
    @MethodSource("missed")
    void whatIsNotSoIsSaidAsItIs(Expectation expectation, String instead) throws ActionRefusedException {
        assertThat(expectation.missedBy(running()))
                .hasValueSatisfying(words -> assertThat(words).startsWith(instead));
    }

    @ParameterizedTest
    @CsvSource({
        "K9, IN, the sheet has no device K9",
        "K1, LIT, 'found ''K1 lit'', expected of a contactor one of in'",
        "P1, IN, 'found ''P1 in'', expected of a pilot lamp one of '"
    })
    void whatCannotBeAskedOfADeviceIsRefused(String tag, Condition condition, String words) {
        assertThat(new Expectation.DeviceIs(tag, condition).nonsenseOn(PUMP))
                .hasValueSatisfying(found -> assertThat(found).startsWith(words));
    }

    @Test
    void aWireOrTerminalThatTheSheetHasNotIsRefused() {
        assertThat(List.of(
                        new Expectation.WireIs("99", NodeState.LIVE).nonsenseOn(PUMP),
                        new Expectation.VoltsBetween("99", "2", 0, 1).nonsenseOn(PUMP),
                        new Expectation.VoltsBetween("2", "99", 0, 1).nonsenseOn(PUMP)))
                .allSatisfy(found -> assertThat(found).contains("the sheet has no wire 99"));
        assertThat(new Expectation.AmperesBetween(new Terminal("M1", "U9"), 0, 1).nonsenseOn(PUMP))
                .contains("the sheet has no terminal M1:U9");
    }

    /** A short circuit that is over is still one that was. */
    @Test
    void whatWasShortedIsNotForgottenAndWhatIsOverIsNotThere() throws ActionRefusedException {
        Assembly platen = Examples.fitted(Examples.ofLibrary("No interlock"));
        Bench bench = Bench.of(platen);
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        bench.act(new Action(Verb.PUSH, "K1"));
        bench.act(new Action(Verb.PUSH, "K2"));
        bench.runUntil(600_000);
        bench.act(new Action(Verb.RELEASE, "K1"));
        bench.act(new Action(Verb.RELEASE, "K2"));
        bench.runUntil(2_000_000);

        assertThat(new Expectation.NothingWasShorted().missedBy(bench))
                .hasValueSatisfying(words -> assertThat(words).startsWith("there was a short circuit at "));
        assertThat(new Expectation.NothingShorted().missedBy(bench)).isEmpty();
    }
}
