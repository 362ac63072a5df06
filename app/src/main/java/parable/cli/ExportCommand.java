package parable.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.drafting.Dress;
import parable.files.CablesCsv;
import parable.files.FileFailure;
import parable.files.IoCsv;
import parable.files.JobPack;
import parable.files.LabelsCsv;
import parable.files.PartsCsv;
import parable.files.PlcOpenXml;
import parable.files.SvgFile;
import parable.files.TerminalsCsv;
import parable.files.TestsCsv;
import parable.files.WholeFile;
import parable.files.WiresCsv;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.IoList;
import parable.program.Program;
import parable.program.StructuredText;
import parable.testsheet.TestSheet;
import parable.wiring.Cables;
import parable.wiring.Labels;
import parable.wiring.PartsList;
import parable.wiring.TerminalPlan;
import parable.wiring.WireList;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes what a sheet holds for others to read. */
@Command(
        name = "export",
        description =
                "Write a job as one PDF, or of a sheet its drawing or places as SVG, its program, or its lists: inputs and"
                        + " outputs, wires, terminals, cables, parts, labels, tests.",
        mixinStandardHelpOptions = true)
final class ExportCommand implements Callable<Integer> {

    /** What a sheet can be written as. */
    enum Format {
        svg("svg"),
        placesSvg("places-svg"),
        pdf("pdf"),
        plcopen("plcopen"),
        st("st"),
        ioCsv("io-csv"),
        wiresCsv("wires-csv"),
        partsCsv("parts-csv"),
        terminalsCsv("terminals-csv"),
        cablesCsv("cables-csv"),
        labelsCsv("labels-csv"),
        testsCsv("tests-csv");

        private final String word;

        Format(String word) {
            this.word = word;
        }

        /** As it is written on the command line. */
        @Override
        public String toString() {
            return word;
        }
    }

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(
            names = "--sheet",
            paramLabel = "NAME",
            description = "the sheet; unless said, the first as SVG, all as PDF")
    private String sheet = "";

    @Option(names = "--to", required = true, paramLabel = "FORMAT", description = "${COMPLETION-CANDIDATES}")
    private Format format;

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "OUT",
            description = "the file to write")
    private Path out;

    @Option(
            names = "--practice",
            paramLabel = "PRACTICE",
            description = "IEC or North-American; the job's, unless said")
    private String practice = "";

    @Override
    public Integer call() {
        Jobs.refuseOverJob(file, out);
        Job job = dressed(Jobs.open(file));
        Sheet drawn = sheet.isEmpty() ? job.sheets().get(0) : Jobs.sheet(job, sheet);
        try {
            WholeFile.write(out, bytes(job, drawn));
            return 0;
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        } catch (IOException unwritable) {
            throw new UsersFaultException(out + ": cannot be written: " + FileFailure.words(unwritable));
        }
    }

    private Job dressed(Job job) {
        return practice.isEmpty()
                ? job
                : Dress.of(
                        job,
                        Practice.ofWords(practice.replace('-', ' '))
                                .orElseThrow(() -> new UsersFaultException(
                                        "--practice: '" + practice + "' found, IEC or North-American expected")));
    }

    private byte[] bytes(Job job, Sheet drawn) throws PartException {
        return switch (format) {
            case svg -> SvgFile.text(Assembly.of(drawn), job.practice(), job.name() + ", " + drawn.name())
                    .getBytes(StandardCharsets.UTF_8);
            case placesSvg -> SvgFile.places(Assembly.of(drawn), job.name() + ", " + drawn.name() + ", places")
                    .getBytes(StandardCharsets.UTF_8);
            case pdf -> JobPack.of(job, sheet.isEmpty() ? job.sheets() : List.of(drawn), JobPack.STATES);
            case plcopen -> PlcOpenXml.write(program(drawn)).getBytes(StandardCharsets.UTF_8);
            case st -> StructuredText.write(program(drawn)).getBytes(StandardCharsets.UTF_8);
            case wiresCsv -> WiresCsv.text(WireList.of(Assembly.of(drawn), job.practice()), drawn.fieldwork())
                    .getBytes(StandardCharsets.UTF_8);
            case partsCsv -> PartsCsv.text(PartsList.of(Assembly.of(drawn))).getBytes(StandardCharsets.UTF_8);
            case terminalsCsv -> TerminalsCsv.text(TerminalPlan.of(Assembly.of(drawn), job.practice()))
                    .getBytes(StandardCharsets.UTF_8);
            case cablesCsv -> CablesCsv.text(Cables.of(Assembly.of(drawn), job.practice()))
                    .getBytes(StandardCharsets.UTF_8);
            case testsCsv -> TestsCsv.text(TestSheet.of(Assembly.of(drawn), job.practice()), drawn)
                    .getBytes(StandardCharsets.UTF_8);
            case labelsCsv -> LabelsCsv.text(Labels.of(Assembly.of(drawn), job.practice()))
                    .getBytes(StandardCharsets.UTF_8);
            case ioCsv -> IoCsv.text(IoList.of(Assembly.of(drawn))).getBytes(StandardCharsets.UTF_8);
        };
    }

    private static Program program(Sheet drawn) {
        return drawn.program()
                .orElseThrow(() -> new UsersFaultException("the sheet '" + drawn.name() + "' has no program"));
    }
}
