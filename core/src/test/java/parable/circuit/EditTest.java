package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;

/** Edits make a new sheet and leave the old one as it was, so that each can be undone by another. */
class EditTest {

    private final Sheet pump = Examples.washPump();

    private static Rung rung(String text) {
        try {
            return new RungNotation(Set.of("L", "N")).read(text);
        } catch (RungSyntaxException unreadable) {
            throw new IllegalArgumentException(text, unreadable);
        }
    }

    private static Device lamp(String tag) {
        return new Device(tag, "", "pilot-lamp", "Try", "door", Map.of("lamp", "230 V AC"), Extras.NONE);
    }

    @Property
    void aRungPutInAndTakenAwayLeavesTheSheetAsItWas(
            @ForAll Circuit circuit, @ForAll @IntRange(min = 0, max = 100) int share) throws EditException {
        String before = pump.toString();
        int at = share * pump.rungs(circuit).size() / 100;
        Sheet more = new Edit.InsertRung(circuit, at, rung("@3 K1[13-14] @4")).on(pump);

        assertThat(more.rungs(circuit)).hasSize(pump.rungs(circuit).size() + 1);
        assertThat(more.rungs(circuit).get(at).text()).isEqualTo("@3 K1[13-14] @4");
        assertThat(new Edit.TakeRung(circuit, at).on(more)).isEqualTo(pump);
        assertThat(pump).hasToString(before);
    }

    @Property
    void aRungReplacedAndReplacedBackLeavesTheSheetAsItWas(
            @ForAll Circuit circuit, @ForAll @IntRange(min = 0, max = 99) int share) throws EditException {
        int at = share * pump.rungs(circuit).size() / 100;
        Rung before = pump.rungs(circuit).get(at);
        Sheet other = new Edit.ReplaceRung(circuit, at, rung("L N ; nothing")).on(pump);

        assertThat(other.rungs(circuit)).hasSameSizeAs(pump.rungs(circuit)).doesNotContain(before);
        assertThat(new Edit.ReplaceRung(circuit, at, before).on(other)).isEqualTo(pump);
    }

    @Property
    void aRungMovedAndMovedBackLeavesTheSheetAsItWas(
            @ForAll @IntRange(min = 0, max = 5) int from, @ForAll @IntRange(min = 0, max = 5) int to) {
        Sheet moved = Structure.rungMoved(pump, Circuit.CONTROL, from, to);

        assertThat(moved.control()).containsExactlyInAnyOrderElementsOf(pump.control());
        assertThat(moved.control().get(to)).isEqualTo(pump.control().get(from));
        assertThat(Structure.rungMoved(moved, Circuit.CONTROL, to, from)).isEqualTo(pump);
    }

    @Test
    void aDeviceIsPutBesideTheOthersOrInThePlaceOfTheOneOfItsTag() throws EditException {
        Sheet more = new Edit.PutDevice(lamp("P9")).on(pump);
        Sheet other = new Edit.PutDevice(lamp("P1")).on(pump);

        assertThat(more.devices()).endsWith(lamp("P9")).hasSize(pump.devices().size() + 1);
        assertThat(new Edit.TakeDevice("P9").on(more)).isEqualTo(pump);
        assertThat(other.devices()).hasSameSizeAs(pump.devices());
        assertThat(other.device("P1").map(Device::label)).contains("Try");
    }

    /** The tag in question, and what is said when the edit has no place on the sheet. */
    static Stream<Arguments> impossible() {
        return Stream.of(
                Arguments.of(new Edit.TakeDevice("K9"), "found K9, expected a device of the sheet"),
                Arguments.of(new Edit.TakeDevice("K1"), "K1: found rungs that go through it, expected none"),
                Arguments.of(
                        new Edit.AddRail(new Rail("L", "77")), "expected a rail with a name and number of its own"),
                Arguments.of(new Edit.AddRail(new Rail("P", "1")), "expected a rail with a name and number of its own"),
                Arguments.of(new Edit.TakeRung(Circuit.CONTROL, 6), "found rung 7, expected a rung from 1 to 6"),
                Arguments.of(
                        new Edit.InsertRung(Circuit.CONTROL, -1, rung("L N")),
                        "found rung 0, expected a rung from 1 to 7"),
                Arguments.of(
                        new Edit.ReplaceRung(Circuit.POWER, 99, rung("L N")),
                        "found rung 100, expected a rung from 1 to 11"));
    }

    @ParameterizedTest
    @MethodSource("impossible")
    void whatHasNoPlaceIsRefusedInWords(Edit edit, String said) {
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> edit.on(pump))
                .withMessageContaining(said);
    }

    @Test
    void aNewTagStandsWhereverTheOldOneStoodAndNothingElseChanges() throws EditException {
        Sheet claimed = pump.withClaims(List.of("K1 is out while S0 is pressed"));
        Sheet renamed = Structure.renamed(claimed, "K1", "K11");

        assertThat(renamed.toString()).doesNotContain("tag=K1,", "K1[");
        assertThat(renamed.claims()).containsExactly("K11 is out while S0 is pressed");
        assertThat(Structure.renamed(renamed, "K11", "K1")).isEqualTo(claimed);
        for (int i = 0; i < pump.control().size(); i++) {
            boolean named = pump.control().get(i).terminals().anyMatch(terminal -> terminal.tag()
                    .equals("K1"));
            if (!named) {
                assertThat(renamed.control().get(i)).isSameAs(pump.control().get(i));
            }
        }
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> Structure.renamed(pump, "K1", "S0"))
                .withMessageContaining("a tag of letters and digits that no other device has");
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> Structure.renamed(pump, "K9", "K10"))
                .withMessageContaining("a device of the sheet");
    }
}
