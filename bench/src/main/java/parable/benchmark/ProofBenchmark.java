package parable.benchmark;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.proof.Proof;
import parable.starters.Library;

/** All claims of a starter: at any speed, and within the stated times where that is not enough. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 3, time = 3)
@Fork(
        value = 1,
        jvmArgs = {"-Xmx1200m", "-XX:+UseSerialGC"})
public class ProofBenchmark {

    /** The starter. */
    @Param({
        "Wash pump",
        "Press platen",
        "Crusher",
        "Three stations",
        "Compressor",
        "Star-delta dead time",
        "Mill",
        "By controller",
        "Bottle rinser"
    })
    public String starter;

    /** Which times are kept. */
    @Param({"ANY", "WITHIN_TIMES"})
    public Proof.Timing speed;

    private Assembly assembly;

    /** Fits the starter out. */
    @Setup(Level.Trial)
    public void fit() throws Exception {
        assembly = Assembly.of(Library.jobs().stream()
                .flatMap(job -> job.sheet(starter).stream())
                .findFirst()
                .orElseThrow());
    }

    /** Everything that is to be proved. */
    @Benchmark
    public Proof prove() {
        return Proof.of(assembly, speed, Progress.UNWATCHED);
    }
}
