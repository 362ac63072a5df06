package parable.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine;

class SizeCommandTest {

    private static final String DEMO = Jobs.demo().toString();

    @TempDir
    private Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... arguments) {
        CommandLine line = Main.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        return line.execute(arguments);
    }

    @Test
    void aLineIsSizedInWords() {
        assertThat(run("size", "--new", "5 hp 460 V, nameplate 6.3 A, service-factor 1.15"))
                .isZero();
        assertThat(out.toString())
                .contains("Overload relay at most: 7.88 A", "Wire: 14 AWG (15 A)", "NFPA 70, 430.32(A)(1)", "(assumed)")
                .contains("the local code");
    }

    @Test
    void aLimitThatIsNotKeptIsTheExitCode() {
        assertThat(run("size", "--new", "11 kW 400 V 400 m")).isEqualTo(1);
        assertThat(out.toString()).contains("NOT KEPT: It may be at most 5 % of 400 V; 16 mm² keeps it.");
    }

    @Test
    void whatMakesNoSenseSaysWhichRangeThereIs() {
        assertThat(run("size", "--new", "0 kW 400 V")).isEqualTo(2);
        assertThat(err.toString()).contains("--new: motor, power: found 0 kW, expected 0.06 to 315 kW, or in hp");
        assertThat(run("size")).isEqualTo(2);
        assertThat(err.toString()).contains("found neither a file nor --new, expected one of them");
        assertThat(run("size", DEMO, "--sheet", "Cellar")).isEqualTo(2);
    }

    @Test
    void aJobAsJsonHasInputsFormulaSourceResultAndDifferences() throws IOException {
        Path spoilt = Files.writeString(
                folder.resolve("spoilt.parable.json"),
                Files.readString(Jobs.demo()).replace("\"setting\": \"20.2 A\"", "\"setting\": \"35 A\""));
        assertThat(run("size", spoilt.toString(), "--json")).isEqualTo(1);
        JsonNode job = new ObjectMapper().readTree(out.toString());

        assertThat(job.at("/sheets")).hasSize(7);
        JsonNode mill = job.at("/sheets/1");
        assertThat(mill.at("/differences/0/tag").textValue()).isEqualTo("F2");
        assertThat(mill.at("/differences/0/sized").textValue()).isEqualTo("20.2 A");
        assertThat(mill.at("/motors/0/results/0/value").doubleValue()).isEqualTo(35);
        assertThat(mill.at("/motors/0/inputs/0/origin").textValue()).isEqualTo("from the drawing");
        assertThat(job.at("/together/results/0/value").doubleValue()).isEqualTo(71.6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"--csv", "--motors", "--tables", "--json"})
    void whatIsWrittenToAFileIsWhatIsPrinted(String format) throws IOException {
        assertThat(run("size", DEMO, format)).isZero();
        Path file = folder.resolve("sized.txt");
        assertThat(run("size", DEMO, format, "-o", file.toString())).isZero();
        assertThat(out.toString().strip()).isEqualTo(Files.readString(file).strip());
        assertThat(run("size", DEMO, format, "-o", DEMO)).isEqualTo(2);
    }
}
