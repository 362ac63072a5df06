package parable.benchmark;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.concurrent.TimeUnit;
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
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.PartException;

/** How the time for one change of a contact grows with the size of the ladder: three rungs for each starter. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class NetworkBenchmark {

    /** How many rungs the ladder has, about. */
    @Param({"10", "100", "1000"})
    private int rungs;

    private Network network;
    private BitSet closed;
    private BitSet on;
    private int next;

    /** Makes a ladder of start-stop rungs with seal-in and lamp. */
    @Setup
    public void build() throws JobFormatException, PartException {
        List<String> devices = new ArrayList<>(List.of("{\"tag\":\"G1\",\"kind\":\"single-phase-supply\"}"));
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < Math.max(1, rungs / 3); i++) {
            devices.add("{\"tag\":\"S%da\",\"kind\":\"push-button\",\"blocks\":\"11-12\"}".formatted(i));
            devices.add("{\"tag\":\"S%db\",\"kind\":\"push-button\"}".formatted(i));
            devices.add("{\"tag\":\"K%d\",\"kind\":\"contactor\"}".formatted(i));
            devices.add("{\"tag\":\"P%d\",\"kind\":\"pilot-lamp\"}".formatted(i));
            lines.add("\"L S%da[11-12] @a%d S%db[13-14] @b%d K%d[A1-A2] N\"".formatted(i, i, i, i, i));
            lines.add("\"@a%d K%d[13-14] @b%d\"".formatted(i, i, i));
            lines.add("\"@b%d P%d[X1-X2] N\"".formatted(i, i));
        }
        String job = "{\"version\":1,\"name\":\"x\",\"sheets\":[{\"name\":\"x\",\"duty\":\"maintained\","
                + "\"rails\":{\"L\":\"1\",\"N\":\"2\"},\"devices\":[" + String.join(",", devices)
                + "],\"power\":[\"G1[L] L\",\"G1[N] N\"],\"rungs\":[" + String.join(",", lines) + "]}]}";
        network = Network.of(Assembly.of(JobFile.read(job).sheets().get(0)));
        closed = new BitSet();
        on = new BitSet();
        on.set(0, network.sourceCount());
    }

    /** One contact changes, and every voltage is known again. */
    @Benchmark
    public Solution change() {
        next = (next + 7) % network.contactCount();
        closed.flip(next);
        return network.solve(closed, on);
    }
}
