package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.parts.Assembly;

class RelabellingTest {

    private static final Relabelling NAMES = new Relabelling(
            Map.of("K1", "K2", "K2", "K1", "F2", "OL", "M1", "MTR1"),
            Map.of(new Terminal("M1", "U1"), "T1", new Terminal("F2", "2"), "T2"));

    @ParameterizedTest
    @CsvSource({"K1:13, K2:13", "K2:13, K1:13", "M1:U1, MTR1:T1", "M1:V1, MTR1:V1", "F2:2, OL:T2", "S1:13, S1:13"})
    void aTerminalHasItsNewName(String before, String after) {
        String[] ends = before.split(":");
        assertThat(NAMES.of(new Terminal(ends[0], ends[1]))).hasToString(after);
    }

    /** Names that are exchanged are exchanged at once, and words that only begin like one are left alone. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "K1 in, K2 out | K2 in, K1 out",
                "K11 and K1.1 are others | K11 and K1.1 are others",
                "(K1)-K2/F2: M1. | (K2)-K1/OL: MTR1.",
                "nothing to name | nothing to name",
                "K1 costs $2 \\ more | K2 costs $2 \\ more"
            })
    void aSentenceHasTheNewTags(String before, String after) {
        assertThat(NAMES.tagsIn(before)).isEqualTo(after);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Ohms from F2 2 to M1 U1 | Ohms from OL T2 to MTR1 T1",
                "2 A through M1 V1 | 2 A through MTR1 V1",
                "U1 before any device | U1 before any device",
                "M1 V1 to U1 of the same | MTR1 V1 to T1 of the same"
            })
    void aMarkingIsRenamedBehindItsDeviceOnly(String before, String after) {
        assertThat(NAMES.tagsAndMarkingsIn(before)).isEqualTo(after);
    }

    /** Every sheet of the library under other names and back again is what it was. */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.MethodSource("parable.Examples#sheets")
    void thereAndBackIsTheSameSheet(Sheet sheet) {
        Map<String, String> away = Stream.iterate(0, i -> i + 1)
                .limit(sheet.devices().size())
                .collect(java.util.stream.Collectors.toMap(
                        i -> sheet.devices().get(i).tag(), i -> "Z" + (i + 1)));
        Map<String, String> back = away.entrySet().stream()
                .collect(java.util.stream.Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));
        Sheet other = sheet.retagged(away);

        assertThat(other.devices()).extracting(Device::tag).allMatch(tag -> tag.startsWith("Z"));
        assertThat(other.rungs().flatMap(Rung::terminals).map(Terminal::tag)).allMatch(tag -> tag.startsWith("Z"));
        assertThat(other.retagged(back)).isEqualTo(sheet);
    }

    /** The same copper: as many nodes with as many terminals each. */
    @Test
    void theCircuitStaysTheSame() {
        Sheet pump = Examples.washPump();
        Sheet other = pump.retagged(Map.of("K1", "K7", "S1", "S0", "S0", "S1"));
        Assembly before = Examples.fitted(pump);
        Assembly after = Examples.fitted(other);
        Relabelling names = new Relabelling(Map.of("K1", "K7", "S1", "S0", "S0", "S1"), Map.of());

        List<Set<Terminal>> expected = before.nodes().all().stream()
                .map(node -> node.terminals().stream().map(names::of).collect(java.util.stream.Collectors.toSet()))
                .toList();
        assertThat(after.nodes().all())
                .extracting(node -> Set.copyOf(node.terminals()))
                .containsExactlyInAnyOrderElementsOf(expected);
    }
}
