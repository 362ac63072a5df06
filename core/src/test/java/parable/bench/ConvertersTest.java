package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Terminal;
import parable.parts.Verb;

class ConvertersTest {

    private static final String SUPPLY =
            "{\"tag\": \"G1\", \"kind\": \"three-phase-supply\", \"voltage\": \"480 V AC\"},"
                    + "{\"tag\": \"Q1\", \"kind\": \"circuit-breaker\"},";

    private static Bench closed(String devices, String power, String rungs) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(SUPPLY + devices, power, rungs)));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        return bench;
    }

    private static double volts(Bench bench, String one, String other) {
        return bench.moment()
                .voltage(terminal(one), terminal(other))
                .orElseThrow()
                .rms();
    }

    private static Terminal terminal(String words) {
        String[] sides = words.split(":");
        return new Terminal(sides[0], sides[1]);
    }

    @Test
    void aTransformerFollowsItsPrimaryAndItsGroundedSideIsAtEarth() throws ActionRefusedException {
        Bench bench = closed(
                "{\"tag\": \"T1\", \"kind\": \"control-transformer\", \"primary\": \"480 V AC\"}",
                "\"G1[L1] Q1[1-2] T1[H1-H4] Q1[4-3] G1[L2]\", \"G1[PE] T1[PE]\"",
                "");

        assertThat(volts(bench, "T1:X1", "T1:X2")).isCloseTo(120, within(0.1));
        assertThat(volts(bench, "T1:X2", "G1:N")).isCloseTo(0, within(0.1));
        bench.act(new Action(Verb.OPEN, "Q1"));
        bench.runUntil(200_000);
        assertThat(volts(bench, "T1:X1", "T1:X2")).isCloseTo(0, within(0.1));
    }

    @Test
    void aDcSupplyBehindATransformerComesUpInItsTurn() throws ActionRefusedException {
        Bench bench = closed(
                """
                {"tag": "T1", "kind": "control-transformer", "primary": "480 V AC"},
                {"tag": "G2", "kind": "dc-supply", "input": "120 V AC"},
                {"tag": "H1", "kind": "horn", "rated": "24 V DC"}
                """,
                "\"G1[L1] Q1[1-2] T1[H1-H4] Q1[4-3] G1[L2]\", \"T1[X1] L\", \"T1[X2] N\"",
                "\"L G2[L-N] N\", \"G2[+] @9 H1[X1-X2] G2[-]\"");

        assertThat(volts(bench, "G2:+", "G2:-")).isCloseTo(24, within(0.1));
        assertThat(bench.moment().condition("H1")).isEqualTo(Condition.SOUNDING);
    }

    /** The wrong supply: the kind of current and the voltage both count. */
    @ParameterizedTest
    @CsvSource({"24 V DC, IN", "24 V AC, OUT", "48 V DC, OUT", "20 V DC, IN"})
    void aCoilPullsInOnlyOnItsOwnKindAndEnoughVoltage(String coil, Condition expected) throws ActionRefusedException {
        Bench bench = closed(
                """
                {"tag": "G2", "kind": "dc-supply", "input": "277 V AC"},
                {"tag": "KA", "kind": "control-relay", "coil": "%s"}
                """
                        .formatted(coil),
                "\"G1[L1] Q1[1-2] G2[L-N] G1[N]\"",
                "\"G2[+] KA[A1-A2] G2[-]\"");

        assertThat(bench.moment().condition("KA")).isEqualTo(expected);
    }

    @Test
    void aRectifierGivesTheMeanOfItsInput() throws ActionRefusedException {
        Bench bench = closed(
                "{\"tag\": \"V1\", \"kind\": \"rectifier\", \"input\": \"480 V AC\"}",
                "\"G1[L1] Q1[1-2] V1[~1-~2] Q1[4-3] G1[L2]\"",
                "");

        assertThat(bench.moment()
                        .voltage(terminal("V1:-"), terminal("V1:+"))
                        .orElseThrow()
                        .direct())
                .isCloseTo(-432, within(0.5));
    }

    @ParameterizedTest
    @CsvSource({"shunt, C1, C2", "undervoltage, D1, D2"})
    void releasesOpenTheirBreaker(String release, String from, String to) throws ActionRefusedException {
        String button = release.equals("shunt") ? "13-14" : "11-12";
        Bench bench = closed(
                """
                {"tag": "Q2", "kind": "circuit-breaker", "release": "%s", "release-voltage": "277 V AC"},
                {"tag": "S1", "kind": "push-button", "blocks": "%s"}
                """
                        .formatted(release, button),
                "\"G1[L1] Q1[1-2] L\", \"G1[N] N\"",
                "\"L S1[%s] @3 Q2[%s-%s] N\"".formatted(button, from, to));
        bench.act(new Action(Verb.CLOSE, "Q2"));
        bench.runUntil(200_000);
        assertThat(bench.moment().condition("Q2")).isEqualTo(Condition.CLOSED);

        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(300_000);

        assertThat(bench.moment().condition("Q2")).isEqualTo(Condition.TRIPPED);
    }

    @Test
    void theMechanicalInterlockFreesTheSecondArmatureOnceTheFirstIsBack() throws ActionRefusedException {
        Bench bench = closed(
                """
                {"tag": "K1", "kind": "contactor", "coil": "277 V AC"},
                {"tag": "K2", "kind": "contactor", "coil": "277 V AC"},
                {"tag": "X1", "kind": "mechanical-interlock", "between": "K1 K2"},
                {"tag": "S1", "kind": "push-button"}, {"tag": "S2", "kind": "push-button"}
                """,
                "\"G1[L1] Q1[1-2] L\", \"G1[N] N\"",
                "\"L S1[13-14] @3 K1[A1-A2] N\", \"L S2[13-14] @4 K2[A1-A2] N\"");
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(200_000);
        bench.act(new Action(Verb.PRESS, "S2"));
        bench.runUntil(300_000);
        assertThat(bench.moment().condition("K2")).isEqualTo(Condition.OUT);
        assertThat(bench.moment().energised("K2")).isTrue();
        assertThat(bench.story())
                .extracting(StoryLine::text)
                .anyMatch(text -> text.contains("mechanical interlock holds K2 back while its coil is fed"));

        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(400_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(bench.moment().condition("K2")).isEqualTo(Condition.IN);
    }

    @Test
    void aConverterWhoseOutputIsLostGivesNothing() throws ActionRefusedException {
        Bench bench = closed(
                "{\"tag\": \"T1\", \"kind\": \"control-transformer\", \"primary\": \"480 V AC\"}",
                "\"G1[L1] Q1[1-2] T1[H1-H4] Q1[4-3] G1[L2]\", \"G1[PE] T1[PE]\"",
                "");
        Fault lost = new Fault(Fault.Kind.LOST, "T1", "X1");
        bench.set(lost, true);

        assertThat(volts(bench, "T1:X1", "T1:X2")).isCloseTo(0, within(0.1));
        bench.set(lost, false);
        assertThat(volts(bench, "T1:X1", "T1:X2")).isCloseTo(120, within(0.1));
    }

    /** A bridge separates nothing: its minus is half the output below the middle of its inputs, its plus as much above. */
    @Test
    void aRectifierIsOnThePotentialOfItsInput() throws ActionRefusedException {
        Bench bench = closed(
                "{\"tag\": \"V1\", \"kind\": \"rectifier\", \"input\": \"480 V AC\"}",
                "\"G1[L1] Q1[1-2] V1[~1-~2] Q1[4-3] G1[L2]\", \"G1[N] N\"",
                "");

        assertThat(bench.moment()
                        .voltage(terminal("G1:N"), terminal("V1:+"))
                        .orElseThrow()
                        .direct())
                .isCloseTo(-216, within(0.5));
        assertThat(bench.moment()
                        .voltage(terminal("G1:N"), terminal("V1:-"))
                        .orElseThrow()
                        .direct())
                .isCloseTo(216, within(0.5));
        assertThat(bench.moment()
                        .voltage(terminal("G1:N"), terminal("V1:+"))
                        .orElseThrow()
                        .alternating())
                .isCloseTo(480 / Math.sqrt(3) / 2, within(0.5));
    }

    /** It regulates what it gets as long as that is enough: all of its output, or nothing. */
    @ParameterizedTest
    @CsvSource({"277 V AC, 24", "300 V AC, 24", "690 V AC, 0"})
    void aDcSupplyGivesAllOrNothing(String input, double volts) {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY
                        + "{\"tag\": \"G2\", \"kind\": \"dc-supply\", \"input\": \"%s\"}, {\"tag\": \"P1\", \"kind\": \"pilot-lamp\", \"lamp\": \"24 V DC\"}"
                                .formatted(input),
                "\"G1[L1] G2[L-N] G1[N]\"",
                "\"G2[+] P1[X1-X2] G2[-]\"")));
        bench.runUntil(500_000);

        assertThat(volts(bench, "G2:+", "G2:-")).isCloseTo(volts, within(0.1));
    }

    /** Beside one that works, plus on plus, a supply without input does nothing; crosswise its diodes short the other. */
    @ParameterizedTest
    @CsvSource({"+, -, false", "-, +, true"})
    void aDcSupplyThatIsOffBesideOneThatWorks(String plus, String minus, boolean shorted) {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY
                        + """
                        {"tag": "G2", "kind": "dc-supply", "input": "277 V AC"},
                        {"tag": "G3", "kind": "dc-supply", "input": "277 V AC"}
                        """,
                "\"G1[L1] G2[L-N] G1[N]\", \"G2[+] G3[%s]\", \"G2[-] G3[%s]\"".formatted(plus, minus),
                "")));
        bench.runUntil(500_000);

        assertThat(bench.moment().shorted()).isEqualTo(shorted);
    }

    /** What copper does on the output of a bridge: by itself, without its input, and with only one side of its input. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "G1[L1] Q1[1-2] V1[~1-~2] Q1[4-3] G1[L2] | G1[PE] V1[-] | true",
                "G1[L1] Q1[1-2] V1[~1-~2] Q1[4-3] G1[L2] | G1[L3] V1[+] | true",
                "G1[L1] Q1[1-2] V1[~1-~2] Q1[4-3] G1[L2] | V1[+] V1[-]  | true",
                "G1[L1] Q1[1-2] V1[~1]                   | G1[N] V1[-]  | true",
                "G1[L1] Q1[1-2] V1[-]                    | G1[L2] V1[+] | true",
                "G1[L1] Q1[1-2] V1[-]                    | V1[-] V1[+]  | false",
                "G1[L1] Q1[1-2] V1[-]                    | G1[N] N      | false"
            })
    void copperOnARectifierShortsThroughItsDiodes(String power, String more, boolean shorted) {
        Bench bench = Bench.of(Examples.fitted(Examples.sheet(
                SUPPLY + "{\"tag\": \"V1\", \"kind\": \"rectifier\", \"input\": \"480 V AC\"}",
                "\"%s\", \"%s\"".formatted(power.strip(), more.strip()),
                "")));
        try {
            bench.act(new Action(Verb.CLOSE, "Q1"));
        } catch (ActionRefusedException impossible) {
            throw new AssertionError(impossible);
        }
        bench.runUntil(100_000);

        assertThat(bench.instants().stream()
                        .anyMatch(instant -> bench.momentAt(instant).shorted()))
                .isEqualTo(shorted);
    }

    /** Two supplies on one load: the higher one feeds it and the other blocks; the wrong way round they short each other. */
    @ParameterizedTest
    @CsvSource({"24 V DC, +, -, false, 24", "48 V DC, +, -, false, 48", "24 V DC, -, +, true, 0"})
    void directCurrentSuppliesSideBySide(String second, String onPlus, String onMinus, boolean shorted, double volts)
            throws ActionRefusedException {
        Bench bench = closed(
                """
                {"tag": "G2", "kind": "dc-supply", "input": "277 V AC"},
                {"tag": "G3", "kind": "dc-supply", "input": "277 V AC", "output": "%s"},
                {"tag": "P1", "kind": "pilot-lamp", "lamp": "24 V DC"}
                """
                        .formatted(second),
                "\"G1[L1] Q1[1-2] L\", \"G1[N] N\"",
                "\"L G2[L-N] N\", \"L G3[L-N] N\", \"G2[+] @9 P1[X1-X2] G2[-]\", \"@9 G3[%s]\", \"G2[-] G3[%s]\""
                        .formatted(onPlus, onMinus));

        assertThat(bench.instants().stream()
                        .anyMatch(instant -> bench.momentAt(instant).shorted()))
                .isEqualTo(shorted);
        if (!shorted) {
            assertThat(volts(bench, "P1:X1", "P1:X2")).isCloseTo(volts, within(0.1));
        }
    }
}
