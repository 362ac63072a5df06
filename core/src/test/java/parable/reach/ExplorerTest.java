package parable.reach;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.proof.Proof;
import parable.proof.Verdict;

/** The explorer against a second one that was written as plainly as can be, on random small circuits. */
public class ExplorerTest {

    private static final int CIRCUITS = 1000;

    /** Some of the circuits; the long run takes all of them. */
    @Test
    void bothFindTheSameStatesAndTheSameShortCircuits() {
        statesAgree(CIRCUITS / 16);
    }

    @Test
    @Tag("long")
    void bothFindTheSameStatesAndTheSameShortCircuitsInAllCircuits() {
        statesAgree(CIRCUITS);
    }

    private static void statesAgree(int circuits) {
        int shorts = 0;
        int states = 0;
        for (int seed = 0; seed < circuits; seed++) {
            Assembly assembly = Examples.fitted(circuit(new Random(seed)));
            NaiveExplorer naive = new NaiveExplorer(assembly);
            Explorer explorer = new Explorer(new CircuitMachine(assembly, List.of()), Progress.UNWATCHED);
            explorer.explore();

            assertThat(explorer.states().size()).as("states, seed %s", seed).isEqualTo(naive.states());
            assertThat(explorer.firstShort().isPresent())
                    .as("short, seed %s", seed)
                    .isEqualTo(naive.findsShort());
            shorts += naive.findsShort() ? 1 : 0;
            states += naive.states();
        }
        assertThat(shorts).isBetween(circuits / 20, circuits * 19 / 20);
        assertThat(states).isGreaterThan(20 * circuits);
    }

    /** A few of the circuits; the long run takes all of them. */
    @Test
    void bothGiveTheSameVerdicts() {
        verdictsAgree(CIRCUITS / 150);
    }

    @Test
    @Tag("long")
    void bothGiveTheSameVerdictsOnAllCircuits() {
        verdictsAgree(CIRCUITS);
    }

    private static void verdictsAgree(int circuits) {
        List<String> held = List.of(
                "K1 never in",
                "K1 and K2 never in together",
                "K1 in only while S1 is held",
                "K1 in exactly while S1 is held");
        int[] holding = new int[held.size()];
        for (int seed = 0; seed < circuits; seed++) {
            Sheet circuit = circuit(new Random(seed));
            boolean two = circuit.device("K2").isPresent();
            List<String> claims = two ? held : List.of(held.get(0), held.get(2), held.get(3));
            NaiveExplorer naive = new NaiveExplorer(Examples.fitted(circuit));
            boolean reached = !naive.isShortedAtOnce();
            boolean rests = reached && naive.canRest();
            List<Boolean> expected = List.of(
                    reached && !naive.finds(state -> isIn(state, "K1")),
                    reached && !naive.finds(state -> two && isIn(state, "K1") && isIn(state, "K2")),
                    rests && !naive.finds(state -> isIn(state, "K1") && !isDown(state, "S1") && naive.isSettled(state)),
                    rests && !naive.finds(state -> isIn(state, "K1") != isDown(state, "S1") && naive.isSettled(state)));

            Proof proof = Proof.of(Examples.fitted(circuit.withClaims(claims)), Proof.Timing.ANY, Progress.UNWATCHED);

            for (int i = 0; i < held.size(); i++) {
                if (claims.contains(held.get(i))) {
                    boolean holds = verdict(proof, "own:" + held.get(i)) == Verdict.HOLDS_AT_ANY_SPEED;
                    assertThat(holds).as("%s, seed %s", held.get(i), seed).isEqualTo(expected.get(i));
                    holding[i] += holds ? 1 : 0;
                }
            }
            assertThat(verdict(proof, "no-short") == Verdict.HOLDS_AT_ANY_SPEED)
                    .as("short, seed %s", seed)
                    .isEqualTo(!naive.findsShort());
            assertThat(verdict(proof, "comes-to-rest") == Verdict.HOLDS_AT_ANY_SPEED)
                    .as("rest, seed %s", seed)
                    .isEqualTo(reached && naive.comesToRest());
        }
        assertThat(IntStream.of(holding).limit(3)).allMatch(count -> count > circuits / 50);
    }

    private static Verdict verdict(Proof proof, String id) {
        return proof.claim(id).orElseThrow().verdict();
    }

    private static boolean isIn(Map<String, String> state, String contactor) {
        return NaiveExplorer.isIn(state, contactor);
    }

    private static boolean isDown(Map<String, String> state, String button) {
        return NaiveExplorer.isDown(state, button);
    }

    /** One or two contactors and one or two buttons, their contacts put anywhere. */
    public static Sheet circuit(Random random) {
        return circuit(random, List.of("13-14", "11-12", "13-14 21-22"));
    }

    /** The same with buttons of one block each. */
    public static Sheet plainCircuit(Random random) {
        return circuit(random, List.of("13-14", "11-12"));
    }

    private static Sheet circuit(Random random, List<String> buttonBlocks) {
        int contactors = 1 + random.nextInt(2);
        int buttons = 1 + random.nextInt(2);
        List<String> devices = new ArrayList<>(
                List.of("{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}"));
        List<String> contacts = new ArrayList<>();
        for (int k = 1; k <= contactors; k++) {
            devices.add("{\"tag\": \"K" + k
                    + "\", \"kind\": \"contactor\", \"coil\": \"230 V AC\", \"aux\": \"13-14 21-22\"}");
            contacts.addAll(List.of("K" + k + "[13-14]", "K" + k + "[21-22]"));
        }
        for (int s = 1; s <= buttons; s++) {
            String blocks = buttonBlocks.get(random.nextInt(buttonBlocks.size()));
            devices.add("{\"tag\": \"S" + s + "\", \"kind\": \"push-button\", \"blocks\": \"" + blocks + "\"}");
            for (String block : blocks.split(" ")) {
                contacts.add("S" + s + "[" + block + "]");
            }
        }
        Collections.shuffle(contacts, random);
        List<String> points = new ArrayList<>(List.of("L", "N"));
        List<String> rungs = new ArrayList<>();
        for (int k = 1; k <= contactors; k++) {
            StringBuilder rung = new StringBuilder("L");
            for (int i = random.nextInt(3); i >= 0 && !contacts.isEmpty(); i--) {
                String point = "@" + (points.size() + 10);
                points.add(point);
                rung.append(' ').append(contacts.remove(0)).append(' ').append(point);
            }
            rungs.add(rung + " K" + k + "[A1-A2] N");
        }
        for (int i = random.nextInt(3); i > 0 && !contacts.isEmpty(); i--) {
            Collections.shuffle(points, random);
            rungs.add(points.get(0) + " " + contacts.remove(0) + " " + points.get(1));
        }
        return Examples.sheet(
                String.join(", ", devices),
                "\"G1[L] L\", \"G1[N] N\"",
                rungs.stream().map(rung -> "\"" + rung + "\"").collect(Collectors.joining(", ")));
    }
}
