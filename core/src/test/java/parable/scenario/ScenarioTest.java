package parable.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.Sketches;
import parable.bench.Bench;
import parable.circuit.Sheet;

class ScenarioTest {

    private static Player play(String script) throws ScenarioException {
        Player player = new Player(Examples.washPumpBench(), Scenario.read(script));
        player.playAll();
        return player;
    }

    @Test
    void everyExpectationOnALineIsJudgedApart() throws ScenarioException {
        Player player = play(
                """
                # a remark, then an empty line

                0 close Q1
                100 ms press S1
                1.5 s expect K1 in, M1 reverse, P1 lit   # the second is wrong
                """);

        assertThat(player.outcomes())
                .extracting(outcome -> outcome.step().line() + " "
                        + outcome.step().expectation().text() + " " + outcome.met())
                .containsExactly("5 K1 in true", "5 M1 reverse false", "5 P1 lit true");
        assertThat(player.outcomes().get(1).foundInstead()).contains("M1 is forward");
    }

    @Test
    void whatIsMeasuredInsteadIsSaid() throws ScenarioException {
        assertThat(play("0 close Q1\n1 s expect volts 4 2 between 0 10, wire 7 live")
                        .outcomes())
                .extracting(outcome -> outcome.foundInstead().orElse("met"))
                .containsExactly("there are 230.0 V", "wire 7 is dead");
    }

    @Test
    void aSelectorIsTurnedToAPositionByName() throws ScenarioException {
        String devices =
                """
                {"tag": "G1", "kind": "three-phase-supply"}, {"tag": "P1", "kind": "pilot-lamp"},
                {"tag": "P2", "kind": "pilot-lamp"},
                {"tag": "S5", "kind": "selector", "positions": "off hand auto", "blocks": "13-14=hand 21-22=off,auto"}
                """;
        Player player = new Player(
                Bench.of(Examples.fitted(Examples.sheet(
                        devices,
                        "\"G1[L1] L\", \"G1[N] N\"",
                        "\"L S5[13-14] @3 P1[X1-X2] N\", \"L S5[21-22] @4 P2[X1-X2] N\""))),
                Scenario.read(
                        """
                        0 expect P1 dark, P2 lit, S5 at-rest
                        1 s turn S5 hand
                        2 s expect P1 lit, P2 dark, S5 turned
                        3 s turn S5 auto
                        4 s expect P1 dark, P2 lit
                        """));
        player.playAll();
        assertThat(player.outcomes()).hasSize(8).allMatch(Outcome::met);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "soon press S1                       | line 1: found 'soon', expected a time such as '0', '100 ms' or '1.5 s'",
                "-5 ms press S1                      | line 1: found '-5', expected a time such as '0', '100 ms' or '1.5 s'",
                "5 press S1                          | line 1: found 'press', expected ms, s or min",
                "99999 min press S1                  | line 1: found '99999.0 min', expected a time within 24 hours",
                "1 s shove S1                        | line 1: found 'shove', expected an action or 'expect'",
                "1 s press                           | line 1: found 'nothing more', expected the tag of a device",
                "1 s press S1 S2                     | line 1: found 'S2', expected the end of the line",
                "1 s expect K1 happy                 | line 1: found 'happy', expected in, out, lit",
                "1 s expect volts 4 2 between 9 1    | line 1: found '9.0 1.0', expected the lower reading first",
                "1 s expect volts 4 99 between 1 9   | line 1: the sheet has no wire 99",
                "1 s expect K9 in                    | line 1: the sheet has no device K9",
                "1 s expect K1 lit                   | line 1: found 'K1 lit', expected of a contactor one of in, out",
                "1 s expect nothing broken           | line 1: found 'broken', expected 'shorted'",
                "1 s turn S1 on                      | line 1: S1: cannot 'turn S1 on', expected press or release",
                "1 s turn S1                         | line 1: found 'nothing more', expected the position to turn S1 to",
                "1 s press K1                        | line 1: K1: cannot 'press K1'"
            })
    void aLineThatMakesNoSenseIsRefused(String script, String message) {
        assertThatExceptionOfType(ScenarioException.class)
                .isThrownBy(() -> play(script))
                .withMessageStartingWith(message);
    }

    @Test
    void timeMustNotGoBack() {
        assertThatExceptionOfType(ScenarioException.class)
                .isThrownBy(() -> play("1 s close Q1\n900 ms press S1"))
                .withMessage("line 2: the time goes back from 1000.0 ms to 900.0 ms");
    }

    /** The breaker has opened and nothing is shorted any more, but something was. */
    @Test
    void whatWasShortedIsNotForgotten() throws ScenarioException {
        Sheet sheet = Sketches.sheet("truth", "6a Shorted as soon as it is switched on");
        Player player = new Player(
                Bench.of(Examples.fitted(sheet)),
                Scenario.read("0 close Q1\n1 s expect nothing shorted, nothing was shorted", sheet));

        player.playAll();

        assertThat(player.outcomes()).extracting(Outcome::met).containsExactly(true, false);
    }
}
