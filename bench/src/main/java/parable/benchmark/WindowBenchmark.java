package parable.benchmark;

import com.sun.javafx.tk.RenderJob;
import com.sun.javafx.tk.Toolkit;
import com.sun.javafx.tk.quantum.QuantumToolkit;
import java.lang.reflect.Method;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.stage.Stage;
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
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import parable.app.MainWindow;
import parable.app.ParableApp;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;

/**
 * Every kind of edit of a sheet of 200 rungs, and its undoing, in the whole window of 1280 by 800 in the step of drawing while the machine is live: from the
 * edit until its picture has been painted, by the processor alone. Each single one is timed. The refresh is made at once, so that
 * waiting for the screen's next one is no part of the figure; the rules are at work meanwhile, as they are when somebody draws.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 10)
@Measurement(iterations = 4, time = 10)
@Fork(
        value = 1,
        jvmArgsAppend = {
            "-Xmx640m",
            "-XX:+UseSerialGC",
            "-Dglass.platform=Monocle",
            "-Dmonocle.platform=Headless",
            "-Dprism.order=sw",
            "-Djava.awt.headless=true"
        })
public class WindowBenchmark {

    private static final long BETWEEN_EDITS_MILLIS = 150;

    /** The kind of edit. */
    @Param
    public EditKind kind;

    private JobModel jobs;
    private Sheet whole;
    private Sheet edited;
    private boolean undo;
    private Method refresh;

    /** Opens the window. */
    @Setup(Level.Trial)
    public void open() throws Exception {
        whole = LargeSheet.of(200);
        edited = kind.on(whole);
        refresh = QuantumToolkit.class.getDeclaredMethod("pulse");
        refresh.setAccessible(true);
        CountDownLatch shown = new CountDownLatch(1);
        ParableApp.paintFewPixels();
        Platform.startup(() -> {
            ParableApp.prepare();
            jobs = new JobModel(new Job("Large", Practice.IEC, List.of(whole), Extras.NONE), Optional.empty());
            MainWindow window = new MainWindow(jobs, new NoFiles());
            Stage stage = new Stage();
            stage.setScene(window.scene());
            stage.setWidth(1280);
            stage.setHeight(800);
            stage.show();
            window.setDrawing(true);
            shown.countDown();
        });
        shown.await();
    }

    /** Closes it. */
    @TearDown(Level.Trial)
    public void close() {
        Platform.exit();
    }

    /** Lets the rules begin, as they do when a hand has finished an edit. */
    @Setup(Level.Invocation)
    public void pause() throws InterruptedException {
        Thread.sleep(BETWEEN_EDITS_MILLIS);
    }

    /** Lays the window out and has it painted; what is asked of the painter afterwards is done when that is. */
    private void refresh(Runnable then) {
        try {
            refresh.invoke(Toolkit.getToolkit());
        } catch (ReflectiveOperationException broken) {
            throw new IllegalStateException("the toolkit cannot be made to refresh the window", broken);
        }
        Toolkit.getToolkit().addRenderJob(new RenderJob(then));
    }

    /** The edit, or its undoing in turn. */
    @Benchmark
    public void paint() throws InterruptedException {
        undo = !undo;
        Sheet next = undo ? edited : whole;
        CountDownLatch painted = new CountDownLatch(1);
        Platform.runLater(() -> {
            jobs.edit(next);
            refresh(painted::countDown);
        });
        painted.await();
    }

    /** Somebody who never names a file. */
    private record NoFiles() implements FilePrompt {
        @Override
        public Optional<Path> toOpen() {
            return Optional.empty();
        }

        @Override
        public Optional<Path> toSave(String suggestedName) {
            return Optional.empty();
        }

        @Override
        public Optional<Path> toWrite(String what, String suggestedName) {
            return Optional.empty();
        }

        @Override
        public Optional<Path> toRead(String what) {
            return Optional.empty();
        }

        @Override
        public Optional<String> toName(String what, String present) {
            return Optional.empty();
        }
    }
}
