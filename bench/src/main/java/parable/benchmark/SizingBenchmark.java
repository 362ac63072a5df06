package parable.benchmark;

import java.util.ArrayList;
import java.util.List;
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
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.ratings.JobTables;
import parable.ratings.RatingTables;
import parable.sizing.JobSizing;
import parable.sizing.SheetFacts;
import parable.starters.Library;

/** All of a job sized, its circuits known; and what it takes to know them. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 3, time = 3)
@Fork(
        value = 1,
        jvmArgs = {"-Xmx1200m", "-XX:+UseSerialGC"})
public class SizingBenchmark {

    /** The job, by its place in the library: the cider works, the ice house. */
    @Param({"0", "1"})
    public int job;

    private Job sized;
    private List<SheetFacts> facts;

    /** Finds out what the circuits tell. */
    @Setup(Level.Trial)
    public void explore() throws Exception {
        sized = Library.jobs().get(job);
        facts = explored();
    }

    private List<SheetFacts> explored() throws Exception {
        List<SheetFacts> all = new ArrayList<>();
        for (Sheet sheet : sized.sheets()) {
            all.add(SheetFacts.explored(sheet, sized.practice(), JobTables.SHIPPED, Progress.UNWATCHED));
        }
        return all;
    }

    /** The whole job from its nameplates, with all that differs. */
    @Benchmark
    public JobSizing size() {
        return JobSizing.of(sized, facts, RatingTables.of(sized.practice()));
    }

    /** What the circuits tell: tried, and every state explored. */
    @Benchmark
    public List<SheetFacts> know() throws Exception {
        return explored();
    }
}
