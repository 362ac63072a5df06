package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.parts.Assembly;

/** Words of any signs, in labels and remarks: what is written of them is still a drawing, a table, a file. */
class HostileWordsTest {

    private static final String WORDS = "a\u0001b\ud800c\uffff<&\">'\u202e\u0000\ud83d\ude00";

    private static Sheet labelled(String words) {
        Sheet pump = Examples.washPump();
        return pump.withDevices(
                pump.devices().stream().map(device -> device.labelled(words)).toList());
    }

    @Test
    void theDrawingStaysWellFormed() {
        Assembly hostile = Examples.fitted(labelled(WORDS));

        for (String svg : List.of(
                SvgFile.text(hostile, Examples.pressHouse().practice(), WORDS), SvgFile.places(hostile, WORDS))) {
            assertThatCode(() -> DocumentBuilderFactory.newInstance()
                            .newDocumentBuilder()
                            .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8))))
                    .doesNotThrowAnyException();
        }
    }

    @Test
    void thePackIsWritten() throws Exception {
        Job job = Examples.pressHouse().with(List.of(labelled(WORDS)));

        assertThat(JobPack.of(job, job.sheets(), 1_000)).isNotEmpty();
        assertThat(JobFile.read(JobFile.text(job))).isEqualTo(job);
    }

    @Test
    void noCellBeginsAFormula() {
        Map<String, String> written = Map.of(
                "=1+1", "'=1+1",
                "  =1+1", "  '=1+1",
                ";=1+1", ";'=1+1",
                "a;@x", "a;'@x",
                "\uff1d1+1", "'\uff1d1+1",
                "3.8 A", "3.8 A",
                "a-b", "a-b",
                "K1 = in", "K1 = in");
        written.forEach((words, cell) -> assertThat(CsvTable.plain(new Table(List.of("x"), List.of(List.of(words))))
                        .replace("\"", ""))
                .isEqualTo("x\r\n" + cell + "\r\n"));
    }
}
