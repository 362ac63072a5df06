package parable.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.SizingCsv;
import parable.files.SizingJson;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;
import parable.sizing.DrawingDifference;
import parable.sizing.Input;
import parable.sizing.JobSizing;
import parable.sizing.SheetFacts;
import parable.sizing.SheetSizing;
import parable.sizing.SizingException;
import parable.sizing.SizingLine;
import parable.sizing.SizingResult;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Sizes a job, or what one line tells. */
@Command(
        name = "size",
        description = {
            "Size a job from its nameplates: currents, overload, contactors, protection, wires, drop, transformers, feeder, heat; or one motor told in a line.",
            "Exit code 0 if every limit is kept and the drawing agrees, 1 if not, 2 if something makes no sense."
        },
        footer = {
            "",
            "A line: --new \"5 hp 460 V, nameplate 6.3 A, service-factor 1.15\"",
            "        --new \"2.2 kW 400 V, 25 m, B2, 40 degC, 7 In, cosphi 0.80/0.35\"",
            "        --new \"30 hp 460 V wye-delta terminals 75 °C 200 ft\"",
            "        --new \"transformer 100 VA 480/120 V NEC inrush 190 VA\"",
            "        --new \"brake 11.5 A 1.40 ohm 2 In 360 V 4 s\", \"supply 400 kVA 4 %% 50 m 35 mm²\"",
            "A result is overridden by its key, as in \"wire 4 mm²\"."
        },
        mixinStandardHelpOptions = true)
final class SizeCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", arity = "0..1", description = "the job file")
    private Optional<Path> file = Optional.empty();

    @Option(names = "--new", paramLabel = "WORDS", description = "what to size without a file")
    private Optional<String> line = Optional.empty();

    @Option(names = "--sheet", paramLabel = "NAME", description = "the sheet; all of them, unless said")
    private String sheet = "";

    @Option(names = "--json", description = "print all inputs, formulas, sources and results as JSON")
    private boolean json;

    @Option(names = "--csv", description = "print all results as a table")
    private boolean csv;

    @Option(names = "--motors", description = "print a row for each motor of the job as a table")
    private boolean motors;

    @Option(names = "--tables", description = "print the tables that the job goes by")
    private boolean tables;

    @Option(names = "-o", paramLabel = "OUT", description = "write to this file instead of printing")
    private Optional<Path> out = Optional.empty();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        if (file.isPresent() == line.isPresent()) {
            throw new UsersFaultException("found "
                    + (file.isPresent() ? "a file and --new" : "neither a file nor --new") + ", expected one of them");
        }
        out.ifPresent(written -> Jobs.refuseOverJob(file.orElse(written.resolveSibling("none")), written));
        return line.isPresent() ? sizeLine(line.get()) : sizeJob(file.orElseThrow());
    }

    private int sizeLine(String words) {
        try {
            SizingLine read = SizingLine.read(words);
            RatingTables used = RatingTables.of(read.practice());
            SizingLine.SizedLine sized = read.sized(used);
            String text = tables
                    ? written(used)
                    : json ? SizingJson.of(sized) : csv || motors ? SizingCsv.results(sized.results()) : text(sized);
            tell(text);
            return sized.results().stream().anyMatch(SizingResult::fails) ? 1 : 0;
        } catch (SizingException senseless) {
            throw new UsersFaultException("--new: " + senseless.getMessage());
        }
    }

    private int sizeJob(Path from) {
        Job job = Jobs.open(from);
        List<Sheet> asked = sheet.isEmpty() ? job.sheets() : List.of(Jobs.sheet(job, sheet));
        try {
            RatingTables used = JobSizing.tables(job);
            List<SheetFacts> facts = new ArrayList<>();
            for (Sheet one : job.sheets()) {
                facts.add(SheetFacts.explored(one, job.practice(), JobTables.of(job), done -> false));
            }
            JobSizing sizing = JobSizing.of(job, facts, used);
            List<SheetSizing> told = sizing.sheets().stream()
                    .filter(one ->
                            asked.stream().anyMatch(wanted -> wanted.name().equals(one.sheet())))
                    .toList();
            tell(text(job, used, sizing, told));
            boolean wrong = told.stream().anyMatch(SizeCommand::isWrong)
                    || sheet.isEmpty() && sizing.results().stream().anyMatch(SizingResult::fails);
            boolean senseless = told.stream().anyMatch(one -> !one.problems().isEmpty())
                    || !sizing.problem().isEmpty();
            return senseless ? 2 : wrong ? 1 : 0;
        } catch (RatingFormatException senseless) {
            throw new UsersFaultException(from + ": tables: " + senseless.getMessage());
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        }
    }

    private static boolean isWrong(SheetSizing sheet) {
        return !sheet.failing().isEmpty()
                || sheet.differences().stream().anyMatch(one -> one.sort() == DrawingDifference.Sort.DIFFERS);
    }

    private String text(Job job, RatingTables used, JobSizing sizing, List<SheetSizing> told) {
        if (tables) {
            return written(used);
        }
        if (json) {
            return SizingJson.of(job.name(), job.practice(), sizing, told);
        }
        if (motors) {
            return SizingCsv.motors(sizing);
        }
        return csv ? SizingCsv.results(sizing, told) : SizingPrint.of(job, sizing, told, sheet.isEmpty());
    }

    private static String written(RatingTables used) {
        List<String> lines = new ArrayList<>();
        for (RatingTable table : used.all()) {
            lines.addAll(table.written());
            lines.add("");
        }
        return String.join("\n", lines);
    }

    private static String text(SizingLine.SizedLine sized) {
        List<String> lines = new ArrayList<>();
        for (Input input : sized.inputs().all()) {
            lines.add("  " + input.name() + ": " + input.value() + " ("
                    + input.origin().words() + ")");
        }
        lines.add("");
        sized.results().forEach(result -> lines.addAll(SizingPrint.lines(result)));
        lines.addAll(sized.notes());
        lines.add(SizingJson.ADVICE);
        return String.join("\n", lines);
    }

    private void tell(String text) {
        if (out.isPresent()) {
            try {
                Files.writeString(out.get(), text.endsWith("\n") ? text : text + "\n", StandardCharsets.UTF_8);
            } catch (IOException unwritable) {
                throw new UsersFaultException(
                        "-o " + out.get() + ": cannot be written: " + FileFailure.words(unwritable));
            }
        } else {
            PrintWriter to = spec.commandLine().getOut();
            to.println(text);
            to.flush();
        }
    }
}
