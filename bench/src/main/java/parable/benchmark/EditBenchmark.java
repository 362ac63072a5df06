package parable.benchmark;

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
import parable.bench.Bench;
import parable.check.Check;
import parable.check.Finding;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.draw.Mark;
import parable.draw.SheetDrawing;
import parable.files.JobFile;
import parable.parts.Assembly;

/**
 * What the core does for an edit of a large sheet, and to open one: a direct-on-line starter with as many further rungs as are
 * asked for, half of them a start with a coil, half its seal-in.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EditBenchmark {

    /** How many rungs the ladder has. */
    @Param({"200", "1000"})
    public int rungs;

    private Sheet whole;
    private Sheet taken;
    private String file;
    private Assembly assembly;
    private Bench bench;
    private boolean takes;

    /** Draws the sheet. */
    @Setup(Level.Trial)
    public void draw() throws Exception {
        whole = LargeSheet.of(rungs);
        taken = Structure.taken(whole, new Place(Circuit.CONTROL, 5, 1));
        file = JobFile.text(new Job("Large", Practice.IEC, List.of(whole), Extras.NONE));
        assembly = Assembly.of(whole);
        bench = Bench.of(assembly);
    }

    /** A contact is taken away or put back: fitted out, gone on with on the bench, and what a screen shows of it drawn. */
    @Benchmark
    public List<Mark> edit() throws Exception {
        takes = !takes;
        Assembly changed = bench.assembly().on(takes ? taken : whole);
        bench = bench.on(changed, bench.now());
        return LargeSheet.screen(SheetDrawing.of(changed, Practice.IEC));
    }

    /** The rules that read the sheet. */
    @Benchmark
    public List<Finding> read() {
        return Check.reading(assembly, ColourCode.of(Practice.IEC));
    }

    /** The file is read, put on a bench and drawn. */
    @Benchmark
    public List<Mark> open() throws Exception {
        Assembly opened = Assembly.of(JobFile.read(file).sheets().get(0));
        Bench.of(opened);
        return LargeSheet.screen(SheetDrawing.of(opened, Practice.IEC));
    }
}
