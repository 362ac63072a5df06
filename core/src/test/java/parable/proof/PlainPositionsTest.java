package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.reach.ExplorerTest;

/** What is refuted when contactors and buttons are at rest or over and nowhere between. */
class PlainPositionsTest {

    private static final Progress NOT_FAR = states -> states > 20_000;

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void everythingThatMovesDoublesThem(int starters) {
        Assembly assembly = Examples.fitted(IndependentPartsTest.starters(starters, true));

        int supplyAndStop = 2;
        int ofEachStarter = 3;
        assertThat(Proof.plainPositions(assembly, Progress.UNWATCHED))
                .isEqualTo(1 << supplyAndStop + ofEachStarter * starters);
    }

    @Test
    void whatStopsOneStarterNeedNotStopAnother() {
        Proof plain = Proof.plain(Examples.fitted(IndependentPartsTest.starters(3, true)), Progress.UNWATCHED);

        assertThat(plain.complete()).isTrue();
        assertThat(plain.claim("stops:S20")).isPresent();
        assertThat(plain.claims()).noneMatch(claim -> claim.verdict() == Verdict.FAILS);
    }

    @Test
    void theyNeverProveAnything() {
        assertThat(Proof.plain(Examples.fitted(Examples.washPump()), Progress.UNWATCHED)
                        .claims())
                .isNotEmpty()
                .allMatch(claim -> claim.verdict() == Verdict.UNFINISHED);
    }

    @Test
    void whatTheyRefuteIsRefutedWithEverythingUnderWayToo() {
        int refuted = 0;
        for (int seed = 0; refuted < 15; seed++) {
            Assembly assembly = Examples.fitted(ExplorerTest.circuit(new Random(seed)));
            List<Claim> failing = Proof.plain(assembly, Progress.UNWATCHED).claims().stream()
                    .filter(claim -> claim.verdict() == Verdict.FAILS)
                    .toList();
            if (!failing.isEmpty()) {
                refuted += failing.size();
                Proof whole = Proof.together(assembly, Proof.Timing.ANY, Progress.UNWATCHED);
                assertThat(failing)
                        .extracting(
                                claim -> whole.claim(claim.id()).orElseThrow().verdict())
                        .as("seed %s", seed)
                        .noneMatch(Verdict::holds);
            }
        }
    }

    @Test
    void theyReachWhatIsTooFarForTheWholeSearch() {
        Assembly assembly = Examples.fitted(shortBehindSix());
        Explorer notFar = new Explorer(CircuitMachine.untimed(assembly, List.of()), NOT_FAR);
        notFar.explore();
        assertThat(notFar.firstShort()).isEmpty();

        Proof whole = Proof.of(assembly, Proof.Timing.WITHIN_TIMES, NOT_FAR);

        assertThat(whole.complete()).isFalse();
        assertThat(whole.states()).isLessThan(40_000);
        assertThat(whole.claim("no-short").orElseThrow()).satisfies(claim -> {
            assertThat(claim.verdict()).isEqualTo(Verdict.FAILS);
            assertThat(claim.story()).anyMatch(line -> line.contains("S6"));
            assertThat(claim.refutation()).isPresent();
        });
    }

    /** Six relays, each started once the one before is in; the contact of the last joins line and return. */
    private static Sheet shortBehindSix() {
        List<String> devices = new ArrayList<>(
                List.of("{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}"));
        List<String> rungs = new ArrayList<>();
        for (int n = 1; n <= 6; n++) {
            devices.add("{\"tag\": \"S" + n + "\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}");
            devices.add("{\"tag\": \"K" + n
                    + "\", \"kind\": \"contactor\", \"coil\": \"230 V AC\", \"aux\": \"13-14 23-24\"}");
            rungs.add((n == 1 ? "L" : "L K" + (n - 1) + "[23-24] @a" + n) + " S" + n + "[13-14] @b" + n + " K" + n
                    + "[A1-A2] N");
            rungs.add((n == 1 ? "L" : "@a" + n) + " K" + n + "[13-14] @b" + n);
        }
        rungs.add("L K6[23-24] N");
        return Examples.sheet(
                String.join(", ", devices),
                "\"G1[L] L\", \"G1[N] N\"",
                rungs.stream().map(rung -> "\"" + rung + "\"").collect(Collectors.joining(", ")));
    }
}
