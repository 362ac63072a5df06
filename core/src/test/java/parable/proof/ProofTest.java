package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.Sketches;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.bench.Progress;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.TimeRange;
import parable.parts.Travel;
import parable.parts.Verb;
import parable.scenario.Player;
import parable.scenario.ScenarioException;
import parable.starters.ControlSupply;
import parable.starters.Library;
import parable.starters.MotorData;
import parable.starters.Running;
import parable.starters.Starter;
import parable.starters.Wish;
import parable.timing.Refutation;

class ProofTest {

    private static final String BAD = "Tern Hollow bad examples";
    private static final Set<Condition> DRIVEN =
            Set.of(Condition.FORWARD, Condition.REVERSE, Condition.SINGLE_PHASED, Condition.LOCKED);

    static Stream<Sheet> goodSheets() {
        return Library.jobs().stream().filter(job -> !job.name().equals(BAD)).flatMap(job -> job.sheets().stream());
    }

    static Stream<Sheet> someGoodSheets() {
        return Share.oneIn(2, goodSheets());
    }

    private static Proof proofOf(Sheet sheet) {
        return Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);
    }

    private static Verdict verdict(String sheet, String claim) {
        return proofOf(Examples.ofLibrary(sheet)).claim(claim).orElseThrow().verdict();
    }

    @ParameterizedTest
    @MethodSource("goodSheets")
    void nothingOfTheLibraryFailsAndAlmostNothingRestsOnTimes(Sheet sheet) {
        Proof proof = proofOf(sheet);

        assertThat(proof.complete()).isTrue();
        assertThat(proof.limits()).isNotEmpty();
        assertThat(proof.claims()).allSatisfy(claim -> {
            assertThat(claim.verdict()).as(claim.id()).isIn(Verdict.HOLDS_AT_ANY_SPEED, Verdict.HOLDS_WITHIN_TIMES);
            assertThat(claim.times().isEmpty()).as(claim.id()).isEqualTo(claim.verdict() == Verdict.HOLDS_AT_ANY_SPEED);
            assertThat(claim.story()).as(claim.id()).isEmpty();
            boolean tellsTimes = claim.id().matches("(finger|sequence|warned|brake):.*");
            boolean starDelta = sheet.device("KY").or(() -> sheet.device("2M")).isPresent()
                    && claim.id().matches("(held|certain):.*");
            boolean program =
                    sheet.program().isPresent() && claim.id().matches("comes-to-rest|(held|certain|while):.*");
            if (!tellsTimes && !starDelta && !program) {
                assertThat(claim.verdict()).as(claim.id()).isEqualTo(Verdict.HOLDS_AT_ANY_SPEED);
            }
        });
    }

    @ParameterizedTest
    @CsvSource({
        "No interlock, no-short, FAILS",
        "Electrical interlock only, no-short, FAILS",
        "Press platen, no-short, HOLDS_AT_ANY_SPEED",
        "Direct change, no-short, HOLDS_AT_ANY_SPEED",
        "Stops in parallel, stops:S0, FAILS",
        "Stops in parallel, stops:F2, HOLDS_AT_ANY_SPEED",
        "Overload not wired in, stops:F2, FAILS",
        "Delta lead on the line side, no-short, FAILS",
        "Supplies joined, no-short, FAILS",
        "Two-block jog, certain:S3, FAILS",
        "Pomace auger, certain:S1, HOLDS_AT_ANY_SPEED",
        "Mill, no-short, HOLDS_AT_ANY_SPEED",
        "Star-delta direct, no-short, HOLDS_AT_ANY_SPEED",
        "Star-delta dead time, certain:S1, HOLDS_AT_ANY_SPEED"
    })
    void verdicts(String sheet, String claim, Verdict expected) {
        assertThat(verdict(sheet, claim)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Press platen | certain:S1 | M1 runs forward, K1 is in, P1 is on",
                "Press platen | certain:S2 | M1 runs in reverse, K2 is in, P2 is on",
                "Press platen | while:S1:S2 | M1 runs forward, K1 is in, P1 is on",
                "Press platen | while:S1:S7 | no motor runs",
                "Press platen | never-together:K1:K2 | K1 and K2 are never in together",
                "Press platen | signal:P1 | P1 is on exactly when K1 is in",
                "Direct change | while:S1:S2 | M1 runs in reverse",
                "Mill | certain:S1 | M1 runs forward, KM and KD are in, P1 is on",
                "Mill | signal:P2 | P2 is on exactly when F2 has tripped",
                "Pomace auger | no-restart | no motor gets current, not even in passing, because a supply or breaker comes back",
                "Fan | comes-to-rest | Nothing chatters",
                "Double swap | certain:S2 | M1 runs forward"
            })
    void whatTheCircuitClaimsOfItself(String sheet, String id, String words) {
        Claim claim = proofOf(Examples.ofLibrary(sheet)).claim(id).orElseThrow();

        assertThat(claim.text()).contains(words);
        assertThat(claim.verdict().holds()).isTrue();
    }

    /** Two-wire control restarts by its nature: declared it raises no claim, undeclared it fails. */
    @Test
    void aRestartThatIsNotDeclaredFails() {
        Sheet seal = Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
                {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
                {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "13-14"},
                {"tag": "M1", "kind": "single-phase-motor", "voltage": "230 V AC", "power": "0.75 kW"}
                """,
                "\"G1[L] L K1[1-2] M1[U1-U2] N\", \"G1[N] N\"",
                "\"L S0[11-12] K1[A1-A2] N\"");

        assertThat(proofOf(Examples.ofLibrary("Two-wire")).claim("no-restart")).isEmpty();
        assertThat(proofOf(seal).claim("no-restart").orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    }

    @Test
    void aCoilThroughItsOwnClosedContactChatters() {
        Sheet chatters = Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
                {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
                {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
                {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "21-22"},
                {"tag": "M1", "kind": "single-phase-motor", "voltage": "230 V AC", "power": "0.75 kW"}
                """,
                "\"G1[L] L K1[1-2] M1[U1-U2] N\", \"G1[N] N\"",
                "\"L S0[11-12] S1[13-14] K1[21-22] K1[A1-A2] N\"");
        Proof proof = proofOf(chatters);

        assertThat(proof.claim("comes-to-rest").orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
        assertThat(List.of("stops:S0", "dead:M1", "held:S1", "certain:S1"))
                .allSatisfy(id -> assertThat(proof.claim(id).orElseThrow().verdict())
                        .as(id)
                        .isEqualTo(Verdict.UNFINISHED));
    }

    /** The momentum of an armature: both coils fed in one instant, each opens the other's feed, and both arrive. */
    @Test
    void theElectricalInterlockAloneIsRefutedByTwoButtonsInOneInstant() {
        Claim claim = proofOf(Examples.ofLibrary("Electrical interlock only"))
                .claim("no-short")
                .orElseThrow();

        assertThat(claim.story()).anyMatch(line -> line.contains("S1 (Forward) pressed"));
        assertThat(claim.story()).anyMatch(line -> line.contains("S2 (Reverse) pressed"));
        assertThat(claim.story().get(claim.story().size() - 1)).contains("short circuit");
    }

    /** The release race: the closed block makes before the contactor has let go of its own contact. */
    @Test
    void theTwoBlockJogIsRefutedByItsReleaseRace() {
        Claim claim =
                proofOf(Examples.ofLibrary("Two-block jog")).claim("certain:S3").orElseThrow();

        List<String> story = claim.story();
        int released = indexOf(story, "S3 (Jog) released");
        int closed = indexOf(story, "S3 11-12 closes");
        int dropped = indexOf(story, "K1 drops out");
        assertThat(released).isPositive();
        assertThat(closed).isGreaterThan(released);
        assertThat(dropped < 0 || closed < dropped).isTrue();
    }

    private static int indexOf(List<String> story, String words) {
        return IntStream.range(0, story.size())
                .filter(i -> story.get(i).contains(words))
                .findFirst()
                .orElse(-1);
    }

    @Test
    void starDeltaRestsOnTheTimesOfStarAndDeltaAndFailsWithoutItsCrossContacts() throws EditException {
        Wish plain = Wish.of("Mill", Practice.IEC, MotorData.on400V("Apple mill", "mill floor", "18.5 kW"))
                .with(ControlSupply.LINE_TO_NEUTRAL)
                .with(Running.STAR_DELTA_BY_STAR);
        Sheet mill = Examples.without(Starter.of(plain).sheet(), "X1");
        assertThat(proofOf(mill).claim("no-short").orElseThrow().times())
                .hasSizeLessThan(4)
                .anyMatch(words -> words.startsWith("KY "))
                .anyMatch(words -> words.startsWith("KD "));

        Sheet without = taken(taken(mill, "KD[21-22]"), "KY[21-22]");
        Claim claim = proofOf(without).claim("no-short").orElseThrow();
        assertThat(claim.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(claim.story().get(claim.story().size() - 1)).contains("short circuit");
    }

    /** A sheet without one contact, the gap closed. */
    private static Sheet taken(Sheet sheet, String item) throws EditException {
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            List<RungItem> items = sheet.control().get(rung).items();
            for (int i = 0; i < items.size(); i++) {
                if (items.get(i).text().equals(item)) {
                    return Structure.taken(sheet, new Place(Circuit.CONTROL, rung, i));
                }
            }
        }
        throw new IllegalArgumentException(sheet.name() + " has no " + item);
    }

    /** Two contactors that only a timer keeps apart: the first is out within 15 ms, and the second in no sooner than its own time. */
    @ParameterizedTest
    @CsvSource({"16, HOLDS_WITHIN_TIMES", "10, FAILS"})
    void aMarginOfOneMillisecondIsEnough(long soonest, Verdict expected) {
        TimeRange in = new TimeRange(soonest * 1000, soonest * 1000, 35_000);
        TimeRange opens = new TimeRange(5_000, 8_000, 10_000);
        Assembly assembly = Examples.fitted(Sketches.sheet("times", "Kept apart by a timer alone"));
        Travel travel = assembly.part("K2").orElseThrow().travel();
        Assembly timed = assembly.timed(Map.of("K2", new Travel(opens, in, travel.breakBack(), travel.makeBack())));

        Claim claim = Proof.of(timed, Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED)
                .claim("never-together:K1:K2")
                .orElseThrow();

        assertThat(claim.verdict()).as(claim.story().toString()).isEqualTo(expected);
    }

    @Test
    void anySpeedAloneLeavesOpenWhatRestsOnTimes() {
        Sheet mill = Examples.without(Examples.ofLibrary("Mill"), "X1");
        Proof proof = Proof.of(Examples.fitted(mill), Proof.Timing.ANY, Progress.UNWATCHED);

        assertThat(proof.complete()).isTrue();
        assertThat(proof.claim("no-short").orElseThrow().verdict()).isEqualTo(Verdict.UNFINISHED);
        assertThat(proof.claim("no-short").orElseThrow().story()).isNotEmpty();
    }

    /** What never comes to rest must not pass because no state of rest was found. */
    @Test
    void aFlasherKeepsNoClaimFromBeingDecided() {
        String flasher = "{\"tag\": \"KT\", \"kind\": \"timer\", \"function\": \"flasher\", \"coil\": \"230 V AC\"},";
        String pump =
                """
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
                {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
                {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
                {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "13-14"},
                {"tag": "P1", "kind": "pilot-lamp", "lamp": "230 V AC"},
                {"tag": "M1", "kind": "single-phase-motor", "voltage": "230 V AC", "power": "0.75 kW"}
                """;
        String power = "\"G1[L] L K1[1-2] M1[U1-U2] N\", \"G1[N] N\"";
        String blinks = "\"L KT[A1-A2] N\", \"L KT[15-18] @9 P1[X1-X2] N\",";

        Proof sound = proofOf(Examples.sheet(
                flasher + pump, power, blinks + "\"L S0[11-12] @5 S1[13-14] @6 K1[A1-A2] N\", \"@5 K1[13-14] @6\""));
        Proof around = proofOf(Examples.sheet(
                flasher + pump,
                power,
                "\"L KT[A1-A2] N\", \"L S0[11-12] @5 S1[13-14] @6 K1[A1-A2] N\", \"L KT[15-18] @6\""));

        assertThat(List.of("stops:S0", "no-restart", "comes-to-rest", "dead:M1"))
                .allSatisfy(id -> assertThat(sound.claim(id).orElseThrow().verdict())
                        .as(id)
                        .isEqualTo(Verdict.HOLDS_AT_ANY_SPEED));
        assertThat(around.claim("stops:S0").orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    }

    /** Every failing story is a script that brings a fresh bench to the broken instant. */
    @ParameterizedTest
    @CsvSource({
        "No interlock",
        "Electrical interlock only",
        "Stops in parallel",
        "Overload not wired in",
        "Supplies joined",
        "Two-block jog"
    })
    void whatFailsCanBeReplayed(String name) throws ScenarioException {
        List<Claim> failing = proofOf(Examples.ofLibrary(name)).claims().stream()
                .filter(claim -> claim.verdict() == Verdict.FAILS)
                .toList();

        assertThat(failing).isNotEmpty();
        for (Claim claim : failing) {
            Refutation refutation = claim.refutation().orElseThrow();
            Bench bench = Bench.of(Examples.fitted(Examples.ofLibrary(name)), refutation.pace());
            new Player(bench, refutation.script()).playUntil(refutation.instant());
            if (claim.id().equals("no-short")) {
                assertThat(bench.moment().shorted()).isTrue();
            } else if (claim.id().matches("stops:.*")) {
                assertThat(bench.moment().condition("M1")).isIn(DRIVEN);
            }
            assertThat(refutation.story()).isEqualTo(claim.story());
        }
    }

    @Test
    void cancelledItSaysThatItIsNotFinished() {
        Proof proof = Proof.of(
                Examples.fitted(Examples.ofLibrary("Star-delta dead time")), Proof.Timing.WITHIN_TIMES, done -> true);

        assertThat(proof.complete()).isFalse();
        assertThat(proof.claims()).noneMatch(claim -> claim.verdict() == Verdict.HOLDS_AT_ANY_SPEED);
    }

    /** The bench, an independent machine with real times, never shows what a claim that holds forbids. */
    @ParameterizedTest
    @MethodSource("someGoodSheets")
    void whatHoldsIsNeverBrokenOnTheBenchByRandomHands(Sheet sheet) throws ActionRefusedException {
        Assembly assembly = Examples.fitted(sheet);
        Proof proof = proofOf(sheet);
        for (int seed = 0; seed < Share.oneIn(3, 6); seed++) {
            Random random = new Random(seed);
            Bench bench = Bench.of(assembly, seed % 2 == 0 ? Pace.NOMINAL : anyPace(seed));
            for (int i = 0; i < 60; i++) {
                act(bench, random);
                bench.runUntil(bench.now() + (random.nextInt(3) == 0 ? 7_000_000 : random.nextInt(40_000)));
                assertHolds(proof, assembly, bench);
            }
        }
    }

    /** Times anywhere in their ranges, often at an end of them; the same for the same change. */
    private static Pace anyPace(int seed) {
        return (tag, change, now, range) -> {
            Random random = new Random(Objects.hash(seed, tag, change, now));
            random.nextLong();
            return switch (random.nextInt(3)) {
                case 0 -> range.shortest();
                case 1 -> range.longest();
                default -> range.shortest() + (long) (random.nextDouble() * (range.longest() - range.shortest()));
            };
        };
    }

    private static void act(Bench bench, Random random) throws ActionRefusedException {
        List<Part> parts = bench.assembly().parts();
        Part part = parts.get(random.nextInt(parts.size()));
        if (part.drive() instanceof Drive.ByTurning turning) {
            String now = bench.moment().position(part.tag()).orElseThrow();
            int next =
                    Math.min(turning.arranged().size() - 1, turning.arranged().indexOf(now) + 1);
            bench.act(new Action(Verb.TURN, part.tag(), turning.arranged().get(random.nextBoolean() ? next : 0)));
            return;
        }
        List<Verb> verbs = part.drive().verbs().keySet().stream().sorted().toList();
        if (!verbs.isEmpty()) {
            try {
                bench.act(new Action(verbs.get(random.nextInt(verbs.size())), part.tag()));
            } catch (ActionRefusedException refused) {
                assertThat(refused.getMessage()).isNotEmpty();
            }
        }
    }

    private static void assertHolds(Proof proof, Assembly assembly, Bench bench) {
        Moment moment = bench.moment();
        if (holds(proof, "no-short")) {
            assertThat(moment.shorted()).isFalse();
        }
        boolean quiet = bench.nextEvent().isEmpty();
        boolean driven = assembly.parts().stream()
                .anyMatch(part -> part.family() == Family.MOTOR && DRIVEN.contains(moment.condition(part.tag())));
        for (Part part : assembly.parts()) {
            if (quiet && driven && holds(proof, "stops:" + part.tag())) {
                assertThat(moment.actuated(part.tag())).as(part.tag()).isFalse();
            }
        }
    }

    private static boolean holds(Proof proof, String id) {
        return proof.claim(id)
                .filter(claim ->
                        claim.verdict() == Verdict.HOLDS_AT_ANY_SPEED || claim.verdict() == Verdict.HOLDS_WITHIN_TIMES)
                .isPresent();
    }

    @Test
    void aControllerWithoutAProgramClosesNothing() {
        Sheet sheet = Examples.ofLibrary("By controller").withProgram(Optional.empty());
        Proof proof = Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);

        assertThat(proof.complete()).isTrue();
        assertThat(proof.claims()).noneMatch(claim -> claim.text().contains("M1 runs"));
    }
}
