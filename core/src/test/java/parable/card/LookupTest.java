package parable.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Sheet;

/** Devices, wires and rungs are found by what is typed. */
class LookupTest {

    private final Sheet pump = Examples.ofLibrary("Wash pump");

    @ParameterizedTest
    @CsvSource({
        "K1, K1",
        "k1, K1",
        "' S0 ', S0",
        "S, S4 S0 S1 S2 S3 G1 F4 P2 UC3",
        "start, S1 S3",
        "moto, Q1 K1",
        "zz, ''"
    })
    void devicesByTagAndByAWordOfTheirName(String typed, String tags) {
        List<String> found = Lookup.of(pump, typed).stream()
                .filter(Pick.OfDevice.class::isInstance)
                .map(pick -> ((Pick.OfDevice) pick).tag())
                .toList();

        assertThat(String.join(" ", found)).isEqualTo(tags);
    }

    @Test
    void aWireByItsWholeNumberAndARungByItsRemark() {
        assertThat(Lookup.of(pump, "7")).containsExactly(new Pick.OfWire("7"));
        assertThat(Lookup.of(pump, "holds")).containsExactly(new Pick.OfRung(Circuit.CONTROL, 2));
        assertThat(Lookup.of(pump, " ")).isEmpty();
    }

    /** Whatever is found is there. */
    @Test
    void whatIsFoundIsOnTheSheet() {
        for (String typed : List.of("s", "t", "1", "2", "run", "e")) {
            assertThat(Lookup.of(pump, typed)).allMatch(pick -> pick.isOn(pump)).doesNotHaveDuplicates();
        }
    }
}
