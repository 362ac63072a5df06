package parable.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import parable.check.Check;
import parable.check.Finding;
import parable.circuit.Conventions;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FindingsText;
import parable.files.SheetFindings;
import parable.parts.Assembly;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Tells what the rules find. */
@Command(
        name = "check",
        description = "Tell what the rules find; exit code 0 only if nothing is a danger or an error.",
        mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(names = "--sheet", paramLabel = "NAME", description = "the sheet; all of them, unless said")
    private String sheet = "";

    @Option(
            names = "--seconds",
            paramLabel = "N",
            defaultValue = "60",
            description =
                    "the most time for each sheet in seconds; ${DEFAULT-VALUE}, unless said. What the rules find that only"
                            + " read the sheet is told in any case")
    private double seconds;

    @Option(names = "--json", description = "print the findings as JSON")
    private boolean json;

    private boolean unfinished;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Job job = Jobs.open(file);
        List<Sheet> sheets = sheet.isEmpty() ? job.sheets() : List.of(Jobs.sheet(job, sheet));
        List<SheetFindings> found = sheets.stream()
                .map(one -> new SheetFindings(
                        one,
                        findings(
                                Jobs.assembled(job, one),
                                job.conventions(),
                                spec.commandLine().getErr())))
                .toList();
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(FindingsText.json(found));
        } else {
            found.forEach(one -> print(one, out));
        }
        out.flush();
        boolean wrong = found.stream().flatMap(one -> one.findings().stream()).anyMatch(finding -> finding.severity()
                .isWrong());
        return wrong || unfinished ? 1 : 0;
    }

    private List<Finding> findings(Assembly assembly, Conventions conventions, PrintWriter err) {
        ProofWatch watch = new ProofWatch(assembly.sheet().name(), seconds, err);
        return Check.of(assembly, conventions.colours(), () -> watch.isCancelled(0))
                .orElseGet(() -> {
                    unfinished = true;
                    err.println(assembly.sheet().name() + ": the time of " + seconds
                            + " s was over before all rules had been"
                            + " tried; told is what those find that only read the sheet. --seconds gives more.");
                    err.flush();
                    return Check.reading(assembly, conventions.colours(), watch::isTwiceOver);
                });
    }

    private void print(SheetFindings found, PrintWriter out) {
        out.println(found.sheet().name() + ": "
                + (found.findings().isEmpty()
                        ? "nothing found" + (unfinished ? " in that time" : "")
                        : found.findings().size() + " found"));
        for (Finding finding : found.findings()) {
            out.println("  " + finding.severity().word() + "  " + finding.text() + "  [" + finding.code() + "]");
            out.println("      " + finding.reason());
            found.sheet()
                    .acceptance(finding.code(), finding.where())
                    .ifPresent(accepted -> out.println(
                            "      accepted by " + accepted.by() + " on " + accepted.on() + ": " + accepted.remark()));
        }
    }
}
