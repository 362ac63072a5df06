package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Extras;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Reading;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WireChoice;
import parable.circuit.WiringMethod;

/** What was done at the panel, written to a job file and read again. */
class FieldworkTextTest {

    private static final Terminal S1 = new Terminal("S1", "13");
    private static final Terminal K1 = new Terminal("K1", "A1");

    private static Job job(Fieldwork work) {
        Sheet pump = Examples.washPump().withFieldwork(work);
        return new Job("Tern Hollow press house", Practice.IEC, List.of(pump), Extras.NONE);
    }

    private static String with(String fields) {
        return JobFile.text(job(Fieldwork.NONE))
                .replaceFirst("\"name\": \"Wash pump\",", "\"name\": \"Wash pump\", " + fields + ",");
    }

    @Test
    void everythingComesBack() throws JobFormatException {
        Fieldwork work = Fieldwork.NONE
                .by(WiringMethod.TERMINAL_STRIP)
                .choosing(List.of(new WireChoice(S1, K1)))
                .ticked(S1, K1, Tick.DONE, true)
                .ticked(S1, K1, Tick.CHECKED, true)
                .ticked(K1, new Terminal("F2", "96"), Tick.TUGGED, true)
                .with(new Reading("dead: look", "0,2 \u03a9 \"or so\"", "new block", "E. Marsh", "2026-11-26 10:00"))
                .with(new Reading("live: volts", "", "left out", "R. Alder", "2026-11-26 11:00"))
                .with(new Reading("x", "1", "", "R. Alder", "2026-11-26", "abc", "def", Extras.NONE));

        Job back = JobFile.read(JobFile.text(job(work)));

        assertThat(back.sheets().get(0).fieldwork()).isEqualTo(work);
    }

    @Test
    void whereNothingWasDoneNothingIsWritten() {
        String text = JobFile.text(job(Fieldwork.NONE));

        assertThat(text).doesNotContain("\"wiring\"", "\"wires\"", "\"wired\"", "\"tests\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'wiring': 'by hand' | found 'by hand', expected 'point to point' or 'terminal strip'",
                "'wired': ['S1:13 K1:13'] | expected two terminals and what is ticked off, such as 'S1:13 K1:13 done tugged'",
                "'wired': ['S1:13 K1:13 perhaps'] | found 'S1:13 K1:13 perhaps'",
                "'wires': ['S1 K1'] | expected two terminals of one wire number, such as 'S1:13 K1:13'",
                "'tests': [{'step': 'x', 'by': 'E. Marsh'}] | expected one",
                "'tests': [{'by': 'E. Marsh', 'on': 'today'}] | expected one"
            })
    void whatMakesNoSenseIsRefusedInWords(String fields, String words) {
        assertThatExceptionOfType(JobFormatException.class)
                .isThrownBy(() -> JobFile.read(with(fields.replace('\'', '"'))))
                .withMessageContaining(words);
    }
}
