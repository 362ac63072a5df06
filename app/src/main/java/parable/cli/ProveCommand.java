package parable.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.EquivalenceText;
import parable.files.ProofText;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.proof.Claim;
import parable.proof.Equivalence;
import parable.proof.FaultRow;
import parable.proof.IdleContacts;
import parable.proof.Progress;
import parable.proof.Proof;
import parable.proof.SingleFaults;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Goes through every reachable state of a sheet. */
@Command(
        name = "prove",
        description = "Go through every reachable state; exit code 0 only if every claim holds.",
        mixinStandardHelpOptions = true)
final class ProveCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(names = "--sheet", paramLabel = "NAME", description = "the sheet; the first, unless said")
    private String sheet = "";

    @Option(names = "--any-speed", description = "keep to no times at all; what then breaks stays unfinished")
    private boolean anySpeed;

    @Option(
            names = "--plain",
            description = "only plain positions, without anything on its way: quick, refutes, proves nothing")
    private boolean plain;

    @Option(names = "--faults", description = "try every single fault as well")
    private boolean faults;

    @Option(
            names = "--equivalent",
            arity = "2",
            paramLabel = "SHEET",
            description = "instead of that, whether these two sheets are the same machine")
    private List<String> equivalent = List.of();

    @Option(names = "--json", description = "print the claims as JSON")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Job job = Jobs.open(file);
        if (!equivalent.isEmpty()) {
            return compare(job);
        }
        Sheet proved = sheet.isEmpty() ? job.sheets().get(0) : Jobs.sheet(job, sheet);
        long begin = System.nanoTime();
        Proof proof = plain
                ? Proof.plain(assembly(proved), Progress.UNWATCHED)
                : Proof.of(assembly(proved), anySpeed ? Proof.Speed.ANY : Proof.Speed.WITHIN_TIMES, Progress.UNWATCHED);
        List<FaultRow> rows = faults ? SingleFaults.of(assembly(proved), Progress.UNWATCHED) : List.of();
        List<String> idle = IdleContacts.of(assembly(proved), rows, Progress.UNWATCHED);
        long millis = (System.nanoTime() - begin) / 1_000_000;
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(ProofText.json(proved.name(), proof, rows, idle, millis));
        } else {
            print(proved.name(), proof, millis, out);
            rows.forEach(row -> print(row, out));
            idle.forEach(contact -> out.println("  " + contact
                    + ": closed or open for good, nothing differs. It is useless, or there for a safety that is not"
                    + " proved."));
        }
        out.flush();
        return proof.complete()
                        && proof.claims().stream()
                                .allMatch(claim -> claim.verdict().holds())
                ? 0
                : 1;
    }

    private int compare(Job job) {
        Assembly one = assembly(Jobs.sheet(job, equivalent.get(0)));
        Assembly other = assembly(Jobs.sheet(job, equivalent.get(1)));
        long begin = System.nanoTime();
        Equivalence found = Equivalence.of(one, other, Progress.UNWATCHED);
        long millis = (System.nanoTime() - begin) / 1_000_000;
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(EquivalenceText.json(equivalent.get(0), equivalent.get(1), found, millis));
        } else {
            out.println(equivalent.get(0) + " and " + equivalent.get(1) + ": "
                    + found.verdict().words() + ", " + found.states() + " pairs of states in " + millis + " ms");
            found.inherent().forEach(sentence -> out.println("  by nature  " + sentence));
            found.difference().ifPresent(difference -> print(difference, out));
        }
        out.flush();
        return found.verdict() == Equivalence.Verdict.EQUIVALENT ? 0 : 1;
    }

    private void print(Equivalence.Difference difference, PrintWriter out) {
        difference.actions().forEach(action -> out.println("  " + action));
        out.println("  " + equivalent.get(0) + ": " + difference.one());
        difference.shownByOne().story().forEach(line -> out.println("      " + line));
        out.println("  " + equivalent.get(1) + ": " + difference.other());
        difference.shownByOther().story().forEach(line -> out.println("      " + line));
    }

    private static Assembly assembly(Sheet sheet) {
        try {
            return Assembly.of(sheet);
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        }
    }

    private static void print(FaultRow row, PrintWriter out) {
        out.println("  " + row.fault().words() + ". " + row.words() + ".  " + row.broken());
    }

    private static void print(String sheet, Proof proof, long millis, PrintWriter out) {
        out.println(sheet + ": " + proof.states() + " states in " + millis + " ms"
                + (proof.complete() ? "" : ", not all of them"));
        for (Claim claim : proof.claims()) {
            out.println("  " + claim.verdict().word() + "  " + claim.text() + "  [" + claim.id() + "]");
            claim.times().forEach(line -> out.println("      " + line));
            claim.story().forEach(line -> out.println("      " + line));
        }
    }
}
