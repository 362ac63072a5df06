package parable.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import parable.bench.Bench;
import parable.bench.StoryLine;
import parable.circuit.Job;
import parable.scenario.Outcome;
import parable.scenario.Player;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Plays a script on a sheet and tells the story and which expectations were met. */
@Command(
        name = "simulate",
        description = "Play a scenario script on a sheet; exit code 0 only if every expectation is met.",
        mixinStandardHelpOptions = true)
final class SimulateCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(
            names = "--sheet",
            paramLabel = "NAME",
            description = "the sheet to play it on; need not be said where there is only one")
    private String sheet = "";

    @Option(names = "--script", required = true, paramLabel = "SCRIPT", description = "the scenario script")
    private Path script;

    @Option(names = "--json", description = "print story and expectations as JSON")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Job job = Jobs.open(file);
        Bench bench = Bench.of(Jobs.assembled(job, Jobs.onlySheet(job, sheet)));
        Player player = Jobs.played(script, bench);
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(new SimulationReport(bench.story(), player.outcomes()).json());
        } else {
            bench.story().forEach(line -> out.println(words(line)));
            player.outcomes().forEach(outcome -> out.println(words(outcome)));
        }
        out.flush();
        return player.outcomes().stream().allMatch(Outcome::met) ? 0 : 1;
    }

    private static String words(StoryLine line) {
        return String.format(
                Locale.ROOT,
                "%11.1f ms  %s%s",
                line.time() / 1000.0,
                line.cause().isPresent() ? "  " : "",
                line.text());
    }

    private static String words(Outcome outcome) {
        String place = "line " + outcome.step().line() + ": "
                + outcome.step().expectation().text();
        return outcome.foundInstead()
                .map(found -> "NOT MET  " + place + " (" + found + ")")
                .orElse("met      " + place);
    }
}
