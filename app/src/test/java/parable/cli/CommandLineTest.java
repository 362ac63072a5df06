package parable.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class CommandLineTest {

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

    private int simulate(String script, String... more) throws IOException {
        Path file = Files.writeString(folder.resolve("try.scenario"), script);
        List<String> arguments =
                new ArrayList<>(List.of("simulate", DEMO, "--sheet", "Wash pump", "--script", file.toString()));
        arguments.addAll(List.of(more));
        return run(arguments.toArray(String[]::new));
    }

    @Test
    void simulateTellsTheStoryAndWhatWasMet() throws IOException {
        assertThat(simulate("0 close Q1\n100 ms press S1\n1 s expect K1 in")).isZero();
        assertThat(out.toString().lines())
                .contains("      120.0 ms    K1 pulls in: 13-14 and the poles close, so M1 runs forward.")
                .contains("met      line 3: K1 in");
    }

    @Test
    void oneExpectationNotMetIsEnoughToFail() throws IOException {
        assertThat(simulate("0 close Q1\n1 s expect K1 in, P2 lit")).isEqualTo(1);
        assertThat(out.toString()).contains("NOT MET  line 2: K1 in (K1 is out)", "met      line 2: P2 lit");
    }

    @Test
    void simulateAsJsonHasStoryAndExpectations() throws IOException {
        assertThat(simulate("0 close Q1\n1 s expect K1 in, P2 lit", "--json")).isEqualTo(1);

        JsonNode report = new ObjectMapper().readTree(out.toString());

        assertThat(report.at("/story/1/ms").intValue()).isEqualTo(4);
        assertThat(report.at("/story/1/text").textValue()).isEqualTo("Q1 closes, so P2 lights.");
        assertThat(report.at("/expectations/0/line").intValue()).isEqualTo(2);
        assertThat(report.at("/expectations/0/text").textValue()).isEqualTo("K1 in");
        assertThat(report.at("/expectations/0/met").booleanValue()).isFalse();
        assertThat(report.at("/expectations/1/met").booleanValue()).isTrue();
    }

    @Test
    void whatTheUserCanPutRightIsSaidInOneLine() throws IOException {
        assertThat(run("simulate", DEMO, "--sheet", "Cellar", "--script", "x")).isEqualTo(2);
        assertThat(simulate("1 s press X9")).isEqualTo(2);
        assertThat(run("open", "missing.parable.json")).isEqualTo(2);

        assertThat(err.toString().lines())
                .hasSize(3)
                .anySatisfy(line -> assertThat(line)
                        .isEqualTo(
                                "the job has no sheet 'Cellar'; it has Wash pump, Mill, Press platen, Pomace auger, Mill start warning,"
                                        + " Juice separator, Bottle rinser"))
                .anySatisfy(line -> assertThat(line).contains("line 1: X9: cannot 'press X9'"))
                .anySatisfy(line -> assertThat(line).isEqualTo("missing.parable.json: there is no such file"));
    }

    /** Translated, compared, exported and imported again, a program is the same. */
    @Test
    void aSheetIsTranslatedComparedExportedAndImported() throws IOException {
        Path job = folder.resolve("translated.parable.json");
        assertThat(run("translate", DEMO, "--sheet", "Mill", "-o", job.toString()))
                .isZero();
        assertThat(out.toString()).startsWith("Mill PLC");
        assertThat(run("prove", job.toString(), "--equivalent", "Mill", "Mill PLC", "--json"))
                .isZero();
        String json = out.toString().substring(out.toString().indexOf('{'));
        assertThat(new ObjectMapper().readTree(json).at("/verdict").textValue()).isEqualTo("equivalent");
        assertThat(run("prove", job.toString(), "--equivalent", "Mill", "Wash pump"))
                .isEqualTo(1);
        for (String format : List.of("st", "plcopen")) {
            Path program = folder.resolve("mill." + format);
            Path imported = folder.resolve(format + ".parable.json");
            assertThat(run("export", job.toString(), "--sheet", "Mill PLC", "--to", format, "-o", program.toString()))
                    .isZero();
            assertThat(run("import", program.toString(), "-o", imported.toString()))
                    .isZero();
            assertThat(run(
                            "export",
                            imported.toString(),
                            "--to",
                            "st",
                            "-o",
                            folder.resolve("again").toString()))
                    .isZero();
            assertThat(Files.readString(folder.resolve("again")))
                    .isEqualTo(Files.readString(folder.resolve("mill.st"), StandardCharsets.UTF_8));
        }
    }

    @Test
    void theListsOfASheetAreTablesAndAFailureLeavesWhatIsThere() throws IOException {
        Path table = folder.resolve("pump.csv");
        for (String format : List.of("wires-csv", "parts-csv", "cables-csv", "tests-csv", "labels-csv")) {
            assertThat(run("export", DEMO, "--sheet", "Wash pump", "--to", format, "-o", table.toString()))
                    .isZero();
            assertThat(Files.readString(table)).contains("K1").contains("\r\n");
        }
        String labels = Files.readString(table);
        Files.createDirectory(folder.resolve(".pump.csv.new"));
        assertThat(run("export", DEMO, "--sheet", "Wash pump", "--to", "parts-csv", "-o", table.toString()))
                .isEqualTo(2);
        assertThat(Files.readString(table)).isEqualTo(labels);
        assertThat(run(
                        "export",
                        DEMO,
                        "--to",
                        "wires-csv",
                        "-o",
                        folder.resolve("none/pump.csv").toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("cannot be written: there is no such file or folder");
    }

    @Test
    void theTerminalPlanIsATableOnceTheSheetIsWiredThroughAStrip() throws IOException {
        Path job = Files.writeString(
                folder.resolve("strip.parable.json"),
                Files.readString(Path.of(DEMO))
                        .replace(
                                "\"name\": \"Wash pump\",",
                                "\"name\": \"Wash pump\", \"wiring\": \"terminal strip\","));
        Path table = folder.resolve("terminals.csv");

        assertThat(run("export", job.toString(), "--to", "terminals-csv", "-o", table.toString()))
                .isZero();
        assertThat(Files.readAllLines(table)).hasSize(15).anyMatch(line -> line.contains("X1,1,"));
    }

    @Test
    void whatIsNoProgramIsRefusedByLine() throws IOException {
        Path broken = Files.writeString(folder.resolve("broken.st"), "PROGRAM P\nVAR\nEND_VAR\nX := Y;\nEND_PROGRAM");
        Path target = folder.resolve("none.parable.json");

        assertThat(run("import", broken.toString(), "-o", target.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("broken.st: network 1: found Y, expected a variable that is declared");
        assertThat(target).doesNotExist();
        assertThat(run("translate", DEMO, "--sheet", "Bottle rinser", "-o", target.toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("a controller on the sheet already");
        assertThat(run("export", DEMO, "--sheet", "Mill", "--to", "st", "-o", target.toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("the sheet 'Mill' has no program");
    }
}
