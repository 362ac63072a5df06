package parable.proof;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.Kept;
import parable.Sketches;
import parable.bench.Progress;
import parable.circuit.Sheet;

/** Everything that is claimed of a sheet, with its verdict and its story, as it was kept. */
class KeptClaimsTest {

    private static List<String> written(Sheet sheet) {
        Proof proof = Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);
        List<String> lines = new ArrayList<>();
        for (Claim claim : proof.claims()) {
            lines.add(claim.sort() + " " + claim.id() + " " + claim.verdict() + ": " + claim.text());
            claim.provided().forEach(one -> lines.add("    provided: " + one));
            claim.times().forEach(one -> lines.add("    rests on: " + one));
            claim.story().forEach(one -> lines.add("    " + one));
        }
        lines.add("== Limits");
        lines.addAll(proof.limits());
        lines.add(proof.states() + " states" + (proof.complete() ? "" : ", not all"));
        return lines;
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump",
        "Press platen",
        "Jog relay",
        "Timed brake",
        "Mill start warning",
        "Two-block jog",
        "Missing seal-in",
        "No interlock",
        "Electrical interlock only",
        "Overload not wired in",
        "24 V relay"
    })
    void ofTheLibrary(String name) {
        Kept.assertSame("claims", name, written(Examples.ofLibrary(name)));
    }

    @ParameterizedTest
    @CsvSource({
        "sound, Two-hand start that holds",
        "sound, Fan that runs on",
        "sound, Second motor after the first",
        "sound, Travel between end switches",
        "truth, 1a Off-delay contact across the start",
        "truth, 2b A ring of three",
        "truth, 7b Two supplies without interlock",
        "truth, 13c The trip is passed by a second station",
        "times, Kept apart by a timer alone"
    })
    void ofSketches(String file, String name) {
        Kept.assertSame("claims", name, written(Sketches.sheet(file, name)));
    }
}
