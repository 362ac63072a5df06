package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Meter.Range;
import parable.circuit.Sheet;
import parable.network.NodeState;
import parable.parts.Verb;

class MeterTest {

    private Bench bench;

    @BeforeEach
    void closeTheBreaker() throws ActionRefusedException {
        bench = Examples.washPumpBench();
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(1_000_000);
    }

    private Meter.Display read(Range range, String red, String black) {
        return bench.moment().meter().read(range, red, black);
    }

    /** At rest and live: one probe parked on the return, the other along the rung, then across single contacts. */
    @ParameterizedTest
    @CsvSource({
        "1, 2, 230",
        "4, 2, 230",
        "6, 2, 230",
        "7, 2, 0",
        "S0:11, S0:12, 0",
        "S1:13, S1:14, 230",
        "Q1:1, Q1:3, 400",
        "K1:1, K1:2, 228",
        "2, PE, 0"
    })
    void acVoltsAreWhatTheNetworkHas(String red, String black, double volts) {
        assertThat(read(Range.VOLTS_AC, red, black).value())
                .hasValueSatisfying(value -> assertThat(value).isCloseTo(volts, within(0.5)));
    }

    @Test
    void theDcRangeShowsNothingOnAc() {
        assertThat(read(Range.VOLTS_DC, "1", "2").text()).isEqualTo("0.0 V");
    }

    @Test
    void ohmsAreRefusedOnALiveCircuit() {
        assertThat(read(Range.OHMS, "S1:13", "S1:14").text())
                .isEqualTo("refused: the circuit is live; ohms only when it is proved dead");
    }

    @Test
    void deadItTellsOpenFromJoinedAndMeasuresTheCoil() throws ActionRefusedException {
        bench.act(new Action(Verb.OPEN, "Q1"));
        bench.runUntil(2_000_000);

        assertThat(read(Range.OHMS, "S0:11", "S0:12").text()).isEqualTo("0.0 \u03a9, joined");
        assertThat(read(Range.OHMS, "7", "2").value())
                .as("the copper of a coil of 230 V for 12 A, by data sheets; the lamp beside it shows nothing")
                .hasValueSatisfying(value -> assertThat(value).isBetween(500.0, 700.0));
        bench.act(new Action(Verb.HIT, "S4"));
        assertThat(read(Range.OHMS, "S4:11", "S4:12").text()).isEqualTo("open");
    }

    /** By the capacitances of 20 and 80 pF a metre and 10 megohms: on 6 m to the wash floor 18 % of 230 V, over the hinge 6 %, in the duct 1.2 %. */
    @ParameterizedTest
    @CsvSource({"wash floor, 41", "door, 13.8", "panel, 2.8"})
    void aFloatingWireShowsVoltsByItsCableAndNobodyTakesItForLive(String place, double volts)
            throws ActionRefusedException {
        Sheet pump = Examples.washPump();
        bench = Bench.of(Examples.fitted(pump.withDevices(pump.devices().stream()
                .map(device ->
                        device.place().equals("panel") || device.tag().equals("M1") ? device : device.placed(place))
                .toList())));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.set(new Fault(Fault.Kind.OFF, "K1", "A2"), true);
        bench.set(new Fault(Fault.Kind.OFF, "P1", "X2"), true);
        bench.runUntil(1_100_000);

        assertThat(read(Range.VOLTS_AC, "7", "2").value())
                .hasValueSatisfying(value -> assertThat(value).isCloseTo(volts, within(0.7)));
        assertThat(bench.moment().node("7")).hasValue(NodeState.DEAD);
        bench.act(new Action(Verb.OPEN, "Q1"));
        bench.runUntil(2_100_000);
        assertThat(read(Range.VOLTS_AC, "7", "2").value())
                .as("no core of the cable is live any more, wires in the duct are")
                .hasValueSatisfying(value -> assertThat(value).isCloseTo(2.8, within(0.1)));
    }

    @Test
    void theClampReadsTheMotorsCurrentInEveryLineAndTheControlCurrentInTheFuse() throws ActionRefusedException {
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(6_000_000);

        double rated = 2200 / (Math.sqrt(3) * 400 * 0.83 * 0.83);
        for (String terminal : new String[] {"K1:1", "K1:2", "F2:3", "M1:W1", "Q1:4"}) {
            assertThat(read(Range.AMPERES, terminal, "").value())
                    .as(terminal)
                    .hasValueSatisfying(value -> assertThat(value).isBetween(0.8 * rated, 1.1 * rated));
        }
        assertThat(read(Range.AMPERES, "F1:2", "").value())
                .hasValueSatisfying(value -> assertThat(value).isBetween(8 / 231.0, 13 / 231.0));
        assertThat(read(Range.AMPERES, "Q1:6", "").value()).isPresent();
        assertThat(read(Range.AMPERES, "7", "").text()).startsWith("the clamp goes around one wire");
        assertThat(read(Range.AMPERES, "K1:99", "").text()).isEqualTo("the sheet has no terminal K1:99");
    }

    @Test
    void aTransformersPrimaryCarriesThePowerOfItsSecondary() throws ActionRefusedException {
        Bench transformer = Bench.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply", "voltage": "480 V AC"},
                {"tag": "T1", "kind": "control-transformer", "primary": "480 V AC", "secondary": "120 V AC", "rated": "100 VA"},
                {"tag": "P1", "kind": "resistor", "resistance": "144 ohm"}
                """,
                "\"G1[L1] T1[H1-H4] G1[L2]\", \"T1[X1] L\", \"T1[X2] N\"",
                "\"L P1[1-2] N\"")));
        Meter meter = transformer.moment().meter();
        double secondary = meter.read(Range.AMPERES, "T1:X1", "").value().orElseThrow();

        assertThat(secondary)
                .as("at its rated load it sags by 6 %, all of it resistance")
                .isCloseTo(0.94 * 120 / 144.0, within(0.005));
        assertThat(meter.read(Range.AMPERES, "T1:H1", "").value().orElseThrow())
                .isCloseTo(secondary / 4 + 0.05 * 100 / 480, within(0.005));
    }

    @Test
    void aProbeOnNothingIsSaidSo() {
        assertThat(read(Range.VOLTS_AC, "99", "2").text()).isEqualTo("the sheet has no wire or terminal 99");
        assertThat(read(Range.VOLTS_AC, "K1:77", "2").text()).isEqualTo("the sheet has no wire or terminal K1:77");
        assertThat(read(Range.VOLTS_AC, "", "2").text()).isEqualTo("put both probes down");
    }

    @Test
    void aCoilThatIsBurntThroughHasNoResistance() throws ActionRefusedException {
        bench.act(new Action(Verb.LOSE, "G1"));
        assertThat(read(Range.OHMS, "K1:A1", "K1:A2").text()).isNotEqualTo("open");
        bench.set(new Fault(Fault.Kind.BROKEN, "K1", ""), true);
        bench.set(new Fault(Fault.Kind.BROKEN, "P1", ""), true);

        assertThat(read(Range.OHMS, "K1:A1", "K1:A2").text()).isEqualTo("open");
    }

    /** Switched off, a motor makes a voltage by itself until its field has died away: a quarter of a second for 2.2 kW; no ohms until then. */
    @Test
    void aMotorThatCoastsIsNotDeadAtOnce() throws ActionRefusedException {
        Bench pump = Bench.of(Examples.fitted(Examples.ofLibrary("Wash pump")));
        pump.act(new Action(Verb.CLOSE, "Q1"));
        pump.runUntil(100_000);
        pump.act(new Action(Verb.PRESS, "S1"));
        pump.runUntil(3_000_000);
        pump.act(new Action(Verb.RELEASE, "S1"));
        pump.act(new Action(Verb.PRESS, "S0"));
        pump.runUntil(3_060_000);
        assertThat(pump.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(volts(pump, "M1:U1", "M1:V1")).isBetween(200.0, 380.0);
        assertThat(volts(pump, "M1:V1", "PE")).isBetween(115.0, 220.0);
        assertThat(volts(pump, "1L1", "2")).isCloseTo(231, within(0.5));
        assertThat(pump.moment().meter().read(Range.OHMS, "M1:U1", "M1:V1").text())
                .startsWith("refused: the circuit is live");
        pump.runUntil(3_300_000);
        assertThat(volts(pump, "M1:U1", "M1:V1")).isBetween(40.0, 200.0);
        pump.runUntil(8_000_000);
        assertThat(volts(pump, "M1:U1", "M1:V1")).isLessThan(1);
        assertThat(pump.moment().meter().read(Range.OHMS, "M1:U1", "M1:V1").value())
                .hasValueSatisfying(ohms -> assertThat(ohms).isBetween(1.0, 100.0));
    }

    private static double volts(Bench bench, String red, String black) {
        return bench.moment().meter().read(Range.VOLTS_AC, red, black).value().orElseThrow();
    }
}
