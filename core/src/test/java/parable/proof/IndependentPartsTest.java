package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.Circuit;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;

/** Starters side by side on one supply, with a stop of their own or a common E-stop. */
class IndependentPartsTest {

    /** So many starters; with a common E-stop in front of all of them, or each straight from the line. */
    static Sheet starters(int count, boolean commonStop) {
        List<String> devices = new ArrayList<>(List.of(
                "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}",
                "{\"tag\": \"F1\", \"kind\": \"fuse\", \"rated\": \"25 A\"}"));
        List<String> power = new ArrayList<>(List.of("G1[L] F1[1-2] L", "G1[N] N"));
        List<String> rungs = new ArrayList<>();
        if (commonStop) {
            devices.add("{\"tag\": \"S9\", \"kind\": \"emergency-stop\", \"blocks\": \"11-12 21-22\"}");
            rungs.add("L S9[11-12] @9");
        }
        for (int n = 1; n <= count; n++) {
            devices.add("{\"tag\": \"S" + n + "0\", \"kind\": \"push-button\", \"blocks\": \"11-12\"}");
            devices.add("{\"tag\": \"S" + n + "1\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}");
            devices.add("{\"tag\": \"K" + n
                    + "\", \"kind\": \"contactor\", \"coil\": \"230 V AC\", \"aux\": \"13-14 21-22 33-34\"}");
            devices.add("{\"tag\": \"M" + n
                    + "\", \"kind\": \"single-phase-motor\", \"voltage\": \"230 V AC\", \"power\": \"0.75 kW\"}");
            power.add("L K" + n + "[1-2] @m" + n + " M" + n + "[U1-U2] N");
            String feed = commonStop ? "@9" : "L";
            rungs.add(feed + " S" + n + "0[11-12] @a" + n + " S" + n + "1[13-14] @b" + n + " K" + n + "[A1-A2] N");
            rungs.add("@a" + n + " K" + n + "[13-14] @b" + n);
        }
        return Examples.sheet(String.join(", ", devices), quoted(power), quoted(rungs));
    }

    private static String quoted(List<String> rungs) {
        return rungs.stream().map(rung -> "\"" + rung + "\"").collect(Collectors.joining(", "));
    }

    private static Proof proofOf(Sheet sheet) {
        return Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 8})
    void theCostOfStartersThatShareOnlyTheSupplyAdds(int count) {
        Proof one = proofOf(starters(1, false));
        Proof many = proofOf(starters(count, false));

        assertThat(many.complete()).isTrue();
        assertThat(many.states()).isEqualTo(count * one.states());
        assertThat(many.claims()).allMatch(claim -> claim.verdict().holds());
        assertThat(many.claim("stops:S20")).isPresent();
        assertThat(many.claims()).extracting(Claim::id).doesNotHaveDuplicates();
    }

    /** While the E-stop is closed the node behind it is a rail, and while it is open nothing behind it can feed it. */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4})
    void theCostOfStartersBehindACommonStopAdds(int count) {
        Proof one = proofOf(starters(1, true));
        Proof many = proofOf(starters(count, true));

        assertThat(many.complete()).isTrue();
        assertThat(many.states()).isEqualTo(count * one.states());
        assertThat(many.claim("stops:S9").orElseThrow().verdict()).isEqualTo(Verdict.HOLDS_AT_ANY_SPEED);
        assertThat(many.claims()).allMatch(claim -> claim.verdict().holds());
    }

    /** Where something behind the common stop leads to another rail too, what is behind it is gone through together. */
    @ParameterizedTest
    @ValueSource(strings = {"@a1 K2[21-22] L", "@b1 K1[21-22] @b2", "L K2[21-22] @9", "@b1 S9[21-22] @b2"})
    void whatIsJoinedBehindACommonStopIsNotTakenApart(String bridge) {
        Sheet two = starters(2, true);

        assertThat(IndependentParts.of(Examples.fitted(with(two, bridge)))).hasSize(1);
        assertThat(IndependentParts.of(Examples.fitted(two))).hasSize(2);
    }

    /**
     * Two starters behind a common stop, with a contact of the first anywhere among its points: what holds apart does not fail together, and
     * what holds together holds apart. Together less is decided, for where one chatters nothing comes to rest.
     */
    @Test
    void takenApartOrTogetherTheVerdictsAreTheSame() {
        List<String> points = List.of("L", "N", "@9", "@a1", "@b1");
        Set<String> told = new TreeSet<>();
        for (String from : points) {
            for (String to : points) {
                for (String contact : List.of("K1[21-22]", "K1[33-34]")) {
                    Sheet sheet = with(starters(2, true), from + " " + contact + " " + to);
                    Proof apart = Proof.of(Examples.fitted(sheet), Proof.Timing.ANY, Progress.UNWATCHED);
                    Proof together = Proof.together(Examples.fitted(sheet), Proof.Timing.ANY, Progress.UNWATCHED);
                    for (String id :
                            List.of("no-short", "no-restart", "comes-to-rest", "stops:S9", "dead:M1", "dead:M2")) {
                        Verdict both = together.claim(id).orElseThrow().verdict();
                        boolean holds = apart.claim(id).orElseThrow().verdict().holds();
                        assertThat(holds ? both == Verdict.FAILS : both.holds())
                                .as("%s with %s %s %s: %s, but together %s", id, from, contact, to, holds, both)
                                .isFalse();
                        told.add(id + " " + holds);
                    }
                }
            }
        }
        assertThat(told).contains("stops:S9 false", "stops:S9 true", "no-short false", "no-restart false");
    }

    private static Sheet with(Sheet sheet, String rung) {
        List<Rung> rungs = new ArrayList<>(sheet.control());
        try {
            rungs.add(new RungNotation(Set.of("L", "N")).read(rung));
        } catch (RungSyntaxException broken) {
            throw new AssertionError(broken);
        }
        return sheet.withRungs(Circuit.CONTROL, rungs);
    }

    /** A mistake in one of two circuits is a mistake of the sheet. */
    @Test
    void whatFailsInOneCircuitFails() {
        Sheet two = starters(2, false);
        List<Rung> aroundTheStop = two.control().stream()
                .map(rung -> rung.text().startsWith("@a2 K2") ? first(rung) : rung)
                .toList();
        Proof proof = proofOf(two.withRungs(Circuit.CONTROL, aroundTheStop));

        assertThat(proof.claim("stops:S20").orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
        assertThat(proof.claim("stops:S10").orElseThrow().verdict()).isEqualTo(Verdict.HOLDS_AT_ANY_SPEED);
    }

    /** The seal-in taken from the line instead of behind the stop. */
    private static Rung first(Rung rung) {
        List<RungItem> items = new ArrayList<>(rung.items());
        items.set(0, starters(1, false).control().get(0).items().get(0));
        return new Rung(items, "");
    }

    /** With the time over after some circuits, what would hold of all of them is not said to hold, and what is left out is said. */
    @Test
    void whatWasNotExploredInTimeIsNotSaidToHold() {
        int ofOne = proofOf(starters(1, false)).states();
        Proof proof = Proof.of(Examples.fitted(starters(6, false)), Proof.Timing.ANY, done -> done > ofOne);

        assertThat(proof.complete()).isFalse();
        assertThat(proof.limits())
                .anyMatch(words ->
                        words.startsWith("Of 6 circuits that have nothing to do with each other 2 were explored"));
        assertThat(proof.claims())
                .filteredOn(claim -> !claim.id().contains(":"))
                .isNotEmpty()
                .noneMatch(claim -> claim.verdict().holds());
        assertThat(proof.claims()).anyMatch(claim -> claim.verdict().holds());
    }
}
