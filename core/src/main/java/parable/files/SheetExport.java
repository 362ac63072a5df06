package parable.files;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.IoList;
import parable.program.StructuredText;
import parable.ratings.JobTables;
import parable.testsheet.TestSheet;
import parable.wiring.Cables;
import parable.wiring.Labels;
import parable.wiring.PartsList;
import parable.wiring.TerminalPlan;
import parable.wiring.WireList;

/** What a sheet can be written as, each a file of its own. */
public enum SheetExport {
    /** Its drawing. */
    SVG(
            "svg",
            "This drawing as SVG",
            "",
            ".svg",
            (job, assembly) -> Optional.of(SvgFile.text(assembly, job.practice(), title(job, assembly)))),
    /** The views of its places. */
    PLACES_SVG(
            "places-svg",
            "Its places as SVG",
            " places",
            ".svg",
            (job, assembly) -> Optional.of(SvgFile.places(assembly, title(job, assembly) + ", places"))),
    /** Its program as PLCopen XML (IEC 61131-10); nothing without one. */
    PLCOPEN("plcopen", "Its program as PLCopen XML", "", ".xml", (job, assembly) -> assembly.sheet()
            .program()
            .map(PlcOpenXml::write)),
    /** Its program as Structured Text (IEC 61131-3); nothing without one. */
    ST("st", "Its program as Structured Text", "", ".st", (job, assembly) -> assembly.sheet()
            .program()
            .map(StructuredText::write)),
    /** The inputs and outputs of its controller; only a heading without one. */
    IO_CSV(
            "io-csv",
            "Its inputs and outputs as CSV",
            "",
            ".csv",
            (job, assembly) -> Optional.of(IoCsv.text(IoList.of(assembly)))),
    /** Its wires. */
    WIRES_CSV(
            "wires-csv",
            "Its wires as CSV",
            " wires",
            ".csv",
            (job, assembly) -> Optional.of(WiresCsv.text(
                    WireList.of(assembly, job.practice()), assembly.sheet().fieldwork()))),
    /** Its devices with what goes with them. */
    PARTS_CSV(
            "parts-csv",
            "Its parts as CSV",
            " parts",
            ".csv",
            (job, assembly) -> Optional.of(PartsCsv.text(PartsList.of(assembly)))),
    /** What is sized of it, a result a row. */
    SIZING_CSV(
            "sizing-csv",
            "Its sizing as CSV",
            " sizing",
            ".csv",
            (job, assembly) -> Optional.of(
                    SizingCsv.ofSheets(SheetPages.sizing(job, List.of(assembly)).sheets()))),
    /** All motors of the job, whatever the sheet. */
    MOTORS_CSV(
            "motors-csv",
            "All motors of the job as CSV",
            " and all motors",
            ".csv",
            (job, assembly) -> Optional.of(SizingCsv.motors(SheetPages.sizing(job, SheetPages.assemblies(job))))),
    /** Its terminal strip. */
    TERMINALS_CSV(
            "terminals-csv",
            "Its terminal strip as CSV",
            " terminals",
            ".csv",
            (job, assembly) -> Optional.of(TerminalsCsv.text(TerminalPlan.of(assembly, job.practice())))),
    /** Its cables. */
    CABLES_CSV(
            "cables-csv",
            "Its cables as CSV",
            " cables",
            ".csv",
            (job, assembly) -> Optional.of(CablesCsv.text(Cables.of(assembly, job.practice())))),
    /** Its labels. */
    LABELS_CSV(
            "labels-csv",
            "Its labels as CSV",
            " labels",
            ".csv",
            (job, assembly) -> Optional.of(LabelsCsv.text(Labels.of(assembly, job.practice())))),
    /** Its test sheet. */
    TESTS_CSV(
            "tests-csv",
            "Its test sheet as CSV",
            " tests",
            ".csv",
            (job, assembly) -> Optional.of(TestsCsv.text(TestSheet.of(assembly, job.practice()), assembly.sheet())));

    private interface Pen {
        Optional<String> text(Job job, Assembly assembly);
    }

    private final String word;
    private final String words;
    private final String suffix;
    private final String ending;
    private final Pen pen;

    SheetExport(String word, String words, String suffix, String ending, Pen pen) {
        this.word = word;
        this.words = words;
        this.suffix = suffix;
        this.ending = ending;
        this.pen = pen;
    }

    private static String title(Job job, Assembly assembly) {
        return job.name() + ", " + assembly.sheet().name();
    }

    /** Its word on the command line: {@code wires-csv}. */
    public String word() {
        return word;
    }

    /** What a menu calls it: {@code Its wires as CSV}. */
    public String words() {
        return words;
    }

    /** The name that is proposed for its file: {@code wash-pump-wires.csv}. */
    public String fileName(Sheet sheet) {
        return (sheet.name() + suffix).toLowerCase(Locale.ROOT).replace(' ', '-') + ending;
    }

    /** What the sheet lacks that makes the file worth writing, in a sentence; empty if it lacks nothing. */
    public Optional<String> lack(Assembly assembly) {
        return switch (this) {
            case PLCOPEN, ST -> assembly.sheet().program().isPresent()
                    ? Optional.empty()
                    : Optional.of("This sheet has no program.");
            case IO_CSV -> IoList.of(assembly).isEmpty()
                    ? Optional.of("This sheet has no controller.")
                    : Optional.empty();
            case SVG,
                    PLACES_SVG,
                    WIRES_CSV,
                    PARTS_CSV,
                    SIZING_CSV,
                    MOTORS_CSV,
                    TERMINALS_CSV,
                    CABLES_CSV,
                    LABELS_CSV,
                    TESTS_CSV -> Optional.empty();
        };
    }

    /**
     * What the file holds, in UTF-8; empty if the sheet has no program and one is asked for.
     *
     * @param job the job of the sheet, which gives the practice and the title
     * @throws PartException if the sheet cannot be fitted out
     */
    public Optional<byte[]> bytes(Job job, Sheet sheet) throws PartException {
        return pen.text(job, Assembly.of(sheet, JobTables.of(job))).map(text -> text.getBytes(StandardCharsets.UTF_8));
    }
}
