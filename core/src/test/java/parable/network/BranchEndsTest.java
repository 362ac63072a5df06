package parable.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Load;
import parable.parts.Part;
import parable.starters.Library;

/** Each branch of a network is between the nodes of its two terminals, with all wires on and with some off. */
class BranchEndsTest {

    static Stream<Sheet> sheets() {
        return Share.oneIn(3, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everyBranchIsBetweenItsTerminals(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Network network = Network.of(assembly);
        check(network);

        List<Terminal> wired = assembly.nodes().all().stream()
                .flatMap(node -> node.terminals().stream())
                .toList();
        for (int i = 0; i < wired.size(); i += 7) {
            Network off = network.with(new Defects(Set.of(wired.get(i)), Set.of(), Map.of()));
            check(off);
            assertThat(off.node(wired.get(i))).as("%s is off", wired.get(i)).hasValueSatisfying(node -> assertThat(node)
                    .isGreaterThanOrEqualTo(assembly.nodes().all().size()));
        }
    }

    private static void check(Network network) {
        for (Branch branch : network.branches()) {
            if (branch.sort() == Branch.Sort.CONTACT || branch.sort() == Branch.Sort.LOAD) {
                Part part = network.assembly().parts().get(branch.part());
                assertThat(network.node(end(part, branch, 0))).hasValue(branch.from());
                if (!isInnerStarPoint(part, branch)) {
                    assertThat(network.node(end(part, branch, 1))).hasValue(branch.to());
                }
            }
        }
    }

    private static boolean isInnerStarPoint(Part part, Branch branch) {
        return branch.sort() == Branch.Sort.LOAD
                && part.loads().get(branch.index()).endsAtStarPoint();
    }

    private static Terminal end(Part part, Branch branch, int end) {
        if (branch.sort() == Branch.Sort.CONTACT) {
            Contact contact = part.contacts().get(branch.index());
            return new Terminal(part.tag(), end == 0 ? contact.from() : contact.to());
        }
        Load load = part.loads().get(branch.index());
        return new Terminal(part.tag(), end == 0 ? load.from() : load.to());
    }
}
