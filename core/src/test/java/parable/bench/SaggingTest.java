package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.check.Check;
import parable.circuit.ColourCode;
import parable.circuit.Device;
import parable.circuit.Sheet;
import parable.parts.Verb;

/** A transformer gives less the more is asked of it, and most is asked while an armature is on its way. */
class SaggingTest {

    private static Sheet with(String rated, String holding, String inrush) {
        Sheet sheet = Examples.ofLibrary("Transformer");
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals("T1") ? device.with("rated", rated) : device)
                .map(device -> device.tag().equals("K1") ? coil(device, holding, inrush) : device)
                .toList());
    }

    private static Device coil(Device contactor, String holding, String inrush) {
        return contactor.with("holding", holding).with("inrush", inrush);
    }

    private static Bench started(Sheet sheet) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(sheet));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(1_000_000);
        return bench;
    }

    private static double volts(Bench bench, String one, String other) {
        return bench.moment()
                .meter()
                .read(Meter.Range.VOLTS_AC, one, other)
                .value()
                .orElseThrow();
    }

    /** At its rated load with a power factor of 0.3: uR cosphi + uX sinphi of its row, to the step of 0.5 % that voltages are in. */
    @ParameterizedTest
    @CsvSource({"25, 5.1, 5.7", "63, 4.7, 5.3", "150, 4.1, 4.7", "400, 3.6, 4.2", "500, 3.6, 4.2"})
    void atItsRatedLoadItSagsByItsSize(int rated, double least, double most) throws ActionRefusedException {
        Bench bench = started(with(rated + " VA", rated + " VA", rated + " VA"));
        double full = volts(Bench.of(Examples.fitted(with(rated + " VA", "8 VA", "8 VA"))), "T1:X1", "T1:X2");
        assertThat(full).isZero();
        assertThat(100 * (1 - volts(bench, "T1:X1", "T1:X2") / 230)).isBetween(least, most);
    }

    /** A small contactor takes 70 VA until it is in, and pulls in at three quarters of its voltage. */
    @ParameterizedTest
    @CsvSource({"10, OUT", "16, OUT", "20, OUT", "40, IN", "63, IN", "150, IN"})
    void tooSmallATransformerDoesNotPullIn(int rated, Condition contactor) throws ActionRefusedException {
        Bench bench = started(with(rated + " VA", "8 VA", "70 VA"));

        assertThat(bench.moment().condition("K1")).isEqualTo(contactor);
    }

    /** What hardly pulls in holds well, for an armature that is home takes little. */
    @Test
    void onceItIsInTheVoltageComesBack() throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(with("40 VA", "8 VA", "70 VA")));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(108_000);
        double pulling = volts(bench, "K1:A1", "K1:A2");
        bench.runUntil(1_000_000);
        double holding = volts(bench, "K1:A1", "K1:A2");

        assertThat(pulling).isBetween(180.0, 200.0);
        assertThat(holding).isBetween(220.0, 230.0);
        bench.act(new Action(Verb.PRESS, "S0"));
        bench.runUntil(2_000_000);
        assertThat(volts(bench, "T1:X1", "T1:X2")).isBetween(229.9, 230.1);
    }

    /** The mains do not sag, whatever hangs on them. */
    @Test
    void theMainsHoldTheirVoltage() throws ActionRefusedException {
        Bench bench = started(with("10 VA", "8 VA", "70 VA"));

        assertThat(volts(bench, "G1:L1", "G1:L2")).isEqualTo(400.0);
    }

    /** What the bench shows the rule says. */
    @Test
    void theRuleFindsWhatDoesNotPullIn() {
        assertThat(codes(with("16 VA", "8 VA", "70 VA"))).contains("transformer-too-small", "nothing-starts");
        assertThat(codes(with("63 VA", "8 VA", "70 VA"))).doesNotContain("transformer-too-small");
    }

    /**
     * A DC supply holds its voltage up to a fifth above its rating; then it gives no more current, so that what hangs on it gets less voltage. The relay takes 10 W and the lamp 2 W
     * at 24 V: by hand 24 V from 0.42 A on, and 11.5 V of a supply of 0.2 A.
     */
    @ParameterizedTest
    @CsvSource({
        "'', 24, IN, false",
        "2.5 A, 24, IN, false",
        "0.55 A, 24, IN, false",
        "0.45 A, 24, IN, true",
        "0.2 A, 11.5, OUT, true",
        "0.1 A, 5.8, OUT, true"
    })
    void aSupplyGivesNoMoreThanAFifthAboveItsRating(String rated, double volts, Condition relay, boolean tooSmall)
            throws ActionRefusedException {
        Sheet sheet = Examples.ofLibrary("24 V relay");
        Sheet changed = sheet.withDevices(sheet.devices().stream()
                .map(device -> device.kind().equals("dc-supply") ? device.with("rated", rated) : device)
                .map(device -> device.tag().equals("KA") ? device.with("holding", "10 VA") : device)
                .toList());
        Bench bench = started(changed);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(bench.now() + 20_000);

        assertThat(bench.moment()
                        .meter()
                        .read(Meter.Range.VOLTS_DC, "G2:+", "G2:-")
                        .value())
                .hasValueSatisfying(found -> assertThat(found).isCloseTo(volts, within(0.3)));
        assertThat(bench.moment().condition("KA")).isEqualTo(relay);
        assertThat(codes(changed).contains("supply-too-small")).isEqualTo(tooSmall);
    }

    private static List<String> codes(Sheet sheet) {
        return Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                .map(finding -> finding.code())
                .toList();
    }
}
