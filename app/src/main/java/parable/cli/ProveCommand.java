package parable.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import parable.bench.Progress;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.EquivalenceText;
import parable.files.ProofText;
import parable.parts.Assembly;
import parable.proof.Claim;
import parable.proof.Equivalence;
import parable.proof.FaultRow;
import parable.proof.IdleContacts;
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

    @Option(names = "--sheet", paramLabel = "NAME", description = "the sheet; all of them, unless said")
    private String sheet = "";

    @Option(
            names = "--seconds",
            paramLabel = "N",
            defaultValue = "60",
            description =
                    "the most time for each sheet in seconds, and as much again for its faults; ${DEFAULT-VALUE}, unless"
                            + " said. What is not decided by then is told as not finished")
    private double seconds;

    @Option(
            names = "--memory",
            paramLabel = "MB",
            defaultValue = "640",
            description =
                    "about the most memory for the states of a sheet in megabytes; ${DEFAULT-VALUE}, unless said, which is"
                            + " ten million states")
    private int megabytes;

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
        if (seconds <= 0 || megabytes < 1) {
            throw new UsersFaultException("--seconds and --memory: found " + seconds + " and " + megabytes
                    + ", expected more than 0 seconds and at least 1 MB");
        }
        List<Sheet> sheets = sheet.isEmpty() ? job.sheets() : List.of(Jobs.sheet(job, sheet));
        List<ObjectNode> told = new ArrayList<>();
        boolean holds = true;
        for (Sheet one : sheets) {
            holds &= prove(Jobs.assembled(job, one), told);
        }
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(ProofText.json(told));
        }
        out.flush();
        return holds ? 0 : 1;
    }

    /** Proves a sheet and tells of it; returns whether everything was explored and holds. */
    private boolean prove(Assembly proved, List<ObjectNode> told) {
        PrintWriter err = spec.commandLine().getErr();
        ProofWatch watch = new ProofWatch(proved.sheet().name(), seconds, err);
        Proof proof = proof(proved, watch);
        ProofWatch further = new ProofWatch(proved.sheet().name() + ", faults", seconds, err);
        List<FaultRow> rows = faults ? SingleFaults.of(proved, further) : List.of();
        List<String> idle = IdleContacts.of(proved, rows, further);
        boolean ended = watch.isOver() || further.isOver();
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            told.add(ProofText.json(proved.sheet().name(), proof, rows, idle, watch.millis()));
        } else {
            print(proved.sheet().name(), proof, watch.millis(), out);
            rows.forEach(row -> print(row, out));
            idle.forEach(contact -> out.println("  " + contact
                    + ": closed or open for good, nothing differs. It is useless, or there for a safety that is not"
                    + " proved."));
            if (ended) {
                out.println("  The time of " + seconds
                        + " s was over before everything was decided; --seconds gives more.");
            }
        }
        return !ended
                && proof.complete()
                && proof.claims().stream().allMatch(claim -> claim.verdict().holds());
    }

    private Proof proof(Assembly assembly, ProofWatch watch) {
        if (plain) {
            return Proof.plain(assembly, watch);
        }
        long most = megabytes * 1_000_000L / Proof.BYTES_PER_STATE;
        Proof.Timing speed = anySpeed ? Proof.Timing.ANY : Proof.Timing.WITHIN_TIMES;
        return Proof.of(assembly, speed, (int) Math.min(Integer.MAX_VALUE / 4, most), watch);
    }

    private int compare(Job job) {
        Assembly one = Jobs.assembled(job, Jobs.sheet(job, equivalent.get(0)));
        Assembly other = Jobs.assembled(job, Jobs.sheet(job, equivalent.get(1)));
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
        return found.verdict() == Equivalence.Answer.EQUIVALENT ? 0 : 1;
    }

    private void print(Equivalence.Difference difference, PrintWriter out) {
        difference.actions().forEach(action -> out.println("  " + action));
        out.println("  " + equivalent.get(0) + ": " + difference.one());
        difference.shownByOne().story().forEach(line -> out.println("      " + line));
        out.println("  " + equivalent.get(1) + ": " + difference.other());
        difference.shownByOther().story().forEach(line -> out.println("      " + line));
    }

    private static void print(FaultRow row, PrintWriter out) {
        out.println("  " + row.fault().words() + ". " + row.words() + ".  " + row.broken());
    }

    private static void print(String sheet, Proof proof, long millis, PrintWriter out) {
        out.println(sheet + ": " + proof.states() + " states in " + millis + " ms"
                + (proof.complete() ? "" : ", not all of them"));
        for (Claim.Sort sort : Claim.Sort.values()) {
            List<Claim> claims = proof.claims().stream()
                    .filter(claim -> claim.sort() == sort)
                    .toList();
            if (!claims.isEmpty()) {
                out.println(" " + sort.heading());
                claims.forEach(claim -> print(claim, out));
            }
        }
        if (!proof.limits().isEmpty()) {
            out.println(" What the proof leaves out");
            proof.limits().forEach(line -> out.println("  " + line));
        }
    }

    private static void print(Claim claim, PrintWriter out) {
        out.println("  " + claim.verdictWords() + ": " + claim.text() + "  [" + claim.id() + "]");
        claim.times().forEach(line -> out.println("      " + line));
        claim.story().forEach(line -> out.println("      " + line));
    }
}
