package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.Sketches;
import parable.bench.Progress;
import parable.check.Check;
import parable.check.Finding;
import parable.circuit.ColourCode;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.starters.Library;

/** What a rule calls a danger no claim may call proved: check and prove never contradict each other. */
class AgreementTest {

    private static final int CIRCUITS = 1000;

    /** For each rule that says that something happens: the claim that it breaks, by its first device where that is part of it. */
    private static final Map<String, String> BREAKS = Map.of(
            "short-when-tried", "no-short",
            "stop-stops-nothing", "stops:",
            "estop-does-not-stop", "stops:",
            "trip-does-not-stop", "stops:",
            "stop-passed", "stops:",
            "restarts-when-power-returns", "no-restart",
            "restarts-when-reset", "no-restart",
            "contactor-stays-in", "no-restart");

    static Stream<Sheet> sheets() {
        return Share.oneIn(
                5,
                Stream.concat(
                        Library.jobs().stream().flatMap(job -> job.sheets().stream()),
                        Stream.concat(Sketches.in("truth"), Sketches.in("sound"))
                                .map(Sketches.Sketch::sheet)));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void onEverySheetThatShipsAndEveryTestCircuit(Sheet sheet) {
        assertThat(contradictions(sheet)).as(sheet.name()).isEmpty();
    }

    /** Some of the random circuits; the long run takes all of them. */
    @Test
    void onRandomCircuits() {
        agreeOn(CIRCUITS / 200);
    }

    @Test
    @Tag("long")
    void onAThousandRandomCircuits() {
        agreeOn(CIRCUITS);
    }

    private static void agreeOn(int circuits) {
        int dangers = 0;
        for (int seed = 0; seed < circuits; seed++) {
            Sheet sheet = circuit(new Random(seed));
            assertThat(contradictions(sheet))
                    .as("seed %s: %s", seed, sheet.control())
                    .isEmpty();
            dangers += broken(Examples.fitted(sheet)).isEmpty() ? 0 : 1;
        }
        assertThat(dangers).isBetween(circuits / 10, circuits * 99 / 100);
    }

    /** The claims that hold although a rule says that they are broken. */
    static Set<String> contradictions(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Set<String> broken = broken(assembly);
        if (broken.isEmpty()) {
            return Set.of();
        }
        Proof proof = Proof.of(assembly, Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED);
        return broken.stream()
                .filter(id ->
                        proof.claim(id).filter(claim -> claim.verdict().holds()).isPresent())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<String> broken(Assembly assembly) {
        Set<String> broken = new TreeSet<>();
        for (Finding finding : Check.of(assembly, ColourCode.EITHER)) {
            String id = BREAKS.getOrDefault(finding.code(), "");
            if (!id.isEmpty() && finding.severity().isWrong()) {
                broken.add(id.endsWith(":") ? id + finding.where().get(0) : id);
            }
        }
        return broken;
    }

    /** A motor with a contactor, a trip, a stop, an E-stop and one or two starts, their contacts put anywhere. */
    static Sheet circuit(Random random) {
        List<String> contacts = new ArrayList<>(
                List.of("K1[13-14]", "K1[21-22]", "F2[95-96]", "S0[11-12]", "S4[11-12]", "S1[13-14]", "S2[13-14]"));
        String second = random.nextBoolean()
                ? "{\"tag\": \"S2\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}"
                : "{\"tag\": \"S2\", \"kind\": \"selector\", \"positions\": \"off on\", \"blocks\": \"13-14=on\"}";
        List<String> row = new ArrayList<>(List.of("F2[95-96]", "S4[11-12]", "S0[11-12]", "S1[13-14]"));
        if (random.nextInt(3) > 0) {
            Collections.shuffle(row, random);
        }
        for (int i = random.nextInt(3); i > 0; i--) {
            row.remove(random.nextInt(row.size()));
        }
        contacts.removeAll(row);
        StringBuilder rung = new StringBuilder("L");
        List<String> points = new ArrayList<>(List.of("L", "N"));
        for (String contact : row) {
            String point = "@" + (points.size() + 10);
            points.add(point);
            rung.append(' ').append(contact).append(' ').append(point);
        }
        List<String> rungs = new ArrayList<>(List.of(rung + " K1[A1-A2] N"));
        Collections.shuffle(contacts, random);
        for (int i = 1 + random.nextInt(2); i > 0; i--) {
            Collections.shuffle(points, random);
            rungs.add(points.get(0) + " " + contacts.remove(0) + " " + points.get(1));
        }
        return Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
                {"tag": "F1", "kind": "fuse", "rated": "10 A"},
                {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "13-14 21-22"},
                {"tag": "F2", "kind": "overload-relay", "setting": "5 A", "phase-loss": "insensitive"},
                {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
                {"tag": "S4", "kind": "emergency-stop", "blocks": "11-12"},
                {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
                {"tag": "M1", "kind": "single-phase-motor", "voltage": "230 V AC", "power": "0.75 kW"},
                %s
                """
                        .formatted(second),
                "\"G1[L] F1[1-2] L\", \"L K1[1-2] @31 F2[1-2] @32 M1[U1-U2] N\", \"G1[N] N\"",
                rungs.stream().map(text -> "\"" + text + "\"").collect(Collectors.joining(", ")));
    }
}
