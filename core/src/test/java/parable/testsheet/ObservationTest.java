package parable.testsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Verb;

/** What is found by each kind of observation, and what is taken for as good, at the very edges of the tolerances. */
class ObservationTest {

    private static final Assembly PUMP = Examples.fitted(Examples.washPump());
    private static final Situation DEAD = new Situation(Phase.DEAD, List.of());

    private static StepRehearsal.Rest rest(Phase phase, List<Fault> faults, Action... hands) {
        return new StepRehearsal(PUMP, faults).rest(new Situation(phase, List.of(hands)));
    }

    private static StepRehearsal.Rest running(List<Fault> faults) {
        return rest(
                Phase.MOTOR,
                faults,
                new Action(Verb.CLOSE, "Q1"),
                new Action(Verb.PRESS, "S1"),
                new Action(Verb.RELEASE, "S1"));
    }

    private static Found found(String text, double value) {
        return new Found(text, Optional.of(value));
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, true",
        "0, 1, true",
        "0, 1.01, false",
        "0, '0,8', true",
        "0, 900 m, true",
        "0, open, false",
        "0, ok, true",
        "0, '', false",
        "500, 250, true",
        "500, 249, false",
        "500, 1000, true",
        "500, 1001, false",
        "500, 0.5 k, true",
        "500, '0,9 kOhm', true",
        "500, 1.1k, false",
        "500, OL, false",
        "1.5, 0.6, true",
        "1.5, 3.1, false"
    })
    void aResistanceMayBeHalfOrTwiceAndJoinedIsBelowAnOhm(double expected, String written, boolean accepted) {
        Observation ohms = new Observation.Ohms("K1:A1", "K1:A2");

        assertThat(ohms.accepts(found("x", expected), written)).isEqualTo(accepted);
    }

    @ParameterizedTest
    @CsvSource({
        "Infinity, OL, true",
        "Infinity, O.L., true",
        "Infinity, inf, true",
        "Infinity, 999999, false",
        "Infinity, 1 M, true",
        "Infinity, > 40 M\u03a9, true",
        "Infinity, >40 k, false",
        "Infinity, 2 G\u03a9, true",
        "200000, 10 k, true",
        "200000, 9.9 k, false",
        "200000, open, true"
    })
    void whatIsOpenReadsAMegohmAndAboveAndElectronicsTenKilohms(double expected, String written, boolean accepted) {
        Observation ohms = new Observation.Ohms("P1:X1", "P1:X2");

        assertThat(ohms.accepts(found("x", expected), written)).isEqualTo(accepted);
    }

    /** Instruments for insulation show gigohms, and more than for what is beyond them. */
    @ParameterizedTest
    @CsvSource({
        "1 M\u03a9, true",
        "0.99 M\u03a9, false",
        "550 M\u03a9, true",
        "2.2 G\u03a9, true",
        "> 999 M\u03a9, true",
        "\u2265 200 M, true",
        ">500 k\u03a9, false",
        "open, true",
        "as expected, true",
        "good, false",
        "-5 M, false"
    })
    void insulationIsAtLeastAMegohm(String written, boolean accepted) {
        Observation insulation = new Observation.Insulation("M1", List.of("U1", "V1", "W1"), "PE");

        assertThat(insulation.accepts(found("at least 1 M\u03a9", Double.POSITIVE_INFINITY), written))
                .isEqualTo(accepted);
    }

    @ParameterizedTest
    @CsvSource({"0.15, true", "0.16, false", "> 0.1, false", "-0.01, false", "150 m, true", "0, true", "ok, true"})
    void aProtectiveConductorAndALoopHaveAtMostWhatIsSaid(String written, boolean accepted) {
        Found most = found("at most 0.15 \u03a9", 0);

        assertThat(new Observation.Protective("G1:PE", "M1:PE", "6 m", 0.15).accepts(most, written))
                .isEqualTo(accepted);
        assertThat(new Observation.Loop("G1:L1", "PE", "Q1 opens", 0.15).accepts(most, written))
                .isEqualTo(accepted);
    }

    @ParameterizedTest
    @CsvSource({"60, true", "60.1, false", "-60, true", "-61, false", "0, true", "nothing, false", "12 V, true"})
    void sixtyVoltsMayBeLeft(String written, boolean accepted) {
        assertThat(new Observation.Residual("M1:U1", "M1:V1", false).accepts(found("at most 60 V", 0), written))
                .isEqualTo(accepted);
    }

    /** A tenth of a voltage and 5 V at least, a fifth of a current and 0.2 A, 15 % of a time and half a second, a twentieth of a dial. */
    @ParameterizedTest
    @CsvSource({
        "volts, 230, 253, true",
        "volts, 230, 253.1, false",
        "volts, 230, 207, true",
        "volts, 230, 206.9, false",
        "volts, 0, 5, true",
        "volts, 0, 5.1, false",
        "volts, 24, 29, true",
        "volts, 24, 29.1, false",
        "volts, -24, -24, true",
        "volts, -24, 24, false",
        "amperes, 5, 6, true",
        "amperes, 5, 6.1, false",
        "amperes, 0.5, 0.7, true",
        "amperes, 0.5, 0.71, false",
        "amperes, 0.5, 600 mA, true",
        "after, 10, 11.5, true",
        "after, 10, 11.6, false",
        "after, 1, 1.5, true",
        "after, 1, 1.6, false",
        "meanwhile, 10, 8.5, true",
        "meanwhile, 10, 8.4, false",
        "dial, 4, 4.2, true",
        "dial, 4, 4.21, false",
        "dial, 0.1, 0.11, true",
        "dial, 0.1, 0.12, false"
    })
    void aReadingIsAsGoodAsItsTolerance(String kind, double expected, String written, boolean accepted) {
        Observation observation =
                switch (kind) {
                    case "volts" -> new Observation.Volts("3", "2", false);
                    case "amperes" -> new Observation.Amperes(new Terminal("M1", "U1"));
                    case "after" -> new Observation.After("M1", Condition.FORWARD);
                    case "meanwhile" -> new Observation.Meanwhile("M1", Condition.COASTING);
                    default -> new Observation.Dial("F2");
                };

        assertThat(observation.accepts(found("x", expected), written)).isEqualTo(accepted);
    }

    @Test
    void whatIsFoundOnASoundPanel() {
        StepRehearsal.Rest dead = new StepRehearsal(PUMP, List.of()).rest(DEAD);
        assertThat(new Observation.Ohms("Q1:1", "Q1:2").at(dead)).isEqualTo(found("open", Double.POSITIVE_INFINITY));
        assertThat(new Observation.Ohms("S0:11", "S0:12").at(dead)).isEqualTo(found("0 \u03a9", 0));
        assertThat(new Observation.Wires("K1").at(dead).text()).isEqualTo("all hold, as listed");
        assertThat(new Observation.Dial("F2").at(dead)).isEqualTo(found("4.90 A", 4.9));
        assertThat(new Observation.Loop("G1:L1", "PE", "Q1", 0.5).at(dead).text())
                .isEqualTo("no loop");

        StepRehearsal.Rest running = running(List.of());
        assertThat(new Observation.Amperes(new Terminal("M1", "U1")).at(running).text())
                .isEqualTo("4.1 A");
        assertThat(new Observation.Loop("G1:L1", "PE", "Q1", 0.5).at(running).text())
                .isEqualTo("at most 0.50 \u03a9");
        assertThat(new Observation.Glance(List.of("K1", "M1", "P1")).at(running).text())
                .isEqualTo("K1 in, M1 forward, P1 lit");
        assertThat(new Observation.Residual("M1:U1", "M1:V1", false).at(running).text())
                .isEqualTo("400.0 V");
    }

    @Test
    void whatIsFoundOnASpoiltOne() {
        StepRehearsal.Rest dead = rest(
                Phase.DEAD,
                List.of(
                        new Fault(Fault.Kind.MISSET, "F2", ""),
                        new Fault(Fault.Kind.LOOSE, "K1", "A1"),
                        new Fault(Fault.Kind.OFF, "K1", "13"),
                        new Fault(Fault.Kind.WELDED, "S1", "13-14")));

        assertThat(new Observation.Dial("F2").at(dead).text()).isEqualTo("9.80 A");
        assertThat(new Observation.Wires("K1").at(dead).text()).isEqualTo("13 comes off, A1 comes off");
        assertThat(new Observation.Wires("F2").at(dead).text()).isEqualTo("all hold, as listed");
        assertThat(new Observation.Ohms("S1:13", "S1:14").at(dead).text()).isEqualTo("0 \u03a9");

        StepRehearsal.Rest burnt = running(List.of(new Fault(Fault.Kind.BURNT, "K1", "13-14")));
        assertThat(new Observation.Glance(List.of("K1", "M1")).at(burnt).text()).isNotEqualTo("K1 in, M1 forward");
    }

    /** The control circuit alone: the motors' leads are off, and no motor turns. */
    @Test
    void withTheLeadsOffNothingFlowsInTheMotor() {
        StepRehearsal.Rest control = rest(
                Phase.CONTROL,
                List.of(),
                new Action(Verb.CLOSE, "Q1"),
                new Action(Verb.PRESS, "S1"),
                new Action(Verb.RELEASE, "S1"));

        assertThat(control.moment().condition("K1")).isEqualTo(Condition.IN);
        assertThat(control.moment().condition("M1")).isEqualTo(Condition.STOPPED);
        assertThat(new Observation.Amperes(new Terminal("M1", "U1")).at(control).text())
                .isEqualTo("0.0 A");
    }

    /** Seconds count from the last deed. */
    @Test
    void timesAreTakenFromTheLastDeed() {
        StepRehearsal.Rest stopped = rest(
                Phase.MOTOR,
                List.of(),
                new Action(Verb.CLOSE, "Q1"),
                new Action(Verb.PRESS, "S1"),
                new Action(Verb.RELEASE, "S1"),
                new Action(Verb.PRESS, "S0"));

        double until = stopped.secondsUntil("M1", Condition.STOPPED).orElseThrow();
        assertThat(until).isPositive();
        assertThat(stopped.secondsIn("M1", Condition.COASTING))
                .isCloseTo(until, org.assertj.core.api.Assertions.within(0.05));
        assertThat(stopped.secondsUntil("M1", Condition.REVERSE)).isEmpty();
        assertThat(stopped.conditions("M1")).containsExactly(Condition.FORWARD, Condition.COASTING, Condition.STOPPED);
        assertThat(new Observation.After("M1", Condition.REVERSE).at(stopped).text())
                .isEqualTo("never");
    }
}
