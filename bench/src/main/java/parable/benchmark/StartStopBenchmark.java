package parable.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.AuxCounters;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import parable.bench.Bench;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.scenario.Player;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/** How much faster than real time the wash pump is started and stopped: a cycle is three seconds on the bench. */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class StartStopBenchmark {

    private Assembly washPump;
    private Scenario startAndStop;

    /** What is counted: simulated seconds, and instants at which contacts moved. */
    @State(Scope.Thread)
    @AuxCounters(AuxCounters.Type.OPERATIONS)
    public static class Counted {
        public double simulatedSeconds;
        public long instants;
    }

    /** Reads the example job and its first recipe. */
    @Setup
    public void read() throws IOException, JobFormatException, PartException, ScenarioException {
        Path examples = Path.of(System.getProperty("parable.examples", "examples"));
        washPump = Assembly.of(JobFile.open(examples.resolve("tern-hollow-press-house.parable.json"))
                .sheets()
                .get(0));
        startAndStop = Scenario.read(Files.readString(examples.resolve("wash-pump/01-start-and-stop.scenario")));
    }

    /** One cycle from a sheet at rest, expectations included. */
    @Benchmark
    public List<?> cycle(Counted counted) throws ScenarioException {
        Bench bench = Bench.of(washPump);
        Player player = new Player(bench, startAndStop);
        player.playAll();
        counted.simulatedSeconds += bench.now() / 1e6;
        counted.instants += bench.instants().size();
        return player.outcomes();
    }
}
