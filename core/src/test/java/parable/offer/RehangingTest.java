package parable.offer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.DeskPreview;
import parable.parts.Assembly;
import parable.starters.Library;

/** Something on the ladder is taken from its place and put at another. */
class RehangingTest {

    private static final Conventions IEC = Conventions.of(Practice.IEC);

    private final Sheet pump = Examples.ofLibrary("Wash pump");
    private final Rehanging rehanging = new Rehanging(Examples.fitted(pump), IEC);

    private static Place placeOf(Sheet sheet, String text) {
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            List<RungItem> items = sheet.control().get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                if (items.get(item).text().equals(text)) {
                    return new Place(Circuit.CONTROL, rung, item);
                }
            }
        }
        throw new AssertionError(text + " is not on " + sheet.control());
    }

    private static List<String> passages(Sheet sheet, int rung) {
        return RungView.passages(sheet.control().get(rung))
                .map(RungItem.Passage::text)
                .toList();
    }

    private Sheet moved(String what, Spot to) {
        return rehanging
                .moved(placeOf(pump, what), to)
                .flatMap(DeskPreview::sheet)
                .orElseThrow();
    }

    /** A copy is a further contact of the same device, and what is copied stays; of a coil there is only one. */
    @Test
    void aCopyIsAFurtherContact() {
        Spot beforeLamp = new Spot.InSeries(placeOf(pump, "P2[X1-X2]"), false);
        Sheet copied = rehanging
                .copied(placeOf(pump, "S0[11-12]"), beforeLamp)
                .flatMap(DeskPreview::sheet)
                .orElseThrow();

        assertThat(passages(copied, 0)).isEqualTo(passages(pump, 0));
        assertThat(passages(copied, 4)).containsExactly("K1[21-22]", "S0[21-22]", "P2[X1-X2]");
        assertThat(rehanging.copied(placeOf(pump, "K1[A1-A2]"), beforeLamp)).isEmpty();
        assertThat(rehanging.copied(placeOf(pump, "F2[95-96]"), beforeLamp))
                .as("an overload relay has one")
                .isEmpty();
    }

    @Test
    void alongItsRung() {
        Sheet last = moved("S4[11-12]", new Spot.InSeries(placeOf(pump, "S2[11-12]"), true));

        assertThat(passages(last, 0))
                .containsExactly("F2[95-96]", "S0[11-12]", "S2[11-12]", "S4[11-12]", "S1[13-14]", "K1[A1-A2]");
        assertThat(passages(moved("S2[11-12]", new Spot.InSeries(placeOf(pump, "F2[95-96]"), false)), 0))
                .startsWith("S2[11-12]", "F2[95-96]");
    }

    @Test
    void aroundSomethingAndToARungOfItsOwn() {
        Sheet around = moved("S4[11-12]", new Spot.Around(placeOf(pump, "S0[11-12]"), 5));
        Sheet own = moved("S4[11-12]", new Spot.NewRung(6));

        assertThat(passages(around, 0)).doesNotContain("S4[11-12]");
        assertThat(passages(around, 1)).containsExactly("S4[11-12]");
        assertThat(passages(own, 6)).containsExactly("S4[11-12]");
    }

    /** The only thing of a rung takes the rung with it, so that the rungs below come up. */
    @Test
    void theRungThatItLeavesEmptyIsGone() {
        Sheet moved = moved("S3[13-14]", new Spot.InSeries(placeOf(pump, "K1[A1-A2]"), false));

        assertThat(moved.control()).hasSize(pump.control().size() - 1);
        assertThat(passages(moved, 0)).endsWith("S1[13-14]", "S3[13-14]", "K1[A1-A2]");
    }

    @Test
    void besideItselfNothingHappens() {
        Place stop = placeOf(pump, "S0[11-12]");

        assertThat(rehanging.moved(stop, new Spot.InSeries(stop, true))).isEmpty();
        assertThat(rehanging.moved(new Place(Circuit.CONTROL, 0, 0), new Spot.NewRung(1)))
                .as("a rail")
                .isEmpty();
    }

    private static Stream<Sheet> sheets() {
        return Share.oneIn(
                5, Library.jobs().stream().flatMap(job -> job.sheets().stream()).filter(sheet -> !sheet.control()
                        .isEmpty()));
    }

    /** Wherever anything is dragged: every contact and coil is still there, once. */
    @ParameterizedTest
    @MethodSource("sheets")
    void nothingIsLostAndNothingIsThereTwice(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Rehanging moving = new Rehanging(assembly, IEC);
        List<Place> places = new ArrayList<>();
        List<Rung> rungs = sheet.control();
        for (int rung = 0; rung < rungs.size(); rung++) {
            for (int item = 0; item < rungs.get(rung).items().size(); item++) {
                if (rungs.get(rung).items().get(item) instanceof RungItem.Passage) {
                    places.add(new Place(Circuit.CONTROL, rung, item));
                }
            }
        }
        List<String> before = all(sheet);
        int tried = 0;
        for (int i = 0; i < places.size(); i += 2) {
            for (int j = 1; j < places.size(); j += 3) {
                Place to = places.get(j);
                for (Spot spot : List.of(
                        new Spot.InSeries(to, false),
                        new Spot.InSeries(to, true),
                        new Spot.Around(to, to.item()),
                        new Spot.NewRung(to.rung()))) {
                    moving.moved(places.get(i), spot)
                            .flatMap(DeskPreview::sheet)
                            .ifPresent(moved -> assertThat(all(moved)).isEqualTo(before));
                    tried++;
                }
            }
        }
        assertThat(tried).isPositive();
    }

    private static List<String> all(Sheet sheet) {
        return sheet.control().stream()
                .flatMap(RungView::passages)
                .map(RungItem.Passage::text)
                .sorted()
                .toList();
    }
}
