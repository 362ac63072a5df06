package parable.benchmark;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
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
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.proof.Proof;

/**
 * How the proof grows with starters that share their supply and an E-stop, which is proved not to join them: direct on line,
 * started and stopped from two stations each, with an overload release.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3)
@Measurement(iterations = 3)
@Fork(value = 1, jvmArgs = "-Xmx3g")
public class GrowthBenchmark {

    /** How many starters. */
    @Param({"1", "2", "3", "4"})
    public int starters;

    private Assembly assembly;

    /** Draws the sheet. */
    @Setup(Level.Trial)
    public void draw() throws Exception {
        List<String> devices = new ArrayList<>(List.of(
                "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}",
                "{\"tag\": \"F1\", \"kind\": \"fuse\", \"rated\": \"10 A\"}",
                "{\"tag\": \"S9\", \"kind\": \"emergency-stop\", \"blocks\": \"11-12\"}"));
        List<String> power = new ArrayList<>(List.of("G1[L] F1[1-2] L", "G1[N] N"));
        List<String> rungs = new ArrayList<>(List.of("L S9[11-12] @9"));
        for (int n = 1; n <= starters; n++) {
            for (String stop : List.of("0", "2")) {
                devices.add(device("S" + n + stop, "push-button", "\"blocks\": \"11-12\""));
            }
            for (String start : List.of("1", "3")) {
                devices.add(device("S" + n + start, "push-button", "\"blocks\": \"13-14\""));
            }
            devices.add(device("F" + n + "2", "overload-relay", "\"setting\": \"3.4 A\""));
            devices.add(device("K" + n, "contactor", "\"coil\": \"230 V AC\", \"aux\": \"13-14\""));
            devices.add(device("M" + n, "single-phase-motor", "\"voltage\": \"230 V AC\", \"power\": \"0.75 kW\""));
            power.add(String.format("L K%1$d[1-2] @m%1$d F%1$d2[1-2] @n%1$d M%1$d[U1-U2] N", n));
            rungs.add(String.format(
                    "@9 F%1$d2[95-96] @f%1$d S%1$d0[11-12] @g%1$d S%1$d2[11-12] @a%1$d S%1$d1[13-14] @b%1$d K%1$d[A1-A2] N",
                    n));
            rungs.add(String.format("@a%1$d S%1$d3[13-14] @b%1$d", n));
            rungs.add(String.format("@a%1$d K%1$d[13-14] @b%1$d", n));
        }
        assembly =
                Assembly.of(JobFile.read("{\"version\": 1, \"name\": \"Growth\", \"practice\": \"IEC\", \"sheets\": [{"
                                + "\"name\": \"Growth\", \"duty\": \"maintained\", \"rails\": {\"L\": \"1\", \"N\": \"2\"},"
                                + " \"devices\": [" + String.join(", ", devices) + "], \"power\": [" + quoted(power)
                                + "], \"rungs\": [" + quoted(rungs) + "]}]}")
                        .sheets()
                        .get(0));
    }

    private static String device(String tag, String kind, String settings) {
        return "{\"tag\": \"" + tag + "\", \"kind\": \"" + kind + "\", " + settings + "}";
    }

    private static String quoted(List<String> rungs) {
        return rungs.stream().map(rung -> "\"" + rung + "\"").collect(Collectors.joining(", "));
    }

    /** All claims at any speed; prints how many states there are. */
    @Benchmark
    public Proof prove() {
        Proof proof = Proof.of(assembly, Proof.Timing.ANY, Progress.UNWATCHED);
        System.out.println(proof.states() + " states, complete: " + proof.complete());
        return proof;
    }

    /** The plain positions, all starters together; prints how many there are. */
    @Benchmark
    public int plain() {
        int positions = Proof.plainPositions(assembly, Progress.UNWATCHED);
        System.out.println(positions + " plain positions");
        return positions;
    }
}
