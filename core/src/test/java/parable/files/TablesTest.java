package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Tick;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.plc.IoList;
import parable.plc.IoPoint;
import parable.starters.Library;
import parable.testsheet.Results;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;
import parable.wiring.Cable;
import parable.wiring.Cables;
import parable.wiring.TerminalPlan;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** The tables for spreadsheets, read back by a reader of such tables, against the lists that they were made of. */
class TablesTest {

    static Stream<Sheet> sheets() {
        return Share.oneIn(
                4,
                Library.jobs().stream()
                        .flatMap(job -> job.sheets().stream())
                        .map(sheet -> sheet.withFieldwork(Fieldwork.NONE.by(WiringMethod.TERMINAL_STRIP))));
    }

    private static List<CSVRecord> read(String text) {
        assertThat(text).startsWith("\uFEFF");
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text.substring(1)), format)) {
            return parser.getRecords();
        } catch (IOException broken) {
            throw new AssertionError(broken);
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everyWireIsALineInItsOrder(Sheet sheet) {
        WireList list = WireList.of(Examples.fitted(sheet), Practice.IEC);
        Wire first = list.wires().get(0);
        Fieldwork work = sheet.fieldwork().ticked(first.from(), first.to(), Tick.TUGGED, true);

        List<CSVRecord> lines = read(WiresCsv.text(list, work));

        assertThat(lines).hasSameSizeAs(list.wires());
        for (int i = 0; i < lines.size(); i++) {
            Wire wire = list.wires().get(i);
            CSVRecord line = lines.get(i);
            assertThat(line.get("Wire")).isEqualTo(wire.number());
            assertThat(line.get("From") + " " + line.get("To")).isEqualTo(wire.from() + " " + wire.to());
            assertThat(line.get("Rung")).isEqualTo(wire.rung() == 0 ? "power" : "" + wire.rung());
            assertThat(line.get("Colour") + line.get("Size") + line.get("Ends"))
                    .isEqualTo(wire.conductor().colour()
                            + wire.conductor().size()
                            + wire.conductor().ferrule());
            assertThat(Double.parseDouble(line.get("Length m")))
                    .isCloseTo(wire.metres(), org.assertj.core.api.Assertions.within(0.006));
            assertThat(line.get("Route")).isEqualTo(wire.route());
            assertThat(line.get("Tugged")).isEqualTo(i == 0 ? "x" : "");
            assertThat(line.get("Done") + line.get("Checked")).isEmpty();
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everyCoreOfEveryCableIsALine(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        List<Cable> cables = Cables.of(assembly, Practice.IEC);
        List<CSVRecord> lines = read(CablesCsv.text(cables));

        assertThat(lines).hasSize(cables.stream().mapToInt(Cable::cores).sum());
        for (Cable cable : cables) {
            List<CSVRecord> cores = lines.stream()
                    .filter(line -> line.get(0).equals(cable.name()))
                    .toList();
            assertThat(cores).hasSize(cable.cores());
            for (int core = 0; core < cable.wires().size(); core++) {
                Wire wire = cable.wires().get(core);
                assertThat(cores.get(core).toList())
                        .contains(
                                wire.number(), wire.from().toString(), wire.to().toString());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everyTerminalOfTheStripIsALine(Sheet sheet) {
        List<TerminalPlan.Line> plan = TerminalPlan.of(Examples.fitted(sheet), Practice.IEC);
        List<CSVRecord> lines = read(TerminalsCsv.text(plan));

        assertThat(lines).hasSameSizeAs(plan);
        for (int i = 0; i < lines.size(); i++) {
            TerminalPlan.Line terminal = plan.get(i);
            assertThat(lines.get(i).toList())
                    .contains(
                            terminal.at().terminal().marking(),
                            terminal.at().number(),
                            terminal.at().place());
        }
    }

    @Test
    void aTestSheetHasItsResultsAndALineBeforeEachPartOfIt() {
        Sheet sheet = Examples.ofLibrary("Two-wire");
        List<TestStep> steps = TestSheet.of(Examples.fitted(sheet), Practice.IEC);
        TestStep passed = steps.get(0);
        TestStep failed = steps.get(1);
        sheet = sheet.withFieldwork(sheet.fieldwork()
                .with(Results.of(sheet).taken(passed, passed.expected().text(), "", "E. Marsh", "2026-11-26"))
                .with(Results.of(sheet).taken(failed, "nonsense", "new block", "R. Alder", "2026-11-27")));

        List<CSVRecord> lines = read(TestsCsv.text(steps, sheet));

        assertThat(lines).hasSize(steps.size() + 3);
        List<CSVRecord> read =
                lines.stream().filter(line -> !line.get("Step").isEmpty()).toList();
        assertThat(read)
                .extracting(line -> line.get("Do and read"))
                .containsExactlyElementsOf(steps.stream().map(TestStep::words).toList());
        assertThat(read.get(0).get("Result")).isEqualTo("pass");
        assertThat(read.get(1).get("Result")).isEqualTo("fail, remarked");
        assertThat(read.get(1).get("Remark") + ", " + read.get(1).get("By")).isEqualTo("new block, R. Alder");
        assertThat(read.get(2).get("Result")).isEmpty();
    }

    @Test
    void everyInputAndOutputIsALine() {
        List<IoPoint> points = IoList.of(Examples.fitted(Examples.ofLibrary("By controller")));
        List<CSVRecord> lines = read(IoCsv.text(points));

        assertThat(lines).hasSameSizeAs(points);
        for (int i = 0; i < lines.size(); i++) {
            assertThat(lines.get(i).toList())
                    .contains(points.get(i).address().toString(), points.get(i).terminal());
        }
    }

    /** A spreadsheet must not take a name for a formula, wherever in a cell it begins. */
    @ParameterizedTest
    @CsvSource({
        "=1+1, '''=1+1'",
        "+A1, '''+A1'",
        "-2, '''-2'",
        "@sum, '''@sum'",
        "' =1', ' ''=1'",
        "a;=1, 'a;''=1'",
        "a|=1, 'a|''=1'",
        "a=1, a=1",
        "start-stop, start-stop",
        "2 - 3, 2 - 3"
    })
    void whatBeginsAFormulaIsAText(String cell, String written) {
        Table table = new Table(List.of("Text"), List.of(List.of(cell), List.of("after")));

        List<CSVRecord> lines = read(CsvTable.text(table));

        assertThat(lines.get(0).get("Text")).isEqualTo(written);
        assertThat(lines.get(1).get("Text")).isEqualTo("after");
    }

    @Test
    void quotesCommasAndLinesComeBack() {
        String cell = "He said \"no\", then\r\nleft; \u03a9 " + String.format(Locale.ROOT, "%.1f", 1.5);
        Table table = new Table(List.of("Text", "More"), List.of(List.of(cell, "x")));

        assertThat(read(CsvTable.text(table)).get(0).toList()).containsExactly(cell, "x");
    }
}
