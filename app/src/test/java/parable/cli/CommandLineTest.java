package parable.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.files.FileClaim;
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
    void everyCommandTellsItsHelpWithoutNoise() {
        PrintStream before = System.err;
        ByteArrayOutputStream noise = new ByteArrayOutputStream();
        System.setErr(new PrintStream(noise, true, StandardCharsets.UTF_8));
        try {
            for (String command : Main.commandLine().getSubcommands().keySet()) {
                assertThat(run(command, "--help")).as(command).isZero();
            }
        } finally {
            System.setErr(before);
        }
        assertThat(noise.toString(StandardCharsets.UTF_8)).isEmpty();
        assertThat(out.toString()).contains("Usage: parable size", "Usage: parable prove");
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
        for (String format : List.of(
                "wires-csv", "parts-csv", "cables-csv", "tests-csv", "labels-csv", "sizing-csv", "motors-csv")) {
            assertThat(run("export", DEMO, "--sheet", "Wash pump", "--to", format, "-o", table.toString()))
                    .isZero();
            assertThat(Files.readString(table))
                    .contains(
                            format.equals("cables-csv")
                                    ? "X1:1"
                                    : format.matches("sizing-csv|motors-csv") ? "4.9 A" : "K1")
                    .contains("\r\n");
        }
        Path taken = Files.createDirectory(folder.resolve("taken.csv"));
        for (Path unwritable : List.of(taken, Path.of("/dev/full"))) {
            assertThat(run("export", DEMO, "--sheet", "Wash pump", "--to", "parts-csv", "-o", unwritable.toString()))
                    .isEqualTo(2);
        }
        assertThat(taken).isEmptyDirectory();
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
        Path table = folder.resolve("terminals.csv");

        assertThat(run("export", DEMO, "--to", "terminals-csv", "-o", table.toString()))
                .isZero();
        assertThat(Files.readAllLines(table)).hasSize(17).anyMatch(line -> line.contains("X1,1,"));
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
        assertThat(run(
                        "export",
                        DEMO,
                        "--sheet",
                        "Mill",
                        "--to",
                        "st",
                        "-o",
                        folder.resolve("none.st").toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("the sheet 'Mill' has no program");
    }

    /** A job with a sound sheet and one that restarts. */
    private String twoSheets() throws IOException {
        String sheet =
                """
                {"name": "%s", "duty": "maintained", "rails": {"L": "1", "N": "2"}, "devices": [
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
                {"tag": "F1", "kind": "fuse", "rated": "10 A"},
                {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "13-14"},
                {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
                {"tag": "S1", "kind": "%s"},
                {"tag": "M1", "kind": "single-phase-motor", "voltage": "230 V AC", "power": "0.75 kW"}],
                "power": ["G1[L] F1[1-2] L", "L K1[1-2] @9 M1[U1-U2] N", "G1[N] N"],
                "rungs": ["L S0[11-12] @3 S1[13-14] @4 K1[A1-A2] N", "@3 K1[13-14] @4"]}
                """;
        return Files.writeString(
                        folder.resolve("two.parable.json"),
                        "{\"version\": 1, \"name\": \"Pike Landing ice house\", \"sheets\": ["
                                + sheet.formatted("Fan", "push-button") + ", "
                                + sheet.formatted("Pump", "selector") + "]}")
                .toString();
    }

    @Test
    void proveCoversAllSheetsAndTellsRequirementsFromDescriptions() throws IOException {
        assertThat(run("prove", twoSheets(), "--json")).isEqualTo(1);

        JsonNode sheets = new ObjectMapper().readTree(out.toString()).get("sheets");

        assertThat(sheets).hasSize(2);
        assertThat(sheets.findValuesAsText("sheet")).containsExactly("Fan", "Pump");
        assertThat(sheets.get(0).get("claims").findValuesAsText("verdict")).allMatch(word -> word.startsWith("holds"));
        assertThat(sheets.get(0).get("claims").findValuesAsText("sort")).contains("requirement", "description");
        assertThat(sheets.get(0).get("limits")).isNotEmpty();
        assertThat(sheets.get(1).toString()).contains("\"id\":\"no-restart\"", "\"verdict\":\"fails\"");
    }

    @Test
    void proveOfOneSheetIsZeroIfAllOfItHolds() throws IOException {
        assertThat(run("prove", twoSheets(), "--sheet", "Fan")).isZero();
        assertThat(out.toString()).contains("Requirements", "Descriptions", "What the proof leaves out");
    }

    @Test
    void aBoundInMemoryOrTimeLeavesThingsUnfinishedAndIsNoPass() throws IOException {
        assertThat(run("prove", DEMO, "--sheet", "Press platen", "--memory", "1", "--any-speed", "--seconds", "0.0001"))
                .isEqualTo(1);
        assertThat(out.toString()).contains("Not finished", "--seconds gives more");
        assertThat(run("prove", DEMO, "--seconds", "-1")).isEqualTo(2);
    }

    @Test
    void whyNamesTheWayAtTheEndOfAScript() throws IOException {
        String script = Files.writeString(
                        folder.resolve("why.scenario"),
                        "0 close Q1\n100 ms press S1\n300 ms release S1\n1 s expect nothing was shorted")
                .toString();

        assertThat(run("why", DEMO, "--sheet", "Wash pump", "--script", script, "--of", "K1", "--json"))
                .isZero();
        JsonNode answer = new ObjectMapper().readTree(out.toString());
        assertThat(answer.get("condition").textValue()).isEqualTo("in");
        assertThat(answer.get("way").toString())
                .contains("\"S0 11-12\"", "\"K1 13-14\"")
                .doesNotContain("S1 13-14");
        assertThat(run("why", DEMO, "--sheet", "Wash pump", "--script", script, "--of", "K7"))
                .isEqualTo(2);
        assertThat(run("why", DEMO, "--script", script, "--of", "K1")).isEqualTo(2);
        assertThat(err.toString()).contains("--of: found K7", "--sheet: found none, expected one of Wash pump");
    }

    /** An export is no job: it takes the place of none, nor of a logbook, nor of what it was made of. */
    @Test
    void nothingButAJobIsWrittenOverAJob() throws IOException {
        Path job = folder.resolve("mine.parable.json");
        Files.copy(Jobs.demo(), job);
        Path link = Files.createSymbolicLink(folder.resolve("drawing.svg"), job);
        Path program = Files.writeString(folder.resolve("mine.st"), "PROGRAM P\nEND_PROGRAM\n");

        for (Path over : List.of(
                job,
                link,
                folder.resolve("new.parable.json"),
                folder.resolve("mine.logbook.jsonl"),
                folder.resolve("mine.parable.json.previous"))) {
            assertThat(run("export", job.toString(), "--to", "svg", "-o", over.toString()))
                    .isEqualTo(2);
        }
        assertThat(run("import", program.toString(), "-o", program.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("nothing is written");
        assertThat(job).hasSameTextualContentAs(Jobs.demo());
        assertThat(folder.resolve("new.parable.json")).doesNotExist();
    }

    @Test
    void aJobThatAWindowHasOpenIsNotWrittenOver() throws IOException {
        Path job = folder.resolve("mine.parable.json");
        Files.copy(Jobs.demo(), job);
        try (FileClaim window = FileClaim.on(job).orElseThrow()) {
            assertThat(window).isNotNull();
            assertThat(run("translate", DEMO, "--sheet", "Wash pump", "-o", job.toString()))
                    .isEqualTo(2);
        }
        assertThat(err.toString()).contains("is open in a window");
        assertThat(job).hasSameTextualContentAs(Jobs.demo());
        assertThat(run("translate", DEMO, "--sheet", "Wash pump", "-o", job.toString()))
                .isZero();
    }
}
