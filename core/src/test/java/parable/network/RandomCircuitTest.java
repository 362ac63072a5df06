package parable.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import org.assertj.core.data.Offset;
import parable.Examples;
import parable.circuit.Sheet;

/** The network against a slow solution that is plainly right, on random circuits with their contacts at random. */
class RandomCircuitTest {

    @Property(tries = 800, seed = "20261125")
    void agreesWithThePlainSolution(@ForAll long seed) {
        check(seed);
    }

    /** The same with other circuits at every run. */
    @Property(tries = 200_000)
    @Tag("long")
    void agreesWithThePlainSolutionForLong(@ForAll long seed) {
        check(seed);
    }

    private static void check(long seed) {
        Random random = new Random(seed);
        Network network = Network.of(Examples.fitted(randomSheet(random)));
        BitSet closed = randomSet(random, network.contactCount());
        BitSet on = randomSet(random, network.sourceCount());

        Solution solution = network.solve(closed, on);
        PlainSolution plain = new PlainSolution(network, closed, on);

        assertThat(solution.shorts().isEmpty()).isEqualTo(!plain.hasShort());
        for (int one = 0; one < network.nodeCount(); one++) {
            for (int other = 0; other < one; other++) {
                if (plain.joinedByContacts(one, other)) {
                    assertThat(solution.joined(one, other)).isTrue();
                }
            }
        }
        if (!plain.hasShort()) {
            for (int load = 0; load < network.loadCount(); load++) {
                Potential found = solution.loadVoltage(load);
                double[] expected = plain.loadVoltage(load);
                assertThat(found.real()).as("load %s, real", load).isCloseTo(expected[0], within());
                assertThat(found.imaginary()).as("load %s, imaginary", load).isCloseTo(expected[1], within());
            }
        }
    }

    private static Offset<Double> within() {
        return Offset.offset(0.5);
    }

    private static BitSet randomSet(Random random, int size) {
        BitSet set = new BitSet(size);
        IntStream.range(0, size).filter(i -> random.nextInt(3) > 0).forEach(set::set);
        return set;
    }

    private static Sheet randomSheet(Random random) {
        int points = 3 + random.nextInt(6);
        int buttons = 1 + random.nextInt(8);
        int lamps = 1 + random.nextInt(5);
        String devices = IntStream.range(0, buttons)
                .mapToObj(
                        i -> "{\"tag\": \"S%d\", \"kind\": \"push-button\", \"blocks\": \"11-12 23-24\"},".formatted(i))
                .collect(Collectors.joining());
        devices += IntStream.range(0, lamps)
                .mapToObj(i -> "{\"tag\": \"P%d\", \"kind\": \"pilot-lamp\"},".formatted(i))
                .collect(Collectors.joining());
        devices += "{\"tag\": \"G1\", \"kind\": \"three-phase-supply\"}";
        StringBuilder rungs = new StringBuilder("\"L @0\", \"N @1\"");
        for (int i = 0; i < buttons; i++) {
            addRung(rungs, random, points, "S" + i + "[11-12]");
            addRung(rungs, random, points, "S" + i + "[23-24]");
        }
        for (int i = 0; i < lamps; i++) {
            addRung(rungs, random, points, "P" + i + "[X1-X2]");
        }
        String power = IntStream.rangeClosed(1, 3)
                .mapToObj(phase -> "\"G1[L%d] @%d\"".formatted(phase, random.nextInt(points)))
                .collect(Collectors.joining(", "));
        return Examples.sheet(devices, power + ", \"G1[N] N\"", rungs.toString());
    }

    private static void addRung(StringBuilder rungs, Random random, int points, String device) {
        rungs.append(", \"@%d %s @%d\"".formatted(random.nextInt(points), device, random.nextInt(points)));
    }
}
