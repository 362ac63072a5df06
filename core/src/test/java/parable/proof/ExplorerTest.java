package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Sheet;
import parable.parts.Assembly;

/** The explorer against a second one that was written as plainly as can be, on random small circuits. */
class ExplorerTest {

    private static final int CIRCUITS = 1000;

    @Test
    void bothFindTheSameStatesAndTheSameShortCircuits() {
        int shorts = 0;
        int states = 0;
        for (int seed = 0; seed < CIRCUITS; seed++) {
            Assembly assembly = Examples.fitted(circuit(new Random(seed)));
            NaiveExplorer naive = new NaiveExplorer(assembly);
            Explorer explorer = new Explorer(new Machine(assembly, List.of()), Progress.UNWATCHED);
            explorer.explore();

            assertThat(explorer.states().size()).as("states, seed %s", seed).isEqualTo(naive.states());
            assertThat(explorer.firstShort().isPresent())
                    .as("short, seed %s", seed)
                    .isEqualTo(naive.findsShort());
            shorts += naive.findsShort() ? 1 : 0;
            states += naive.states();
        }
        assertThat(shorts).isBetween(CIRCUITS / 20, CIRCUITS * 19 / 20);
        assertThat(states).isGreaterThan(20 * CIRCUITS);
    }

    /** One or two contactors and one or two buttons, their contacts put anywhere. */
    private static Sheet circuit(Random random) {
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
            String blocks = List.of("13-14", "11-12", "13-14 21-22").get(random.nextInt(3));
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
