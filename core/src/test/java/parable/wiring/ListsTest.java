package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.files.LabelsCsv;
import parable.files.PartsCsv;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.starters.Library;

class ListsTest {

    static Stream<Sheet> sheets() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream());
    }

    @Test
    void likePartsAreOneLineAndContactsBeyondTheBuiltInOnesAreBlocks() {
        assertThat(PartsList.of(Examples.fitted(Examples.ofLibrary("Mill"))))
                .contains(
                        new PartsLine(
                                "contactor",
                                "coil 230 V AC, rated 25 A, AC-3 for M1 18.5 kW 35 A, star-delta",
                                List.of("KM", "KD")),
                        new PartsLine("fuse holder", "1 pole", List.of("F1")),
                        new PartsLine("enclosure", "with mounting plate and door", List.of("panel")),
                        new PartsLine("contact block, closes", "for contactor", List.of("KM")),
                        new PartsLine("contact block, opens", "for push button", List.of("S0")),
                        new PartsLine("pilot lamp", "lamp 230 V AC, colour green", List.of("P1")))
                .noneMatch(line -> line.tags().contains("G1"));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everyDeviceIsInTheListOnce(Sheet sheet) {
        List<String> listed = PartsList.of(Examples.fitted(sheet)).stream()
                .filter(line -> !line.part().matches("contact block.*|fuse holder|enclosure|.*terminal|end .*"))
                .flatMap(line -> line.tags().stream())
                .toList();

        assertThat(listed)
                .containsExactlyInAnyOrderElementsOf(Examples.fitted(sheet).parts().stream()
                        .filter(part -> part.family() != Family.SUPPLY)
                        .map(part -> part.tag())
                        .toList());
    }

    /** With a strip everything that leaves the panel has a terminal, and the strip what holds it. */
    @Test
    void theStripAndItsStopsCanBeOrdered() {
        Sheet pump = Examples.ofLibrary("Wash pump").withFieldwork(Fieldwork.NONE.by(WiringMethod.TERMINAL_STRIP));
        Assembly assembly = Examples.fitted(pump);
        List<PartsLine> lines = PartsList.of(assembly);
        List<String> strip = TerminalPlan.of(assembly, Practice.IEC).stream()
                .map(line -> line.at().terminal().toString())
                .toList();

        assertThat(lines.stream()
                        .filter(line -> line.part().endsWith("terminal"))
                        .flatMap(line -> line.tags().stream()))
                .containsExactlyInAnyOrderElementsOf(strip);
        assertThat(lines)
                .contains(
                        new PartsLine("end plate", "", List.of("X1")),
                        new PartsLine("end stop", "", List.of("X1", "X1")),
                        new PartsLine("enclosure", "for what is operated there", List.of("wash floor")));
        Sheet direct = pump.withFieldwork(Fieldwork.NONE.by(WiringMethod.POINT_TO_POINT));
        assertThat(PartsList.of(Examples.fitted(direct)))
                .noneMatch(line -> line.part().equals("end stop"));
    }

    @Test
    void everyWireEndHasItsFerruleWhereItIs() {
        Sheet pump = Examples.ofLibrary("Wash pump");
        List<Label> labels = Labels.of(Examples.fitted(pump), Practice.IEC);
        WireList wires = WireList.of(Examples.fitted(pump), Practice.IEC);

        assertThat(labels)
                .filteredOn(label -> label.goesOn() == Label.On.WIRE_END)
                .hasSize(2 * wires.wires().size());
        assertThat(labels)
                .contains(
                        new Label("6", Label.On.WIRE_END, "S3:13", "wash floor"),
                        new Label("S3", Label.On.DEVICE, "Start", "wash floor"));
    }

    @Test
    void theTablesAreQuotedAndHarmless() {
        assertThat(PartsCsv.text(List.of(new PartsLine("timer", "setting 4 s, coil 24 V DC", List.of("K1", "K2")))))
                .isEqualTo("\uFEFFQuantity,Part,Settings,For\r\n2,timer,\"setting 4 s, coil 24 V DC\",K1 K2\r\n");
        assertThat(LabelsCsv.text(List.of(new Label("S1", Label.On.DEVICE, "=1+1 \"start\"", "door"))))
                .isEqualTo("Text,Goes on,At,Place\r\nS1,device,\"'=1+1 \"\"start\"\"\",door\r\n");
    }
}
