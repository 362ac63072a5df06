package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.Examples;

class NodesTest {

    private static final String DEVICES =
            """
            {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
            {"tag": "S1", "kind": "push-button"},
            {"tag": "K1", "kind": "contactor"}
            """;

    private static Nodes of(String rungs) {
        return Nodes.of(Examples.sheet(DEVICES, "", rungs));
    }

    @Test
    void railsComeFirstAndTheOthersGetTheLowestFreeNumbersFromLeftToRight() {
        Nodes nodes = of("\"L S0[11-12] S1[13-14] K1[A1-A2] N\"");

        assertThat(nodes.all()).extracting(Node::number).containsExactly("1", "2", "3", "4");
        assertThat(nodes.all().get(2).terminals()).containsExactly(new Terminal("S0", "12"), new Terminal("S1", "13"));
    }

    @Test
    void aNumberThatIsWrittenStaysAndIsNotGivenTwice() {
        Nodes nodes = of("\"L S0[11-12] S1[13-14] @3 K1[A1-A2] N\"");

        assertThat(nodes.all()).extracting(Node::number).containsExactly("1", "2", "4", "3");
    }

    @Test
    void pointsOfOneNameAreOneNodeAndABridgeMakesTwoNamesOne() {
        Nodes nodes = of("\"L S0[11-12] @7 S1[13-14] @8 K1[A1-A2] N\", \"@7 K1[13-14] @9\", \"@9 @8\"");

        int sealed = nodes.indexOf("8").orElseThrow();
        assertThat(nodes.all().get(sealed).names()).containsExactly("8", "9");
        assertThat(nodes.indexOf(new Terminal("K1", "14"))).contains(sealed);
        assertThat(nodes.indexOf(new Terminal("S1", "14"))).contains(sealed);
    }

    @Test
    void aTerminalWithoutAWireIsOnNoNode() {
        assertThat(of("\"L K1[A1-A2] N\"").indexOf(new Terminal("K1", "13"))).isEmpty();
    }

    /** A point that is called by the number of a rail is on that rail, and every wire of it is there. */
    @Test
    void onePointAndARailOfOneNumberAreOneNode() {
        Nodes nodes = of("\"@1 S0[11-12] @3 K1[A1-A2] @2\", \"L S1[13-14] @3\"");

        assertThat(nodes.all()).extracting(Node::number).containsExactly("1", "2", "3");
        assertThat(nodes.indexOf(new Terminal("S0", "11"))).isEqualTo(nodes.indexOf(new Terminal("S1", "13")));
        assertThat(nodes.all().get(0).names()).containsExactly("L", "1");
        assertThat(nodes.all().get(1).terminals()).containsExactly(new Terminal("K1", "A2"));
    }

    /** However it was made: a file that says so is refused. */
    @Test
    void railsOfOneNumberAreOneNode() {
        Sheet sheet = Examples.sheet(DEVICES, "", "\"L S0[11-12] N\"");
        Nodes nodes = Nodes.of(sheet.withRails(List.of(new Rail("L", "1"), new Rail("N", "1"))));

        assertThat(nodes.all()).extracting(Node::number).containsExactly("1");
    }
}
