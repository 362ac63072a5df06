package parable.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.starters.Library;

/** What is typed, on the ladder of the wash pump: {@code L F2 @3 S4 @4 S0 @5 S2 @6 S1 @7 (K1) N}, and what holds K1 in. */
class DeskLineTest {

    private static final Sheet PUMP = Library.jobs().get(0).sheet("Wash pump").orElseThrow();

    private static DeskPreview typed(Sheet sheet, Optional<Stretch> selected, DeskStroke stroke, String text)
            throws Exception {
        return new DeskLine(Assembly.of(sheet), Conventions.of(Practice.IEC), "230 V AC", selected, stroke, text)
                .preview();
    }

    private static DeskPreview typed(int item, DeskStroke stroke, String text) throws Exception {
        return typed(PUMP, Stretch.at(PUMP, new Place(Circuit.CONTROL, 0, item)), stroke, text);
    }

    private static List<String> changedRungs(Sheet sheet) {
        return sheet.rungs()
                .filter(rung -> PUMP.rungs().noneMatch(rung::equals))
                .map(Rung::text)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    3 | BEFORE   | S9          | L F2[95-96] @3 S9[13-14] @10 S4[11-12] @4 S0[11-12] @5        | S9
                    3 | BEFORE   | /S9         | L F2[95-96] @3 S9[11-12] @10 S4[11-12] @4 S0[11-12] @5        | S9
                    3 | AFTER    | S9          | L F2[95-96] @3 S4[11-12] @10 S9[13-14] @4 S0[11-12] @5        | S9
                    3 | EXCHANGE | S9          | L F2[95-96] @3 S9[13-14] @4 S0[11-12] @5                      | S9
                    3 | EXCHANGE | /K1         | L F2[95-96] @3 K1[31-32] @4 S0[11-12] @5                      | K1
                    1 | BEFORE   | K1[93-94]   | L K1[93-94] @10 F2[95-96] @3                                  | K1
                    1 | BEFORE   | K7:timer    | L K7[15-18] @10 F2[95-96] @3                                  | K7
                    5 | AROUND   | S9          | @4 S9[13-14] @5                                               | S0
                    5 | BRANCH   | (P9)        | @5 P9[X1-X2] N                                                | P9
                    1 | NEW_RUNG | L /S9 (K9) N ; by hand | L S9[11-12] @10 K9[A1-A2] N ; by hand              | S9
                    1 | RUNG     | L S1 (K1) N | L S1[13-14] @3 K1[A1-A2] N                                    | S1
                    1 | RUNG     | @5 K1 @6    | @5 K1[33-34] @6                                               | K1
                    """)
    void aLineMakesOneRungAndSelectsWhatWasPut(
            int item, DeskStroke stroke, String text, String rung, String selectedAfterwards) throws Exception {
        DeskPreview preview = typed(item, stroke, text);

        Sheet changed = preview.sheet().orElseThrow();
        assertThat(changedRungs(changed).get(0)).startsWith(rung);
        assertThat(preview.words()).as("what is said is what is written").startsWith(rung);
        assertThat(changed.power()).isEqualTo(PUMP.power());
        assertThat(Stretch.at(changed, preview.next()).orElseThrow().tag(changed))
                .isEqualTo(selectedAfterwards);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    BEFORE   | S9 S8        | the line: found 'S9 S8', expected one device, such as S1, /S1 or (K1)
                    AFTER    | L            | the line: found 'L', expected one device, such as S1, /S1 or (K1)
                    BEFORE   | Z9           | Z9: found a tag that the sheet does not list, expected a device of the sheet, or its kind
                    NEW_RUNG | L S1 (K1     | the rung: found '(K1', expected a rail, @point, S1, /S0, (K1) or a device with
                    NEW_RUNG | rename K1 F2 | K1: found F2, expected a tag of letters and digits that no other device has
                    NEW_RUNG | rename K9 K5 | Wash pump: found K9, expected a device of the sheet
                    NEW_RUNG | wire 7 6     | wire 7: found '6', expected a number of letters and digits that no other wire has
                    NEW_RUNG | find nothing | Wash pump: found nothing called nothing, expected a tag, a wire number or a word
                    NEW_RUNG | power steam  | power: found 'steam', expected direct, reversing, star-delta or brake
                    NEW_RUNG | power direct | Wash pump: found a power circuit, expected none before one is put on it
                    """)
    void whatMakesNoSenseIsRefusedWithItsPlace(DeskStroke stroke, String text, String words) throws Exception {
        DeskPreview preview = typed(1, stroke, text);

        assertThat(preview.sheet()).isEmpty();
        assertThat(preview.words()).startsWith(words);
        assertThat(preview.next()).as("the selection stays").isEqualTo(new Place(Circuit.CONTROL, 0, 1));
    }

    @Test
    void aDeviceNeedsSomethingSelectedButARungDoesNot() throws Exception {
        assertThat(typed(PUMP, Optional.empty(), DeskStroke.BEFORE, "S9").words())
                .isEqualTo("the drawing: found nothing selected, expected a contact or coil to begin from");
        DeskPreview rung = typed(PUMP, Optional.empty(), DeskStroke.NEW_RUNG, "L S9 (K9) N");
        assertThat(rung.next().rung())
                .as("behind the last")
                .isEqualTo(PUMP.control().size());
        assertThat(rung.sheet().orElseThrow().control()).hasSize(PUMP.control().size() + 1);
    }

    @ParameterizedTest
    @EnumSource
    void whereNothingIsTypedItSaysWhatMayBe(DeskStroke stroke) throws Exception {
        DeskPreview preview = typed(1, stroke, "  ");

        assertThat(preview.assembly()).isEmpty();
        assertThat(preview.words()).startsWith(stroke.takesRung() ? "Type a rung" : "Type a device");
    }

    @ParameterizedTest
    @CsvSource({
        "direct, 1, 0",
        "reversing, 2, 0",
        "star-delta, 3, 0",
        "brake, 2, 1",
    })
    void aPowerCircuitIsPutOnAnEmptySheetWithItsSupply(String word, int contactors, int rectifiers) throws Exception {
        Sheet empty = PUMP.withRungs(Circuit.CONTROL, List.of()).withRungs(Circuit.POWER, List.of());
        for (Device device : PUMP.devices()) {
            empty = new Edit.TakeDevice(device.tag()).on(empty);
        }
        for (Practice practice : Practice.values()) {
            Assembly drawn = new DeskLine(
                            Assembly.of(empty),
                            Conventions.of(practice),
                            "230 V AC",
                            Optional.empty(),
                            DeskStroke.NEW_RUNG,
                            "power " + word)
                    .preview()
                    .assembly()
                    .orElseThrow();
            assertThat(drawn.sheet().control()).isEmpty();
            assertThat(drawn.sheet().rails()).hasSizeGreaterThanOrEqualTo(2);
            assertThat(count(drawn, Family.CONTACTOR)).as(practice + " " + word).isEqualTo(contactors);
            assertThat(count(drawn, Family.CONVERTER)).isGreaterThanOrEqualTo(rectifiers);
            assertThat(count(drawn, Family.MOTOR)).isEqualTo(1);
            assertThat(count(drawn, Family.SUPPLY)).isEqualTo(1);
        }
    }

    private static long count(Assembly assembly, Family family) {
        return assembly.parts().stream().filter(part -> part.family() == family).count();
    }

    @Test
    void aCommandOnlyChangesWhatItNames() throws Exception {
        Sheet renamed = typed(1, DeskStroke.NEW_RUNG, "rename K1 K5").sheet().orElseThrow();
        assertThat(renamed.rungs().map(Rung::text)).noneMatch(text -> text.contains("K1["));
        assertThat(renamed.rungs().map(text -> text.text().replace("K5[", "K1[")))
                .isEqualTo(PUMP.rungs().map(Rung::text).toList());

        DeskPreview wire = typed(1, DeskStroke.NEW_RUNG, "wire 7 70");
        assertThat(wire.words()).isEqualTo("Wire 7 becomes wire 70.");
        assertThat(wire.sheet().orElseThrow().rungs().map(text -> text.text().replace("@70", "@7")))
                .isEqualTo(PUMP.rungs().map(Rung::text).toList());

        DeskPreview order = typed(1, DeskStroke.NEW_RUNG, "renumber");
        assertThat(order.words()).isEqualTo("Wires: 13 \u2192 10");
        assertThat(typed(order.sheet().orElseThrow(), Optional.empty(), DeskStroke.NEW_RUNG, "renumber")
                        .words())
                .isEqualTo("All wires are numbered in order already.");
        assertThat(typed(1, DeskStroke.NEW_RUNG, "renumber by rung").words()).startsWith("Wires: 3 \u2192 ");
    }

    @Test
    void aSearchGoesRoundAndChangesNothing() throws Exception {
        Optional<Stretch> at = Optional.empty();
        Place first = null;
        int places = 0;
        do {
            DeskPreview found = typed(PUMP, at, DeskStroke.NEW_RUNG, "find k1");
            assertThat(found.sheet()).contains(PUMP);
            at = Stretch.at(PUMP, found.next());
            assertThat(at.orElseThrow().tag(PUMP)).isEqualTo("K1");
            first = first == null ? found.next() : first;
            places++;
        } while (!typed(PUMP, at, DeskStroke.NEW_RUNG, "find k1").next().equals(first));
        assertThat(places)
                .as("coil, three contacts of the ladder and three poles")
                .isEqualTo(6);

        assertThat(typed(0, DeskStroke.NEW_RUNG, "find stopped").words()).contains("; stopped");
        assertThat(typed(0, DeskStroke.NEW_RUNG, "find 6").next())
                .as("a wire, at its first end")
                .isNotNull();
    }
}
