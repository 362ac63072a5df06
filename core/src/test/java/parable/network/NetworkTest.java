package parable.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.network.Traversal.Next;

class NetworkTest {

    private static final String SUPPLY = "{\"tag\": \"G1\", \"kind\": \"three-phase-supply\"}";

    private static Network of(String devices, String power, String rungs) {
        return Network.of(Examples.fitted(Examples.sheet(devices + SUPPLY, power, rungs)));
    }

    private static BitSet all(int size) {
        BitSet set = new BitSet(size);
        set.set(0, size);
        return set;
    }

    @Test
    void twoEqualLoadsInSeriesGetHalfTheVoltageEach() {
        Network network = of(
                "{\"tag\": \"P1\", \"kind\": \"pilot-lamp\"}, {\"tag\": \"P2\", \"kind\": \"pilot-lamp\"},",
                "\"G1[L1] L\", \"G1[N] N\"",
                "\"L P1[X1-X2] @3 P2[X1-X2] N\"");

        Solution solution = network.solve(new BitSet(), all(network.sourceCount()));

        assertThat(solution.loadVoltage(0).alternating()).isCloseTo(115.5, within(0.1));
        assertThat(solution.loadVoltage(1).alternating()).isCloseTo(115.5, within(0.1));
        assertThat(solution.state(network.node("3").orElseThrow())).isEqualTo(NodeState.LIVE_THROUGH_LOAD);
    }

    @Test
    void aContactBetweenTwoPhasesIsAShortWithTheWholeLoop() {
        Network network = of(
                "{\"tag\": \"S1\", \"kind\": \"push-button\"},", "\"G1[L1] @8\", \"G1[L2] @9\"", "\"@8 S1[13-14] @9\"");

        Solution open = network.solve(new BitSet(), all(network.sourceCount()));
        Solution shorted = network.solve(all(network.contactCount()), all(network.sourceCount()));

        assertThat(open.shorts()).isEmpty();
        assertThat(shorted.shorts()).hasSize(1);
        assertThat(shorted.shorts().get(0).loop())
                .extracting(Branch::sort)
                .containsExactly(Branch.Sort.CONTACT, Branch.Sort.SOURCE, Branch.Sort.SOURCE);
        assertThat(shorted.state(network.node("8").orElseThrow())).isEqualTo(NodeState.SHORTED);
    }

    @Test
    void joiningNeutralAndEarthedReturnIsNoShort() {
        Network network = of("{\"tag\": \"S1\", \"kind\": \"push-button\"},", "\"G1[N] @8\"", "\"@8 S1[13-14] N\"");

        assertThat(network.solve(all(1), all(network.sourceCount())).shorts()).isEmpty();
    }

    @Test
    void aLostSupplyLeavesItsPhasesOnNothing() {
        Network network =
                of("{\"tag\": \"P1\", \"kind\": \"pilot-lamp\"},", "\"G1[L1] L\", \"G1[N] N\"", "\"L P1[X1-X2] N\"");

        Solution solution = network.solve(new BitSet(), new BitSet());

        assertThat(solution.state(network.node("1").orElseThrow())).isEqualTo(NodeState.DEAD);
        assertThat(solution.loadVoltage(0).rms()).isCloseTo(0, within(0.01));
    }

    @Test
    void parallelContactsAreTwoBranchesToATraversal() {
        Network network = of(
                "{\"tag\": \"S1\", \"kind\": \"push-button\"}, {\"tag\": \"S2\", \"kind\": \"push-button\"},",
                "",
                "\"L S1[13-14] N\", \"L S2[13-14] N\"");
        List<Branch> asked = new ArrayList<>();

        Traversal walk = Traversal.from(network.node("1").orElseThrow(), network, (branch, at, to) -> {
            asked.add(branch);
            return Next.CONTINUE;
        });

        assertThat(asked).hasSize(2).doesNotHaveDuplicates();
        assertThat(walk.pathTo(network.node("2").orElseThrow()))
                .hasValueSatisfying(path -> assertThat(path).hasSize(1));
    }

    @Test
    void aTraversalEndsWhereItsVisitorEndsIt() {
        Network network = of(
                "{\"tag\": \"S1\", \"kind\": \"push-button\"}, {\"tag\": \"S2\", \"kind\": \"push-button\"},",
                "",
                "\"L S1[13-14] @3 S2[13-14] N\"");
        int start = network.node("1").orElseThrow();

        Traversal blocked = Traversal.from(start, network, (branch, at, to) -> Next.END_PATH);
        Traversal first = Traversal.from(start, network, (branch, at, to) -> Next.END_ALL);

        assertThat(blocked.reached(network.node("3").orElseThrow())).isFalse();
        assertThat(first.reached(network.node("3").orElseThrow())).isTrue();
        assertThat(first.pathTo(network.node("2").orElseThrow())).isEmpty();
    }
}
