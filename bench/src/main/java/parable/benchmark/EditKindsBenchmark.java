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
import parable.bench.Bench;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.circuit.WireNumbers;
import parable.drafting.Inversion;
import parable.drafting.NewDevice;
import parable.drafting.TypedRung;
import parable.draw.Drawing;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;

/** Every kind of edit on a sheet of 200 rungs, and its undoing: made, fitted out, gone on with on the bench, drawn. Each single one is timed. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EditKindsBenchmark {

    private static final int RUNGS = 200;
    private static final String VOLTS = "230 V AC";

    /** What is done to the sheet. */
    public enum Kind {
        /** A contact before the first coil. */
        IN_SERIES,
        /** A contact around the first start. */
        PARALLEL,
        /** A contact in the middle of the ladder taken away. */
        TAKE,
        /** An open contact for a closed one. */
        EXCHANGE,
        /** A new rung, typed, on top of all others. */
        NEW_RUNG,
        /** A rung in the middle taken away. */
        TAKE_RUNG,
        /** The first rung moved to the end. */
        MOVE_RUNG,
        /** A contactor renamed wherever it stands. */
        RENAME,
        /** All wires numbered in order. */
        RENUMBER,
        /** A contactor listed, not yet wired. */
        NEW_DEVICE
    }

    /** The kind of edit. */
    @Param
    public Kind kind;

    private Sheet whole;
    private Bench bench;
    private boolean undo;

    /** Draws the sheet. */
    @Setup(Level.Trial)
    public void draw() throws Exception {
        whole = LargeSheet.of(RUNGS);
        bench = Bench.of(Assembly.of(whole));
    }

    private Sheet edited() throws Exception {
        Place start = new Place(Circuit.CONTROL, 0, 9);
        Place middle = new Place(Circuit.CONTROL, RUNGS / 2, 1);
        return switch (kind) {
            case IN_SERIES -> Structure.inSeries(whole, start, false, Structure.passageAt(whole, middle));
            case PARALLEL -> Structure.around(whole, start, start.item(), Structure.passageAt(whole, middle));
            case TAKE -> Structure.taken(whole, middle);
            case EXCHANGE -> Inversion.at(whole, middle, VOLTS);
            case NEW_RUNG -> {
                TypedRung typed = TypedRung.read("L /S0 S1 @99999 (K1000) N ; typed", whole, VOLTS);
                yield new Edit.InsertRung(Circuit.CONTROL, 0, typed.rung()).on(typed.sheet());
            }
            case TAKE_RUNG -> new Edit.TakeRung(Circuit.CONTROL, RUNGS / 2).on(whole);
            case MOVE_RUNG -> Structure.rungMoved(whole, Circuit.CONTROL, 0, RUNGS - 1);
            case RENAME -> Structure.renamed(whole, "K1", "K999");
            case RENUMBER -> WireNumbers.changed(whole, WireNumbers.inOrder(whole));
            case NEW_DEVICE -> NewDevice.on(whole, "contactor", VOLTS, Practice.IEC);
        };
    }

    /** The edit, or its undoing in turn. */
    @Benchmark
    public Drawing edit() throws Exception {
        undo = !undo;
        Assembly changed = bench.assembly().on(undo ? edited() : whole);
        bench = bench.on(changed, bench.now());
        return SheetDrawing.of(changed, Practice.IEC);
    }
}
