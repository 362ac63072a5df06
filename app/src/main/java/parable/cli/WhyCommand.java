package parable.cli;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import parable.bench.Bench;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.reason.Why;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Tells why a device is on or off at the end of a script. */
@Command(
        name = "why",
        description = {
            "Play a script on a sheet and tell why a device is on or off at its end: the way of the current, or what is open in it.",
            "Exit code 0; 2 if a file, a sheet or a device makes no sense."
        },
        mixinStandardHelpOptions = true)
final class WhyCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(
            names = "--sheet",
            paramLabel = "NAME",
            description = "the sheet to play it on; need not be said where there is only one")
    private String sheet = "";

    @Option(names = "--script", required = true, paramLabel = "SCRIPT", description = "what is done first")
    private Path script;

    @Option(names = "--of", required = true, paramLabel = "TAG", description = "the device that is asked about")
    private String tag;

    @Option(names = "--json", description = "print the answer as JSON")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Job job = Jobs.open(file);
        Sheet asked = Jobs.onlySheet(job, sheet);
        Bench bench = Bench.of(Jobs.assembled(job, asked));
        if (bench.assembly().part(tag).isEmpty()) {
            throw new UsersFaultException("--of: found " + tag + ", expected a device of " + asked.name());
        }
        Jobs.played(script, bench);
        Why why = new Why(bench.moment());
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            ObjectNode answer = JsonNodeFactory.instance.objectNode();
            answer.put("sheet", asked.name());
            answer.put("of", tag);
            answer.put("ms", bench.now() / 1000.0);
            answer.put("condition", bench.moment().condition(tag).word());
            answer.put("why", why.of(tag));
            why.way(tag).forEach(answer.putArray("way")::add);
            out.println(answer.toPrettyString());
        } else {
            out.println(why.of(tag));
        }
        out.flush();
        return 0;
    }
}
