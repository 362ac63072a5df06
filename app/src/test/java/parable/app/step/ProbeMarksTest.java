package parable.app.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.app.sheet.Marked;
import parable.circuit.Practice;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;
import parable.testsheet.TestSheet;

class ProbeMarksTest {

    private final Assembly pump = pump();

    private static Assembly pump() {
        try {
            return Assembly.of(Library.jobs().get(0).sheet("Wash pump").orElseThrow());
        } catch (PartException impossible) {
            throw new AssertionError(impossible);
        }
    }

    private Marked marks(String words) {
        return TestSheet.of(pump, Practice.IEC).stream()
                .filter(step -> step.words().contains(words))
                .findFirst()
                .map(step -> ProbeMarks.of(step.observation()))
                .orElseThrow();
    }

    @Test
    void probesGoOnTerminalsOrOnWires() {
        assertThat(marks("Ohms from S0 11 to S0 12"))
                .isEqualTo(new Marked(List.of(), List.of(new Terminal("S0", "11"), new Terminal("S0", "12"))));
        assertThat(marks("Volts AC on wire 3")).isEqualTo(new Marked(List.of("3", "2"), List.of()));
        assertThat(marks("Clamp on the lead of M1 V1"))
                .isEqualTo(new Marked(List.of(), List.of(new Terminal("M1", "V1"))));
    }

    @Test
    void onThePanelAWireIsProbedOnTheBackPlateWhereItComesThere() {
        List<Terminal> ends = ProbeMarks.terminals(pump, new Marked(List.of("3"), List.of(new Terminal("M1", "V1"))));

        assertThat(ends).hasSize(2).startsWith(new Terminal("M1", "V1"));
        assertThat(pump.part(ends.get(1).tag()).orElseThrow().device().place()).isNotEqualTo("door");
    }
}
