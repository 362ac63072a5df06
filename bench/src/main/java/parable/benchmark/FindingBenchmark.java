package parable.benchmark;

import java.util.List;
import java.util.Optional;
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
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.finding.FaultSearch;
import parable.finding.LookResult;
import parable.finding.Proposal;
import parable.finding.SymptomForm;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.starters.Library;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/** The next look after a symptom: on a panel whose suspects were run ahead, and from nothing. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(
        value = 1,
        jvmArgs = {"-Xmx1200m", "-XX:+UseSerialGC"})
public class FindingBenchmark {

    /** The sheet of the library. */
    @Param({"Two-wire", "Wash pump", "Mill", "Press platen", "Juice separator", "Bottle rinser"})
    public String sheet;

    private Assembly assembly;
    private RatingTables tables;
    private FaultSearch prepared;
    private LookResult symptom;

    /** Runs the suspects ahead, and takes for a symptom that nothing moves after the first start. */
    @Setup(Level.Trial)
    public void prepare() throws Exception {
        Job job = Library.jobs().stream()
                .filter(one -> one.sheet(sheet).isPresent())
                .findFirst()
                .orElseThrow();
        Sheet drawn = job.sheet(sheet).orElseThrow();
        assembly = Assembly.of(drawn);
        tables = RatingTables.of(job.practice());
        prepared = begun();
        prepared.prepare(List.of(), () -> true);
        symptom = symptom(prepared);
    }

    private FaultSearch begun() {
        return FaultSearch.of(assembly, tables, FaultSearch.Knowledge.NONE);
    }

    /** What the likeliest suspect shows that a sound machine does not. */
    private LookResult symptom(FaultSearch search) {
        StepRehearsal sound = new StepRehearsal(assembly, List.of());
        StepRehearsal faulty =
                new StepRehearsal(assembly, search.ranked().get(0).suspect().faults());
        for (Situation situation : search.situations()) {
            SymptomForm form = SymptomForm.of(assembly, situation);
            LookResult seen = form.seen(faulty);
            if (!seen.equals(form.seen(sound))) {
                return seen;
            }
        }
        throw new IllegalStateException(sheet + ": found no symptom, expected one");
    }

    /** From the symptom to the next look, the suspects run before. */
    @Benchmark
    public Optional<Proposal> nextPrepared() {
        return prepared.with(symptom).next();
    }

    /** From nothing to the next look. */
    @Benchmark
    public Optional<Proposal> nextFromNothing() {
        return begun().with(symptom).next();
    }
}
