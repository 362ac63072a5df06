package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;

class WireNumbersTest {

    @ParameterizedTest
    @MethodSource("parable.Examples#sheets")
    void numberedInOrderTheSameTerminalsAreJoinedAndNumberingAgainChangesNothing(Sheet sheet) throws EditException {
        Sheet numbered = WireNumbers.changed(sheet, WireNumbers.inOrder(sheet));

        assertThat(Nodes.of(numbered).all())
                .extracting(Node::terminals)
                .isEqualTo(Nodes.of(sheet).all().stream().map(Node::terminals).toList());
        assertThat(WireNumbers.inOrder(numbered))
                .allSatisfy((old, now) -> assertThat(now).isEqualTo(old));
    }

    @ParameterizedTest
    @MethodSource("parable.Examples#sheets")
    void numberedByRungTheFirstDigitsTellWhereAWireIsMet(Sheet sheet) throws EditException {
        Sheet numbered = WireNumbers.changed(sheet, WireNumbers.byRung(sheet));

        assertThat(Nodes.of(numbered).all())
                .extracting(Node::terminals)
                .isEqualTo(Nodes.of(sheet).all().stream().map(Node::terminals).toList());
        assertThat(WireNumbers.byRung(numbered))
                .allSatisfy((old, now) -> assertThat(now).isEqualTo(old));
        for (int rung = 0; rung < numbered.control().size(); rung++) {
            int highest = 100 * (rung + 1) + 99;
            assertThat(numbered.control().get(rung).points())
                    .filteredOn(point -> !point.rail() && point.name().matches("\\d+"))
                    .allSatisfy(
                            point -> assertThat(Integer.parseInt(point.name())).isBetween(101, highest));
        }
    }

    @Test
    void theOldAndTheNewNumbersAreTold() throws EditException {
        Sheet pump = Examples.washPump();
        Sheet odd = WireNumbers.changed(pump, Map.of("4", "40", "7", "70"));
        assertThat(odd.control().get(0).text()).contains("@40 S0[11-12] @5").contains("@70 K1[A1-A2]");
        assertThat(WireNumbers.inOrder(odd))
                .containsEntry("40", "4")
                .containsEntry("70", "7")
                .containsEntry("5", "5");
        assertThat(WireNumbers.changed(odd, WireNumbers.inOrder(odd)))
                .isEqualTo(WireNumbers.changed(pump, WireNumbers.inOrder(pump)));
    }

    @ParameterizedTest
    @CsvSource({"4, 5, wire 4", "4, 1, wire 4", "99, 98, Wash pump", "1, 9, Wash pump", "4, a b, wire 4"})
    void twoWiresNeverGetOneNumber(String old, String now, String place) {
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> WireNumbers.changed(Examples.washPump(), Map.of(old, now)))
                .withMessageStartingWith(place + ": found");
    }
}
