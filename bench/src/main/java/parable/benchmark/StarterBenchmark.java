package parable.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.openjdk.jmh.annotations.AuxCounters;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import parable.bench.Bench;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.scenario.Outcome;
import parable.scenario.Player;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/** How much faster than real time each example starter runs its first scenario, from a sheet at rest. */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 8, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class StarterBenchmark {

    /** The starter, as job and sheet. */
    @Param({
        "tern-hollow-press-house/Wash pump",
        "tern-hollow-press-house/Mill",
        "tern-hollow-press-house/Press platen",
        "tern-hollow-press-house/Pomace auger",
        "tern-hollow-press-house/Mill start warning",
        "tern-hollow-press-house/Juice separator",
        "pike-landing-ice-house/Glycol pump",
        "pike-landing-ice-house/Crusher",
        "pike-landing-ice-house/Ice auger",
        "pike-landing-ice-house/Compressor",
        "pike-landing-ice-house/Fan",
        "tern-hollow-direct-starters/Two-wire",
        "tern-hollow-direct-starters/Hand off auto",
        "tern-hollow-direct-starters/Breaker auxiliary",
        "tern-hollow-direct-starters/Overload contact last",
        "tern-hollow-direct-starters/Transformer",
        "tern-hollow-direct-starters/24 V DC",
        "tern-hollow-direct-starters/24 V relay",
        "tern-hollow-direct-starters/Three stations",
        "tern-hollow-direct-starters/Jog relay",
        "tern-hollow-direct-starters/Warning at start",
        "tern-hollow-direct-starters/Timed brake",
        "tern-hollow-further-starters/Travel turned round",
        "tern-hollow-further-starters/Direct change",
        "tern-hollow-further-starters/Direction selector",
        "tern-hollow-further-starters/Star-delta direct",
        "tern-hollow-further-starters/Star-delta dead time",
        "tern-hollow-further-starters/Jog both ways",
        "tern-hollow-further-starters/Drum switch",
        "tern-hollow-further-starters/Single-phase drum",
        "tern-hollow-further-starters/DC drum"
    })
    private String starter;

    private Assembly assembly;
    private Scenario scenario;

    /** What is counted: simulated seconds, and instants at which something changed. */
    @State(Scope.Thread)
    @AuxCounters(AuxCounters.Type.OPERATIONS)
    public static class Counted {
        public double simulatedSeconds;
        public long instants;
    }

    /** Reads the starter and its first scenario. */
    @Setup
    public void read() throws IOException, JobFormatException, PartException, ScenarioException {
        Path examples = Path.of(System.getProperty("parable.examples", "examples"));
        String[] names = starter.split("/");
        Sheet sheet = JobFile.open(examples.resolve(names[0] + JobFile.ENDING))
                .sheet(names[1])
                .orElseThrow();
        assembly = Assembly.of(sheet);
        Path folder = examples.resolve(names[1].toLowerCase(Locale.ROOT).replace(' ', '-'));
        try (Stream<Path> scripts = Files.list(folder)) {
            scenario =
                    Scenario.read(Files.readString(scripts.sorted().findFirst().orElseThrow()));
        }
    }

    /** One run of the scenario, compiling the sheet included. */
    @Benchmark
    public List<Outcome> run(Counted counted) throws ScenarioException {
        Bench bench = Bench.of(assembly);
        Player player = new Player(bench, scenario);
        player.playAll();
        counted.simulatedSeconds += bench.now() / 1e6;
        counted.instants += bench.instants().size();
        return player.outcomes();
    }
}
