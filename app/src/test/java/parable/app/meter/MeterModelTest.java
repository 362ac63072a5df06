package parable.app.meter;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.InterfaceThread;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.bench.Meter;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

class MeterModelTest {

    private RunModel run;
    private MeterModel meter;

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    @BeforeEach
    void standBeforeThePump() throws Exception {
        Assembly pump = Assembly.of(Library.jobs().get(0).sheets().get(0));
        run = InterfaceThread.on(() -> new RunModel(pump));
        meter = new MeterModel(run);
    }

    private String shown(Meter.Range range, String red, String black) throws Exception {
        return InterfaceThread.on(() -> {
            meter.rangeProperty().set(range);
            meter.placeProperty(Probe.RED).set(red);
            meter.placeProperty(Probe.BLACK).set(black);
            return meter.reading().text();
        });
    }

    @Test
    void readsWhereTheProbesAre() throws Exception {
        assertThat(shown(Meter.Range.VOLTS_AC, "", "")).isEqualTo("put both probes down");
        assertThat(shown(Meter.Range.VOLTS_AC, " G1:L1 ", "G1:L2")).isEqualTo("400.0 V");
        assertThat(shown(Meter.Range.VOLTS_AC, "G1:L1", "G1:N")).isEqualTo("230.9 V");
        assertThat(shown(Meter.Range.VOLTS_DC, "G1:L1", "G1:N")).isEqualTo("0.0 V");
        assertThat(shown(Meter.Range.VOLTS_AC, "K1:99", "G1:N")).isEqualTo("the sheet has no wire or terminal K1:99");
    }

    @Test
    void ohmsAreRefusedOnALiveCircuit() throws Exception {
        assertThat(shown(Meter.Range.OHMS, "G1:L1", "G1:N")).startsWith("refused: the circuit is live");
        assertThat(shown(Meter.Range.OHMS, "S0:11", "S0:12")).isEqualTo("0.0 \u03a9, joined");
    }

    /** The reading is that of the instant that is looked at, also in the past. */
    @Test
    void readsAtTheInstantThatIsShown() throws Exception {
        InterfaceThread.run(() -> {
            run.act(new Action(Verb.CLOSE, "Q1"));
            run.tick(1);
        });
        long closed = run.shownTimeProperty().get();
        String live = shown(Meter.Range.VOLTS_AC, "Q1:2", "G1:N");
        InterfaceThread.run(() -> run.lookAt(0));
        String before = shown(Meter.Range.VOLTS_AC, "Q1:2", "G1:N");

        assertThat(closed).isPositive();
        assertThat(live).isEqualTo("230.9 V");
        assertThat(before).isNotEqualTo(live);
    }
}
