package parable.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.BitSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Sheet;

class ContactCurrentsTest {

    static Stream<Sheet> sheets() {
        return Examples.sheets().filter(sheet -> !sheet.name().equals("Supplies joined"));
    }

    /** Kirchhoff: what the loads at a node take comes in through its contacts, unless a source stands there. */
    @ParameterizedTest
    @MethodSource("sheets")
    void whatComesInGoesOut(Sheet sheet) {
        Network network = Network.of(Examples.fitted(sheet));
        BitSet closed = new BitSet();
        for (int c = 0; c < network.contactCount(); c += c % 3 == 0 ? 2 : 1) {
            closed.set(c);
        }
        BitSet on = new BitSet();
        on.set(0, network.sourceCount());
        Solution solution = network.solve(closed, on);
        if (!solution.shorts().isEmpty()) {
            return;
        }
        ContactCurrents currents = ContactCurrents.of(solution, load -> 1);

        for (int node = 0; node < network.nodeCount(); node++) {
            if (!hasSource(network, node)) {
                assertThat(currents.outOf(node).rms())
                        .as("sheet %s, node %s", sheet.name(), network.name(node))
                        .isCloseTo(takenByLoads(network, solution, node), within(1e-6));
            }
        }
    }

    private static boolean hasSource(Network network, int node) {
        return network.branches().stream()
                .anyMatch(branch ->
                        branch.sort() == Branch.Sort.SOURCE && (branch.from() == node || branch.to() == node));
    }

    private static double takenByLoads(Network network, Solution solution, int node) {
        double real = 0;
        double imaginary = 0;
        double direct = 0;
        for (int load = 0; load < network.loadCount(); load++) {
            Branch branch = network.loadBranch(load);
            int sign = (branch.from() == node ? 1 : 0) - (branch.to() == node ? 1 : 0);
            Current current = solution.loadCurrent(load);
            real += sign * current.real();
            imaginary += sign * current.imaginary();
            direct += sign * current.direct();
        }
        return new Current(real, imaginary, direct).rms();
    }

    @Test
    void contactsInParallelShare() {
        Network network = Network.of(Examples.fitted(Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply"}, {"tag": "S1", "kind": "push-button"},
                {"tag": "S2", "kind": "push-button"}, {"tag": "P1", "kind": "pilot-lamp"}
                """,
                "\"G1[L] L\", \"G1[N] N\"",
                "\"L S1[13-14] @3 P1[X1-X2] N\", \"L S2[13-14] @3\"")));
        BitSet both = new BitSet();
        both.set(0, 2);
        BitSet on = new BitSet();
        on.set(0);

        ContactCurrents currents = ContactCurrents.of(network.solve(both, on), load -> 1);

        double lamp = 2.0 / 230;
        assertThat(currents.through(0).rms()).isCloseTo(lamp / 2, within(1e-9));
        assertThat(currents.through(1).rms()).isCloseTo(lamp / 2, within(1e-9));
    }
}
