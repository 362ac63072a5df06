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
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.draw.Mark;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;

/** Every kind of edit on a sheet of 200 rungs, and its undoing: made, fitted out, gone on with on the bench, and what a screen shows of it drawn. Each single one is timed. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EditKindsBenchmark {

    private static final int RUNGS = 200;
    /** The kind of edit. */
    @Param
    public EditKind kind;

    private Sheet whole;
    private Bench bench;
    private boolean undo;

    /** Draws the sheet. */
    @Setup(Level.Trial)
    public void draw() throws Exception {
        whole = LargeSheet.of(200);
        bench = Bench.of(Assembly.of(whole));
    }

    /** The edit, or its undoing in turn. */
    @Benchmark
    public List<Mark> edit() throws Exception {
        undo = !undo;
        Assembly changed = bench.assembly().on(undo ? kind.on(whole) : whole);
        bench = bench.on(changed, bench.now());
        return LargeSheet.screen(SheetDrawing.of(changed, Practice.IEC));
    }
}
