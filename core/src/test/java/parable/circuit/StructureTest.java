package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import parable.Examples;

class StructureTest {

    private static final RungItem.Passage STOP = new RungItem.Passage("S2", "11", "12");

    private static String rung(Sheet sheet, int index) {
        return sheet.control().get(index).text();
    }

    private static Place ladder(int rung, int item) {
        return new Place(Circuit.CONTROL, rung, item);
    }

    private final Sheet pump = Examples.washPump();

    @Test
    void inSeriesStaysOnItsSideOfTheBranch() throws EditException {
        assertThat(rung(Structure.inSeries(pump, ladder(0, 9), true, STOP), 0))
                .startsWith(
                        "L F2[95-96] @3 S4[11-12] @4 S0[11-12] @5 S2[11-12] @6 S1[13-14] @10 S2[11-12] @7 K1[A1-A2] N");
        assertThat(rung(Structure.inSeries(pump, ladder(0, 9), false, STOP), 0))
                .startsWith(
                        "L F2[95-96] @3 S4[11-12] @4 S0[11-12] @5 S2[11-12] @6 S2[11-12] @10 S1[13-14] @7 K1[A1-A2] N");
    }

    @Test
    void aroundAStretchLandsOnThePointsAtItsEnds() throws EditException {
        Sheet around = Structure.around(pump, ladder(0, 3), 7, STOP);
        assertThat(around.control()).hasSize(pump.control().size() + 1);
        assertThat(rung(around, 1)).isEqualTo("@3 S2[11-12] @6");
        assertThat(rung(Structure.around(pump, ladder(0, 1), 1, STOP), 1)).isEqualTo("L S2[11-12] @3");
    }

    @Test
    void aDeviceChangesPlacesAlongItsRungAndARungAmongTheOthers() throws EditException {
        Sheet shifted = Structure.shifted(pump, ladder(0, 5), false);
        assertThat(rung(shifted, 0)).startsWith("L F2[95-96] @3 S0[11-12] @4 S4[11-12] @5");
        assertThat(Structure.shifted(shifted, ladder(0, 3), true)).isEqualTo(pump);
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> Structure.shifted(pump, ladder(0, 1), false))
                .withMessageContaining("F2[95-96]: found the first on its rung");

        Sheet moved = Structure.rungMoved(pump, Circuit.CONTROL, 0, 2);
        assertThat(rung(moved, 2)).isEqualTo(rung(pump, 0));
        assertThat(rung(moved, 0)).isEqualTo(rung(pump, 1));
        assertThat(Structure.rungMoved(moved, Circuit.CONTROL, 2, -5)).isEqualTo(pump);
    }

    @Test
    void takenAwayTheGapIsClosed() throws EditException {
        Sheet without = Structure.taken(pump, ladder(0, 9));
        assertThat(rung(without, 0)).startsWith("L F2[95-96] @3 S4[11-12] @4 S0[11-12] @5 S2[11-12] @6 K1[A1-A2] N");
        assertThat(rung(without, 2))
                .as("what was on the other end comes along")
                .isEqualTo("@6 K1[13-14] @6 ; holds itself in");
        assertThat(Structure.taken(pump, ladder(1, 1)).control())
                .hasSize(pump.control().size() - 1);
    }

    @Test
    void aStretchIsTakenAwayWhole() throws EditException {
        assertThat(rung(Structure.taken(pump, ladder(0, 3), 7), 0))
                .startsWith("L F2[95-96] @6 S1[13-14] @7 K1[A1-A2] N");
        assertThat(Structure.taken(pump, ladder(0, 1), 11).control())
                .isEqualTo(pump.control().subList(1, pump.control().size()));
        assertThat(Structure.taken(pump, ladder(0, 9), 9)).isEqualTo(Structure.taken(pump, ladder(0, 9)));
    }

    @Test
    void aRenamedDeviceIsRenamedWhereverItIsNamed() throws EditException {
        Sheet platen = Examples.pressHouse().sheet("Press platen").orElseThrow();
        Sheet renamed = Structure.renamed(platen, "K1", "K10");
        assertThat(renamed.device("X1").orElseThrow().setting("between")).hasValue("K10 K2");
        assertThat(renamed.rungs().map(Rung::text)).noneMatch(text -> text.contains("K1["));
        assertThat(Structure.renamed(renamed, "K10", "K1")).isEqualTo(platen);
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> Structure.renamed(platen, "K1", "K2"))
                .withMessage("K1: found K2, expected a tag of letters and digits that no other device has");
    }

    @Test
    void whereNothingStandsNothingCanBeDone() {
        for (Place nowhere : List.of(ladder(99, 1), ladder(0, 0), ladder(0, 99), new Place(Circuit.POWER, -1, 0))) {
            assertThatExceptionOfType(EditException.class)
                    .isThrownBy(() -> Structure.taken(pump, nowhere))
                    .withMessageStartingWith("Wash pump, ");
        }
    }

    /** On any sheet, at any place: what is put in can be taken out again and the same terminals are joined as before. */
    @Property(tries = 150, seed = "20261125")
    void takingAwayUndoesPuttingIn(@ForAll long seed) throws EditException {
        Random random = new Random(seed);
        List<Sheet> sheets = Examples.sheets().toList();
        Sheet sheet = sheets.get(random.nextInt(sheets.size()));
        Place at = anyPlace(sheet, random);
        RungItem.Passage passage = Structure.passageAt(sheet, at);
        boolean after = random.nextBoolean();

        Sheet changed = Structure.inSeries(sheet, at, after, passage);
        Examples.fitted(changed);
        int item = after ? at.item() + 2 : at.item();
        assertThat(Structure.passageAt(changed, new Place(at.circuit(), at.rung(), item)))
                .isEqualTo(passage);
        assertThat(joined(Structure.taken(changed, new Place(at.circuit(), at.rung(), item))))
                .isEqualTo(joined(sheet));

        Sheet around = Structure.around(sheet, at, at.item(), passage);
        Examples.fitted(around);
        Sheet back = Structure.taken(around, new Place(at.circuit(), at.rung() + 1, 1));
        assertThat(joined(back)).isEqualTo(joined(sheet));
    }

    /** Which terminals are one point, whatever its number. */
    private static Set<Set<Terminal>> joined(Sheet sheet) {
        return Nodes.of(sheet).all().stream()
                .map(node -> Set.copyOf(node.terminals()))
                .collect(Collectors.toSet());
    }

    private static Place anyPlace(Sheet sheet, Random random) {
        List<Place> places = new ArrayList<>();
        for (Circuit circuit : Circuit.values()) {
            for (int rung = 0; rung < sheet.rungs(circuit).size(); rung++) {
                List<RungItem> items = sheet.rungs(circuit).get(rung).items();
                for (int item = 0; item < items.size(); item++) {
                    if (items.get(item) instanceof RungItem.Passage) {
                        places.add(new Place(circuit, rung, item));
                    }
                }
            }
        }
        return places.get(random.nextInt(places.size()));
    }
}
